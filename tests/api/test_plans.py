"""Days planned over HTTP: typed, worked out, put in the calendar; the wallet they take from."""

from io import BytesIO

import pytest
from icalendar import Calendar
from pypdf import PdfReader

NOBODY = "0" * 32


@pytest.fixture
def skarn(client):
    """The demo's river, as it is listed."""
    return next(
        item for item in client.get("/api/v1/places").json() if item["title"] == "The Skarn"
    )


@pytest.fixture
def form(client, skarn):
    """A morning on two stretches as it is typed."""
    kit = client.get("/api/v1/kit").json()
    return {
        "title": "Saturday",
        "on": "2026-06-20",
        "place_id": skarn["place_id"],
        "level": "0.55 m",
        "wind": "light breeze",
        "fish": "grayling",
        "mass": "0.6 kg",
        "outfits": [{"rod": kit["rods"][0]["title"], "line": kit["lines"][0]["title"]}],
        "flies": [{"fly": "Skarn sedge 14", "wish": "drift on top"}],
        "stops": [
            {"stretch_id": "pockets", "begins": "09:00", "ends": "11:00", "fly": 0},
            {"stretch_id": "mill-glide", "begins": "11:30", "ends": "13:00"},
        ],
        "units": "metric",
    }


@pytest.fixture
def plan_id(client, form):
    return client.post("/api/v1/plans", json=form).json()["plan_id"]


def test_a_plan_is_kept_as_it_was_typed_and_forgotten(client, form, plan_id):
    texts = client.get(f"/api/v1/plans/{plan_id}", params={"units": "metric"}).json()["texts"]
    assert (texts["level"], texts["mass"]) == ("0.55 m", "0.60 kg")
    assert texts["stops"][1] == {
        "stretch_id": "mill-glide",
        "begins": "11:30",
        "ends": "13:00",
        "fly": None,
    }
    again = client.put(f"/api/v1/plans/{plan_id}", json={**form, "title": "Sunday"}).json()
    assert again["texts"]["title"] == "Sunday"
    card = next(item for item in client.get("/api/v1/plans").json() if item["plan_id"] == plan_id)
    assert card["words"] == "The Skarn, two stretches"
    assert client.delete(f"/api/v1/plans/{plan_id}").status_code == 204
    assert client.get(f"/api/v1/plans/{plan_id}").status_code == 404


@pytest.mark.parametrize(
    ("changed", "where"),
    [
        ({"level": "high"}, "level"),
        ({"wind": "a lot"}, "wind"),
        ({"mass": "heavy"}, "mass"),
        ({"flies": [{"fly": "None such"}]}, "flies"),
        ({"outfits": [{"rod": "None such", "line": "x"}]}, "outfits"),
        ({"stops": [{"stretch_id": "pockets", "begins": "9", "ends": "10:00"}]}, "stops.0.begins"),
        (
            {"stops": [{"stretch_id": "pockets", "begins": "11:00", "ends": "10:00"}]},
            "stops.0.ends",
        ),
        (
            {
                "stops": [
                    {"stretch_id": "pockets", "begins": "09:00", "ends": "11:00"},
                    {"stretch_id": "gorge", "begins": "10:00", "ends": "12:00"},
                ]
            },
            "stops",
        ),
    ],
)
def test_what_cannot_be_read_names_its_field(client, form, changed, where):
    refused = client.post("/api/v1/plans", json={**form, **changed})
    assert (refused.status_code, refused.json()["where"]) == (422, where)
    assert client.get("/api/v1/plans").json() == [
        item for item in client.get("/api/v1/plans").json() if item["title"] != "Saturday"
    ]


