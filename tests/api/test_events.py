"""What happened is sent in any order, twice if need be, from two phones, with the same result."""

import random

import jsonschema
import pytest

from nine_knots.store import events as events_table

PLAN, OTHER = "a" * 32, "b" * 32


def event(number, kind, plan_id=PLAN, **detail):
    return {
        "event_id": f"{number:032x}",
        "plan_id": plan_id,
        "at": 1_781_946_000_000 + 60_000 * number,
        "kind": kind,
        "detail": detail,
    }


DAY = [
    event(1, "came-to", stretch="pockets"),
    event(2, "fish", fish="grayling", mass=0.5),
    event(3, "changed-fly", fly="Pale upright 16"),
    event(4, "broke", place="in the tippet"),
    event(5, "new-tippet"),
    event(6, "taken-back", undoes=f"{2:032x}"),
]


def sent(client, *events):
    return client.post("/api/v1/events", json={"events": list(events)}).json()


def test_two_phones_in_any_order_and_twice_come_to_the_same(client):
    mixed = [*DAY, *DAY[:3]]
    random.Random(1).shuffle(mixed)
    first = sent(client, *mixed[:4])
    second = sent(client, *mixed[4:])
    assert first["new"] + second["new"] == len(DAY)
    kept = client.get("/api/v1/events", params={"plan_id": PLAN}).json()
    assert [item["event_id"] for item in kept] == [item["event_id"] for item in DAY]
    assert second["events"] == kept
    assert sent(client, *DAY)["new"] == 0
    assert sent(client, event(1, "note", OTHER, words="elsewhere"))["new"] == 0  # the id is taken


def test_so_many_are_kept_and_what_is_sent_again_is_none_more(client, monkeypatch):
    sent(client, *DAY)
    monkeypatch.setattr(events_table, "MOST", len(DAY))
    assert sent(client, *DAY)["new"] == 0
    refused = client.post("/api/v1/events", json={"events": [event(9, "fish")]})
    assert (refused.status_code, refused.json()["where"]) == (422, "events")
    assert len(client.get("/api/v1/events", params={"plan_id": PLAN}).json()) == len(DAY)


@pytest.mark.parametrize(
    "odd",
    [
        event(1, "swam"),
        event(1, "fish", setting=1.0),
        event(1, "broke", place="somewhere"),
        event(1, "taken-back"),
        event(1, "note", photo="../../etc/passwd"),
        {**event(1, "fish"), "at": -1},
        {**event(1, "fish"), "event_id": "x"},
    ],
)
def test_what_cannot_have_happened_is_refused_and_nothing_kept(client, odd):
    refused = client.post("/api/v1/events", json={"events": [event(2, "fish"), odd]})
    assert refused.status_code == 422
    assert client.get("/api/v1/events", params={"plan_id": PLAN}).json() == []


def left(client, spool_id):
    rows = {row["spool_id"]: row for row in client.get("/api/v1/stock").json()}
    return rows[spool_id]["item"]["remaining_m"]


def test_a_tippet_renewed_at_the_water_comes_off_its_spool_once_and_goes_back(fished):
    client = fished
    day = client.get("/api/v1/log").json()["days"][0]
    rig = client.get("/api/v1/log/" + day["plan_id"]).json()["lines"][-1]["rig"]
    assert rig
    leader = next(item for item in client.get("/api/v1/leaders").json() if item["title"] == rig)
    design = client.get(f"/api/v1/leaders/{leader['leader_id']}").json()["design"]
    spool = design["leader"]["pieces"][-1]["strand"]["spool_id"]
    before = left(client, spool)
    late = {**event(1, "new-tippet", day["plan_id"]), "at": 1_790_000_000_000}
    for _ in range(2):
        sent(client, late)
    assert left(client, spool) < before
    line = client.get("/api/v1/ledger").json()["lines"][0]
    assert line["title"] == f"Renewed: At the water: {rig}"
    back = {**event(2, "taken-back", day["plan_id"], undoes=late["event_id"]), "at": late["at"] + 1}
    sent(client, back)
    assert left(client, spool) == pytest.approx(before)


def test_the_log_is_found_by_anything_in_it_and_goes_out_as_files(fished):
    client = fished
    every = client.get("/api/v1/log").json()
    assert len(every["days"]) == 15
    assert "tippets renewed" in every["season"]["words"]
    found = client.get("/api/v1/log", params={"q": "broke gorge"}).json()
    assert 0 < len(found["days"]) < len(every["days"])
    assert found["season"]["words"].split(":")[1].startswith(" no fish")
    nothing = client.get("/api/v1/log", params={"q": "xyzzy"}).json()
    assert nothing["days"] == []
    assert nothing["season"]["words"] == "No fished day matches."
    day = client.get(f"/api/v1/log/{every['days'][0]['plan_id']}").json()
    assert day["lines"][0]["level"]
    assert all(rig["outline"] and rig["words"] for rig in day["rigs"])
    assert len(day["rigs"]) >= 3
    table = client.get("/api/v1/log/files/events.csv").text.splitlines()
    assert table[0].startswith("at,kind,words,water,stretch")
    assert len(table) > 400
    file = client.get("/api/v1/log/files/events.json").json()
    schema = client.get("/api/v1/log/files/log.schema.json").json()
    jsonschema.validate(file, schema)
    assert sent(client, *file["events"][:50])["new"] == 0
    assert client.get("/api/v1/log/" + "0" * 32).status_code == 404


def test_a_day_that_was_fished_is_not_forgotten_and_says_what_came_last_time(fished):
    client = fished
    plans = client.get("/api/v1/plans").json()
    fished = next(item for item in plans if item["fished"])
    refused = client.delete(f"/api/v1/plans/{fished['plan_id']}")
    assert (refused.status_code, refused.json()["where"]) == (422, "plan_id")
    coming = next(item for item in plans if not item["fished"])
    before = client.get(f"/api/v1/plans/{coming['plan_id']}").json()["before"]
    assert before[0].startswith("Last time here at ")


def test_landings_told_at_the_water_teach_the_own_cast_once(fished):
    client = fished
    day = client.get("/api/v1/log").json()["days"][0]["plan_id"]
    landings = client.get(f"/api/v1/log/{day}/landings").json()
    one = next(row for row in landings if row["design"]["leader"]["school"] != "tight-line")
    body = {"bench": "log", **one}
    for _ in range(2):
        told = client.post("/api/v1/own-cast/landings", json=body)
        assert len(told.json()["landings"]) == 1
    left = client.get(f"/api/v1/log/{day}/landings").json()
    assert [row["event_id"] for row in left] == [
        row["event_id"] for row in landings if row["event_id"] != one["event_id"]
    ]


def test_a_rig_of_the_wallet_is_as_worn_as_the_day_left_it(client):
    plan = next(item for item in client.get("/api/v1/plans").json() if not item["fished"])[
        "plan_id"
    ]
    pack = client.post("/api/v1/plans/pack", json={"plan_id": plan}).json()
    rig = next(item for item in pack["rigs"] if item["ready"])
    at = {"plan_id": plan}

    def state():
        rigs = {item["rig_id"]: item["state"] for item in client.get("/api/v1/wallet").json()}
        return rigs[rig["key"]]

    assert state() == "new"
    sent(client, {**event(1, "changed-rig", rig=rig["key"]), **at}, {**event(2, "fish"), **at})
    assert state() == "fished"
    sent(client, {**event(3, "wind-knot"), **at})
    assert state() == "worn"
