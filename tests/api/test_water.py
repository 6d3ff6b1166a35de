"""Fishing a design over HTTP: the reading, its movie, what mends it, its table, its card."""

import pytest


@pytest.fixture
def rig(client) -> dict:
    """The demo's rig of two nymphs under an indicator."""
    cards = client.get("/api/v1/leaders").json()
    found = next(card for card in cards if card["title"].startswith("Two under the float"))
    return client.get(f"/api/v1/leaders/{found['leader_id']}").json()["design"]


def ask(client, path, design, **more):
    return client.post(f"/api/v1/water{path}", json={"bench": "test", "design": design, **more})


def test_a_rig_is_read_with_its_movie_or_without(client, rig):
    reading = ask(client, "", rig).json()
    assert (reading["technique"], reading["top"]) == ("under an indicator", "indicator")
    assert reading["followed"]
    assert {reading["drift"]["key"], reading["depth_cord"]["key"]} == {"drift", "depth"}
    assert len(reading["flies"]) == 2
    assert len(reading["movie"]["frames"]) > 20
    assert {fact["title"] for fact in reading["rules"]} >= {"Flies", "Rules"}
    bare = ask(client, "", rig, movie=False).json()
    assert bare["movie"] is None
    assert bare["drift"] == reading["drift"]


def test_units_and_what_is_asked_change_the_words(client, rig):
    metric = ask(client, "", rig, units="metric", fished={"wanted": "60 cm"}).json()
    wanted, drift = metric["fields"]
    assert (drift["key"], drift["text"]) == ("drift", "12 m")
    assert (wanted["key"], wanted["text"]) == ("wanted", "60 cm")
    assert "60 cm" in metric["depth_cord"]["why"]


@pytest.mark.parametrize(
    ("part", "text", "says"),
    [
        ("wanted", "deep", "cannot be read"),
        ("count", "-3", "cannot be read"),
        ("lead", "fast", "not a percentage"),
        ("pull_speed", "90 m/s", "outside"),
        ("tip", "12 m", "out of range"),
    ],
)
def test_a_bad_figure_is_refused_and_named(client, rig, part, text, says):
    problem = ask(client, "", rig, fished={part: text})
    assert problem.status_code == 422
    assert problem.json()["where"] == part
    assert says in problem.json()["detail"]
    assert problem.json()["hint"]


def test_what_mends_it_and_what_works(client, rig):
    things = [{**rig["leader"]["attachments"][0], "above_end_m": 0.7}]
    shallow = {**rig, "leader": {**rig["leader"], "attachments": things}}
    remedies = ask(client, "/remedies", shallow).json()
    assert "setting" in {remedy["what"] for remedy in remedies}
    mended = ask(client, "", remedies[0]["design"], movie=False).json()
    assert {mended["drift"]["status"], mended["depth_cord"]["status"]} == {"right"}
    lines = ask(client, "/tuning", rig).json()["lines"]
    assert {line["what"] for line in lines} == {"setting", "shot", "bead"}


def test_the_depth_table_and_the_card_that_carries_it(client, rig):
    table = ask(client, "/depth-table", rig).json()
    assert len(table["depths"]) == len(table["rows"][0]["cells"]) == 3
    named = ask(client, "/depth-table", rig, depths="60 cm; 1.2 m").json()
    assert named["depths"] == ["24 in", "4 ft"]
    refused = ask(client, "/depth-table", rig, depths="2 ft, a lot")
    assert (refused.status_code, refused.json()["where"]) == (422, "depths")
    wanted = {"wanted": [{"design": rig, "count": 1}], "paper": "a4"}
    plain = client.post("/api/v1/tying/cards", json=wanted)
    with_table = client.post("/api/v1/tying/cards", json={**wanted, "depth_table": True})
    assert with_table.content.startswith(b"%PDF")
    assert len(with_table.content) > len(plain.content)


def test_how_surely_it_reaches_the_zone(client, rig):
    told = ask(client, "/reach", rig, fished={"wanted": "24 in"}).json()
    assert told["fact"]["title"] == "Zone"
    assert "of 32 tries reach the depth you asked for" in told["fact"]["text"]
    refused = ask(client, "/reach", rig, fished={"wanted": "deep"})
    assert (refused.status_code, refused.json()["where"]) == (422, "wanted")


def test_an_edit_hangs_a_shot_and_the_evaluation_tells_of_it(client, rig):
    asked = {"design": rig, "edit": {"act": "hang-on", "kind": "shot"}}
    answer = client.post("/api/v1/bench", json=asked).json()
    kinds = [thing["kind"] for thing in answer["evaluation"]["things"]]
    assert kinds == ["indicator", "shot"]
    assert answer["evaluation"]["branches"][0]["form"] == "in line"
    assert answer["evaluation"]["water_line_m"] > 0


def test_a_fly_with_its_jar_test_is_kept_and_a_wild_one_refused(client):
    fly = {"kind": "nymph", "hook": "14", "bead": "3 mm", "fall": "20 cm", "fall_time": "0.5 s"}
    made = client.post("/api/v1/kit/flies", json=fly).json()
    assert made["sink_m_s"] == pytest.approx(0.4)
    wild = client.post("/api/v1/kit/flies", json={**fly, "fall": "4 m"})
    assert wild.status_code == 422
    assert wild.json()["where"] == "fall"
