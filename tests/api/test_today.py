"""Which school today?, over HTTP: every school once, grouped, with a leader to put on the bench."""

from nine_knots.api.examples import SITUATION
from nine_knots.core.schools import SCHOOLS


def ask(client, **more):
    return client.post("/api/v1/today", json={"bench": "test", "situation": SITUATION, **more})


def test_every_school_comes_once_in_its_group(client):
    cards = ask(client).json()["cards"]
    assert {card["key"] for card in cards} == set(SCHOOLS)
    groups = [card["group"] for card in cards]
    assert groups == sorted(groups, key=["fits this day", "would do", "not for this"].index)
    first = cards[0]
    assert first["group"] == "fits this day"
    assert {item["status"] for item in first["measures"]} == {"right"}
    design = {"title": first["title"], "notes": "", "situation": SITUATION}
    body = {"design": {**design, "leader": first["leader"]}}
    assert client.post("/api/v1/bench", json=body).status_code == 200


def test_a_stroke_that_cannot_be_read_names_its_field(client):
    refused = ask(client, stroke={"speed": "like a storm"})
    assert (refused.status_code, refused.json()["where"]) == (422, "speed")