def test_a_plan_is_worked_out_from_the_shelf_and_the_wallet(client, plan_id):
    for rig in client.get("/api/v1/wallet").json():
        client.delete(f"/api/v1/wallet/{rig['rig_id']}")
    asked = {"plan_id": plan_id, "units": "metric"}
    worked = client.post("/api/v1/plans/work", json=asked).json()
    path = f"/api/v1/plans/{plan_id}"
    assert client.get(path, params={"units": "metric"}).json()["worked"] == worked
    assert client.get(path).json()["worked"] is None  # told in other units
    first, second = worked["stops"]
    assert first["design"] is not None
    assert first["hours"] == "09:00 to 11:00"
    assert "thigh" in second["water"]
    assert second["rules"].startswith("One fly at most")
    assert not worked["tie"][0]["ready"]
    assert worked["time"].startswith("To tie tonight: about ")
    assert worked["light"].startswith(("Sun up", "First light"))
    tied = {"wanted": [{"design": worked["tie"][0]["design"]}]}
    noted = client.post("/api/v1/ledger/tied", json=tied).json()
    assert noted["words"].endswith("It is in the wallet.")
    again = client.post("/api/v1/plans/work", json=asked).json()
    assert again["tie"][0]["ready"]
    assert again["time"] == "Nothing to tie: everything is ready."
    client.post(f"/api/v1/ledger/{noted['act_id']}/undo")
    assert client.get("/api/v1/wallet").json() == []


def test_a_plan_is_packed_with_all_that_may_be_asked_at_the_water(client, plan_id):
    assert client.get(f"/api/v1/plans/{plan_id}/pack").status_code == 404
    asked = {"plan_id": plan_id, "units": "metric"}
    pack = client.post("/api/v1/plans/pack", json=asked).json()
    assert client.get(f"/api/v1/plans/{plan_id}/pack").json() == pack
    assert client.get(f"/api/v1/plans/{plan_id}").json()["packed_at"]
    card = client.get(f"/api/v1/plans/{plan_id}/card.pdf")
    pages = PdfReader(BytesIO(card.content)).pages
    assert len(pages) == 2
    assert [round(float(side) * 25.4 / 72) for side in pages[0].mediabox[2:]] == [148, 210]
    front, back = (" ".join(page.extract_text().split()) for page in pages)
    assert "Pockets above the bridge" in front
    assert "It piles up" in back
    stop = pack["stops"][0]
    deeper, faster = stop["planned"]
    assert stop["cells"][deeper][faster]["status"] == "right"
    assert len(stop["cells"][0]) == len(stop["faster"])
    assert [item["planned"] for item in stop["levels"]].count(True) == 1
    assert {item["sees"] for item in stop["sees"]} >= {"It drags", "It piles up", "The fly sinks"}
    rig = next(item for item in pack["rigs"] if item["key"] == stop["rig"])
    new, *_, knotted = rig["states"]
    assert "more fl" in new["by_cuts"][0]["left"]
    assert new["by_cuts"][-1]["renew"]
    assert "wind knot" in knotted["by_cuts"][0]["renew"]


def test_a_plan_goes_into_a_calendar(client, plan_id):
    answer = client.get(f"/api/v1/plans/{plan_id}/calendar.ics")
    assert answer.headers["content-type"].startswith("text/calendar")
    entries = Calendar.from_ical(answer.text).walk("VEVENT")
    assert [str(entry["summary"]) for entry in entries] == [
        "Pockets above the bridge: Saturday",
        "The mill glide: Saturday",
    ]
    assert entries[0].decoded("dtstart").isoformat() == "2026-06-20T09:00:00"


def test_rigs_lie_in_the_wallet_and_are_taken_out(client, saved):
    put = client.post("/api/v1/wallet", json={"design": saved["design"], "lies": "sleeve 3"}).json()
    assert (put["state"], put["lies"]) == ("new", "sleeve 3")
    path = f"/api/v1/wallet/{put['rig_id']}"
    worn = client.put(path, json={"lies": "wallet", "state": "worn"}).json()
    assert (worn["state"], worn["lies"]) == ("worn", "wallet")
    assert client.delete(path).status_code == 204
    assert client.delete(path).status_code == 404
    assert client.put(f"/api/v1/wallet/{NOBODY}", json={}).status_code == 404
