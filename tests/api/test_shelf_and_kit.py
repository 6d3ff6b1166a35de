"""Spools, packets and tackle as typed, refused field by field."""

import pytest

SPOOL = {"material": "nylon-stiff", "diameter": ".018", "left": "75 ft", "strength": "18 lb"}
PACKET = {
    "butt": ".021",
    "butt_length": "3 ft",
    "taper_length": "4 ft",
    "tip_length": "2 ft",
    "tip": "4X",
    "count": 3,
}


def test_a_spool_is_read_named_and_kept(client):
    made = client.post("/api/stock/spools", json=SPOOL).json()
    assert made["title"] == "stiff nylon .018 in"
    assert (made["diameter"], made["strength"], made["left"]) == (".018 in", "18.0 lb", "75 ft")
    shelf = {row["spool_id"]: row for row in client.get("/api/stock").json()}
    assert shelf[made["spool_id"]]["labelled"]
    again = client.post(
        "/api/stock/spools", json={**SPOOL, "spool_id": made["spool_id"], "left": "9 ft"}
    )
    assert again.json()["left"] == "9 ft"
    assert len(client.get("/api/stock").json()) == len(shelf)
    assert client.delete(f"/api/stock/{made['spool_id']}").status_code == 204
    assert client.delete(f"/api/stock/{made['spool_id']}").status_code == 404


def test_a_strength_without_label_is_worked_out(client):
    made = client.post("/api/stock/spools", json={**SPOOL, "strength": ""}).json()
    assert not made["labelled"]
    assert made["strength"].endswith(" lb")


def test_a_packet_can_be_typed_again_from_what_is_shown(client):
    made = client.post("/api/stock/packets", json=PACKET).json()
    assert made["left"] == "3 of 9 ft"
    texts = made["packet"]
    again = client.post("/api/stock/packets", json={**texts, "spool_id": made["spool_id"]}).json()
    assert again["packet"] == texts


@pytest.mark.parametrize(
    ("path", "body", "where"),
    [
        ("stock/spools", {**SPOOL, "diameter": "thick"}, "diameter"),
        ("stock/spools", {**SPOOL, "left": "-3 m"}, "left"),
        ("stock/spools", {**SPOOL, "strength": "9000 lb"}, "strength"),
        ("stock/spools", {**SPOOL, "material": "string"}, "material"),
        ("stock/packets", {**PACKET, "tip": ".03"}, "tip"),
        ("stock/packets", {**PACKET, "taper_length": ""}, "taper_length"),
        ("kit/flies", {"kind": "dry", "hook": "big"}, "hook"),
        ("kit/flies", {"kind": "nymph", "hook": "14", "bead": "9 mm"}, "bead"),
        ("kit/flies", {"kind": "nymph", "hook": "14", "weight": "heavy"}, "weight"),
        ("kit/rods", {"length": "40 ft", "weight": 5}, "length"),
        ("kit/lines", {"weight": 5, "droop_length": "8 in", "droop": "much"}, "droop"),
        ("kit/lines", {"weight": 5, "droop_length": "8 in", "droop": "8 in"}, "droop"),
    ],
)
def test_what_cannot_be_read_names_its_field(client, path, body, where):
    refused = client.post(f"/api/{path}", json=body)
    assert refused.status_code == 422
    problem = refused.json()
    assert problem["where"] == where
    assert problem["mend"]


def test_tackle_is_named_kept_and_its_droop_test_worked_out(client):
    fly = client.post(
        "/api/kit/flies", json={"kind": "nymph", "hook": "14", "bulk": "slim", "bead": "3 mm"}
    ).json()
    assert (fly["title"], fly["bead"]["diameter_mm"]) == ("Slim nymph 14", pytest.approx(3.0))
    rod = client.post("/api/kit/rods", json={"length": "10 ft", "weight": 4}).json()
    assert rod["title"] == "10 ft 4-weight, medium"
    limp = {"weight": 5, "droop_length": "8 in", "droop": "4 in", "title": "Limp"}
    stiff = {**limp, "droop": "1 in", "title": "Stiff"}
    tips = [
        client.post("/api/kit/lines", json=line).json()["tip_bend_nm2"] for line in (limp, stiff)
    ]
    assert 1e-8 < tips[0] < tips[1] < 1e-4
    kit = client.get("/api/kit").json()
    assert {"Limp", "Stiff"} <= {line["title"] for line in kit["lines"]}
