"""Spools, packets and tackle as typed, refused field by field."""

import pytest

from nine_knots.api.examples import SITUATION

SPOOL = {"material": "nylon-stiff", "diameter": ".018", "left": "75 ft", "strength": "18 lb"}
FALLEN = {"kind": "dry", "hook": "14", "bulk": "bushy", "air_fall": "2.5 m"}
PACKET = {
    "butt": ".021",
    "butt_length": "3 ft",
    "taper_length": "4 ft",
    "tip_length": "2 ft",
    "tip": "4X",
    "count": 3,
}


def test_a_spool_is_read_named_and_kept(client):
    made = client.post("/api/v1/stock/spools", json=SPOOL).json()
    assert made["title"] == "stiff nylon .018 in"
    assert (made["diameter"], made["strength"], made["left"]) == (".018 in", "18.0 lb", "75 ft")
    shelf = {row["spool_id"]: row for row in client.get("/api/v1/stock").json()}
    assert shelf[made["spool_id"]]["labelled"]
    again = client.post(
        "/api/v1/stock/spools", json={**SPOOL, "spool_id": made["spool_id"], "left": "9 ft"}
    )
    assert again.json()["left"] == "9 ft"
    assert len(client.get("/api/v1/stock").json()) == len(shelf)
    assert client.delete(f"/api/v1/stock/{made['spool_id']}").status_code == 204
    assert client.delete(f"/api/v1/stock/{made['spool_id']}").status_code == 404


def test_a_strength_without_label_is_worked_out(client):
    made = client.post("/api/v1/stock/spools", json={**SPOOL, "strength": ""}).json()
    assert not made["labelled"]
    assert made["strength"].endswith(" lb")


def test_a_packet_can_be_typed_again_from_what_is_shown(client):
    made = client.post("/api/v1/stock/packets", json=PACKET).json()
    assert made["left"] == "3 of 9 ft"
    texts = made["packet"]
    again = client.post(
        "/api/v1/stock/packets", json={**texts, "spool_id": made["spool_id"]}
    ).json()
    assert again["packet"] == texts


def test_a_spool_is_known_by_its_label_until_it_is_measured(client):
    typed = {"material": "nylon-medium", "strength": "40 lb", "left": "25 yd"}
    row = client.post("/api/v1/stock/spools", json=typed).json()
    assert (row["title"], row["estimated"]) == ("medium nylon 40 lb", True)
    assert row["diameter"].startswith("≈")
    assert row["item"]["remaining_m"] == pytest.approx(22.86)
    assert row["item"]["strand"]["diameter_m"] == pytest.approx(0.61e-3, rel=0.05)
    in_the_other_box = {**typed, "diameter": "40 lb", "strength": ""}
    again = client.post("/api/v1/stock/spools", json=in_the_other_box).json()
    assert again["item"]["strand"]["diameter_m"] == row["item"]["strand"]["diameter_m"]
    measured = {**typed, "spool_id": row["spool_id"], "diameter": ".026"}
    known = client.post("/api/v1/stock/spools", json=measured).json()
    assert (known["estimated"], known["diameter"]) == (False, ".026 in")
    assert known["strength"] == "40.0 lb"


@pytest.mark.parametrize(
    ("sold", "feet", "thou"),
    [("9 ft 5X", 9.0, 6.0), ("7½ ft 2X", 7.5, 9.0), ("9ft .007", 9.0, 7.0)],
)
def test_a_packet_is_known_as_it_is_sold(client, sold, feet, thou):
    row = client.post("/api/v1/stock/packets", json={"sold_as": sold, "count": 3}).json()
    profile = row["item"]["strand"]["profile"]
    whole = sum(profile[f"{part}_length_m"] for part in ("butt", "taper", "tip"))
    assert whole == pytest.approx(feet * 0.3048)
    assert profile["butt_length_m"] == pytest.approx(0.6 * whole)
    assert profile["tip_diameter_m"] == pytest.approx(thou * 25.4e-6)
    assert row["estimated"]
    again = {"sold_as": row["packet"]["sold_as"], "count": 3, "spool_id": row["spool_id"]}
    assert (
        client.post("/api/v1/stock/packets", json=again).json()["item"]["strand"]
        == (row["item"]["strand"])
    )


def test_a_tippet_is_asked_for_by_label_too(client):
    for pounds in (40, 30, 20, 15):
        typed = {"material": "nylon-medium", "strength": f"{pounds} lb", "left": "25 yd"}
        client.post("/api/v1/stock/spools", json=typed)
    asked = {"school": "tapered-inshore", "situation": SITUATION, "tippet": "15 lb"}
    made = client.post("/api/v1/proposals", json=asked).json()
    assert made["reasons"][0] == "Tippet 15 lb, as you asked."
    assert "marked ≈" in made["reasons"][-1]


