"""Find me a leader over HTTP: what is asked, what is found while it goes on, what is refused."""

import json

from nine_knots.api.examples import SITUATION
from nine_knots.core.domain.leader import Leader
from nine_knots.core.search.demands import knots_in

ASKED = {"bench": "test", "situation": SITUATION, "most": 20}


def test_a_search_shows_what_it_comes_to_and_ends_with_chances(client):
    body = {**ASKED, "most_knots": 5, "wishes": ["long and fine", "few knots"]}
    told = []
    with client.stream(
        "POST", "/api/v1/find", json=body, headers={"accept": "text/event-stream"}
    ) as events:
        name = ""
        for line in events.iter_lines():
            name = line.removeprefix("event: ") if line.startswith("event: ") else name
            if line.startswith("data: ") and name != "progress":
                told.append((name, json.loads(line.removeprefix("data: "))))
    names = [name for name, _ in told]
    assert names.count("found") >= 2
    assert names[-1] == "answer"
    last = told[-1][1]
    assert {card["chance"] != "" for card in last["cards"]} == {True}
    for card in last["cards"]:
        leader = Leader.model_validate(card["leader"])
        assert knots_in(leader) <= 5
        design = {
            "title": "f",
            "notes": "",
            "situation": last["situation"],
            "leader": card["leader"],
        }
        assert (
            client.post(
                "/api/v1/bench", json={"design": {**design, "leader": card["leader"]}}
            ).status_code
            == 200
        )


def test_what_is_asked_is_a_sentence_and_the_impossible_is_told_and_refused(client):
    said = client.post(
        "/api/v1/find/asked", json={**ASKED, "fish": "2 lb", "longest": "4 in"}
    ).json()
    assert "2 lb" in next(item["text"] for item in said["sentence"] if item["part"] == "fish")
    assert said["impossible"] == ["At 4 in it is too short for a leader: allow at least a foot."]
    refused = client.post("/api/v1/find", json={**ASKED, "longest": "4 in"})
    assert (refused.status_code, refused.json()["detail"]) == (422, said["impossible"][0])


def test_a_demand_that_cannot_be_read_names_its_field(client):
    for field, typed in (("fish", "a big one"), ("longest", "long"), ("shortest", "-3 ft")):
        refused = client.post("/api/v1/find/asked", json={**ASKED, field: typed})
        assert (refused.status_code, refused.json()["where"]) == (422, field)
    crossed = {**ASKED, "shortest": "10 ft", "longest": "8 ft"}
    refused = client.post("/api/v1/find/asked", json=crossed)
    assert (refused.status_code, refused.json()["where"]) == (422, "longest")
