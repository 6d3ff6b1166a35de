"""The bench over HTTP: a change goes in, the design and everything read of it comes back."""

import pytest

from nine_knots.api.examples import DESIGN, SITUATION


def ask(client, design, **more):
    return client.post("/api/v1/bench", json={"design": design, "units": "imperial", **more})


def test_a_design_is_read_and_nothing_is_stored(client, saved):
    answer = ask(client, saved["design"]).json()
    assert answer["design"] == saved["design"]
    assert answer["evaluation"]["length"]["text"] == "9 ft"
    assert {m["key"] for m in answer["evaluation"]["verdict"]} == {"match", "hold", "length"}
    assert client.get("/api/v1/leaders").json()[0]["revision"] == 1


def test_every_figure_follows_a_change(client, saved):
    edit = {"act": "set-length", "piece": 5, "length": "16 ft"}
    before = ask(client, saved["design"]).json()["evaluation"]
    after = ask(client, saved["design"], edit=edit).json()["evaluation"]
    assert after["pieces"][5]["length"]["text"] == "16 ft"
    assert after["length"]["si"] > before["length"]["si"]
    assert after["work"]["rows"][5]["cut"]["si"] > before["work"]["rows"][5]["cut"]["si"]
    assert after["verdict"][2]["status"] == "too much"


def test_a_word_changes_the_sentence_and_what_is_asked(client, saved):
    answer = ask(client, saved["design"], say={"part": "fish mass", "text": "30 lb"}).json()
    assert "30 lb" in answer["evaluation"]["sentence"][5]["text"]
    assert answer["evaluation"]["verdict"][1]["status"] == "too little"


def test_metric_anglers_read_metric(client, saved):
    body = {"design": saved["design"], "units": "metric"}
    evaluation = client.post("/api/v1/bench", json=body).json()["evaluation"]
    assert evaluation["length"]["text"].endswith(" m")
    assert evaluation["need"]["text"].endswith(" kg")


@pytest.mark.parametrize(
    ("edit", "code", "where"),
    [
        ({"act": "set-length", "piece": 0, "length": "a bit"}, "unreadable", ""),
        ({"act": "set-length", "piece": 0, "length": "50 m"}, "out-of-range", ""),
        ({"act": "delete", "piece": 30}, "edit-refused", "edit.piece"),
        ({"act": "use-stock", "piece": 0, "spool_id": "no"}, "edit-refused", "edit.spool_id"),
        ({"act": "fly away"}, "invalid", "edit"),
    ],
)
def test_a_refused_change_says_what_where_and_the_mend(client, saved, edit, code, where):
    refused = ask(client, saved["design"], edit=edit)
    assert refused.status_code == 422
    assert refused.headers["content-type"] == "application/problem+json"
    problem = refused.json()
    assert (problem["code"], problem["where"]) == (code, where)
    assert problem["type"] == f"urn:nine-knots:problem:{code}"
    assert problem["detail"]
    assert problem["hint"]


@pytest.mark.parametrize("length", ["Infinity", "NaN", "-1", "0", "1e400", '"long"'])
def test_figures_that_are_none_are_refused_by_field(client, saved, length):
    import json

    text = json.dumps({"design": saved["design"]})
    first = json.dumps(saved["design"]["leader"]["pieces"][0]["length_m"])
    broken = text.replace(f'"length_m": {first}', f'"length_m": {length}', 1)
    assert broken != text
    refused = client.post(
        "/api/v1/bench", content=broken, headers={"content-type": "application/json"}
    )
    assert refused.status_code == 422
    assert refused.json()["hint"]


def test_schools_propose_from_the_shelf_with_reasons(client, saved):
    body = {
        "school": "halving",
        "situation": saved["design"]["situation"],
        "length": "8 ft",
        "tippet": "3X",
    }
    made = client.post("/api/v1/proposals", json=body).json()
    assert made["length"]["text"] == "8 ft"
    assert made["leader"]["school"] == "halving"
    assert made["outline"][-1]["to_m"] == pytest.approx(8 * 0.3048, rel=1e-3)
    assert made["reasons"]
    bad = client.post("/api/v1/proposals", json={**body, "length": "long"})
    assert bad.json()["code"] == "unreadable"
    none = client.post("/api/v1/proposals", json={**body, "school": "none"})
    assert (none.status_code, none.json()["code"]) == (404, "not-found")


def test_a_leader_from_nothing_is_one_butt(client):
    day = client.get("/api/v1/day").json()
    bare = client.post("/api/v1/proposals/bare", json={"situation": day}).json()
    assert [piece["role"] for piece in bare["pieces"]] == ["butt"]


def test_the_catalogue_names_every_choice_in_the_anglers_units(client):
    inches = client.get("/api/v1/catalogue").json()
    metric = client.get("/api/v1/catalogue", params={"units": "metric"}).json()
    assert len(inches["schools"]) == 25
    assert {"line", "loop", "between", "eye"} == set(inches["knots"])
    assert inches["depths"][1]["note"].endswith(" in")
    assert metric["depths"][1]["note"].endswith(" cm")
    assert all(school["opponent"] and school["objection"] for school in inches["schools"])


def test_what_i_always_tie_is_used_by_every_school_and_everywhere_on_a_leader(client):
    mine = {"fly": "uni", "ring": "uni", "tippet": "double-uni", "sections": "double-uni"}
    assert client.put("/api/v1/angler/knots", json=mine).json() == mine
    asked = {"school": "halving", "situation": SITUATION}
    made = client.post("/api/v1/proposals", json=asked).json()["leader"]
    assert [joint["knot"] for joint in made["joints"][1:]] == ["double-uni"] * 3 + ["uni"]
    tied = client.post("/api/v1/bench/my-knots", json={"design": DESIGN}).json()
    assert tied["joints"][-1]["knot"] == "uni"
    wrong = client.put("/api/v1/angler/knots", json={"fly": "blood"})
    assert (wrong.status_code, "not tied there" in wrong.text) == (422, True)
    client.put("/api/v1/angler/knots", json={})
    assert client.get("/api/v1/angler/knots").json()["fly"] is None


def test_a_day_is_said_without_a_leader_and_its_presentation_follows_the_fly(client):
    day = client.get("/api/v1/day/nymph").json()
    assert (day["fly"]["kind"], day["wish"]) == ("nymph", "drift deep")
    body = {"situation": day, "say": {"part": "depth", "text": "waist-deep"}}
    said = client.post("/api/v1/day", json=body).json()
    assert said["situation"]["water"]["depth_m"] == 1.0
    assert said["said"]["depth"]["word"] == "waist-deep"
    flies = client.get("/api/v1/kit").json()["flies"]
    dry = next(fly for fly in flies if fly["kind"] == "dry")
    tied = client.post("/api/v1/day", json={"situation": said["situation"], "fly": dry}).json()
    assert tied["situation"]["wish"] == "drift on top"
    assert tied["note"] == f"The {dry['title']} can't drift deep, so it is set to drift on top."
    assert client.get("/api/v1/day/whale").status_code == 422
    wrong = {"situation": day, "say": {"part": "depth", "text": "deep-ish"}}
    assert client.post("/api/v1/day", json=wrong).json()["where"] == "depth"