@pytest.mark.parametrize(
    ("path", "body", "where"),
    [
        ("stock/spools", {**SPOOL, "diameter": "thick"}, "diameter"),
        ("stock/spools", {**SPOOL, "left": "-3 m"}, "left"),
        ("stock/spools", {**SPOOL, "diameter": "", "strength": ""}, "diameter"),
        ("stock/packets", {"sold_as": "5X", "count": 1}, "sold_as"),
        ("stock/packets", {"sold_as": "90 ft 5X", "count": 1}, "sold_as"),
        ("stock/spools", {**SPOOL, "strength": "9000 lb"}, "strength"),
        ("stock/spools", {**SPOOL, "material": "string"}, "material"),
        ("stock/packets", {**PACKET, "tip": ".03"}, "tip"),
        ("stock/packets", {**PACKET, "taper_length": ""}, "taper_length"),
        ("kit/flies", {"kind": "dry", "hook": "big"}, "hook"),
        ("kit/flies", {"kind": "nymph", "hook": "14", "bead": "9 mm"}, "bead"),
        ("kit/flies", {"kind": "nymph", "hook": "14", "weight": "heavy"}, "weight"),
        ("kit/flies", {"kind": "streamer", "hook": "2", "weight": "16 g"}, "weight"),
        ("kit/flies", {"kind": "streamer", "hook": "2", "length": "2 m"}, "length"),
        ("kit/flies", {"kind": "dry", "hook": "14", "area": "wide"}, "area"),
        ("kit/rods", {"length": "40 ft", "weight": 5}, "length"),
        ("kit/lines", {"weight": 5, "droop_length": "8 in", "droop": "much"}, "droop"),
        ("kit/lines", {"weight": 5, "head": "19 g", "head_length": ""}, "head_length"),
        ("kit/lines", {"weight": 5, "head": "60 g", "head_length": "7 ft"}, "head"),
        ("kit/lines", {"weight": 5, "level": "thin"}, "level"),
        ("kit/flies", {**FALLEN, "air_fall_time": "0.5 s"}, "air_fall_time"),
        ("kit/flies", {**FALLEN, "area": "1 cm2"}, "area"),
        ("kit/lines", {"weight": 5, "droop_length": "8 in", "droop": "8 in"}, "droop"),
    ],
)
def test_what_cannot_be_read_names_its_field(client, path, body, where):
    refused = client.post(f"/api/v1/{path}", json=body)
    assert refused.status_code == 422
    problem = refused.json()
    assert problem["where"] == where
    assert problem["hint"]


def test_a_flys_figures_are_told_as_it_is_typed_and_its_own_go_before_the_tables(client):
    typed = {"kind": "streamer", "hook": "1/0", "length": "4 in", "dressing": "sheds"}
    seen = client.post("/api/v1/kit/flies/preview", json=typed).json()
    soaked = client.post("/api/v1/kit/flies/preview", json={**typed, "dressing": "soaks"}).json()
    assert 1.2 <= 1e3 * seen["mass"]["si"] <= 1.5 < 1e3 * soaked["mass"]["si"]
    assert seen["area"] == soaked["area"]
    assert "estimated from hook and dressing" in seen["words"]
    made = client.post("/api/v1/kit/flies", json={**typed, "weight": "1 g", "area": "5 cm2"}).json()
    own = client.post("/api/v1/kit/flies/figures", json=made).json()
    assert (own["mass"]["si"], own["area"]["si"]) == (pytest.approx(1e-3), pytest.approx(5e-4))
    assert "(weighed)" in own["words"]
    fallen = client.post("/api/v1/kit/flies/preview", json={**FALLEN, "air_fall_time": "1.142 s"})
    assert fallen.json()["area"]["si"] == pytest.approx(0.63e-4, rel=0.01)
    assert "(your own)" in own["words"]


def test_tackle_is_named_kept_and_its_droop_test_worked_out(client):
    fly = client.post(
        "/api/v1/kit/flies", json={"kind": "nymph", "hook": "14", "bulk": "slim", "bead": "3 mm"}
    ).json()
    assert (fly["title"], fly["bead"]["diameter_mm"]) == ("Slim nymph 14", pytest.approx(3.0))
    rod = client.post("/api/v1/kit/rods", json={"length": "10 ft", "weight": 4}).json()
    assert rod["title"] == "10 ft 4-weight, medium"
    limp = {"weight": 5, "droop_length": "8 in", "droop": "4 in", "title": "Limp"}
    stiff = {**limp, "droop": "1 in", "title": "Stiff"}
    tips = [
        client.post("/api/v1/kit/lines", json=line).json()["tip_bend_nm2"] for line in (limp, stiff)
    ]
    assert 1e-8 < tips[0] < tips[1] < 1e-4
    head = {"weight": 9, "head": "300 gr", "head_length": "30 ft"}
    assert client.post("/api/v1/kit/lines", json=head).json()["head_kg"] == pytest.approx(
        19.4e-3, rel=0.01
    )
    thin = client.post("/api/v1/kit/lines", json={"weight": 3, "level": ".022"}).json()
    assert thin["level_m"] == pytest.approx(0.022 * 0.0254)
    kit = client.get("/api/v1/kit").json()
    assert {"Limp", "Stiff"} <= {line["title"] for line in kit["lines"]}
