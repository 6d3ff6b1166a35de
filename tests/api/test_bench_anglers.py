"""Beginning with one's own: nothing of the demo is in it, and the way back is one call."""

from datetime import datetime, timedelta

from nine_knots.store.codes import WAIT


def test_own_and_demo_are_apart_and_change_places(client):
    demo = client.get("/api/v1/anglers").json()[0]
    begun = client.post("/api/v1/anglers", json={"name": "Eira"})
    mine = begun.json()
    assert (mine["name"], mine["demo"], mine["in_front"]) == ("Eira", False, True)
    assert client.get("/api/v1/stock").json() == []
    assert client.get("/api/v1/leaders").json() == []
    assert client.get("/api/v1/kit").json() == {"rods": [], "lines": [], "flies": []}
    client.post("/api/v1/owned", json={"text": "5X fluoro 30 m"})
    back = client.post(f"/api/v1/anglers/{demo['angler_id']}/front").json()
    assert back == {**demo, "in_front": True}
    assert all("5X fluoro" not in row["title"] for row in client.get("/api/v1/stock").json())
    client.post(f"/api/v1/anglers/{mine['angler_id']}/front")
    assert [row["title"] for row in client.get("/api/v1/stock").json()] == [
        "Fluorocarbon .006 in · 5X"
    ]
    missing = client.post("/api/v1/anglers/nobody/front")
    assert (missing.status_code, missing.json()["where"]) == (404, "angler_id")
    assert client.get("/api/v1/anglers").json()[0]["name"] == "Eira"


def test_the_demo_is_made_where_there_is_none_and_only_once(client):
    for _ in range(2):
        demo = client.post("/api/v1/anglers/demo").json()
        assert (demo["demo"], demo["in_front"]) == (True, True)
    assert client.get("/api/v1/leaders").json()
    assert len([item for item in client.get("/api/v1/anglers").json() if item["demo"]]) == 1


def test_a_code_keeps_ones_things_from_the_others_of_the_household(client, monkeypatch):
    demo = client.get("/api/v1/anglers").json()[0]
    put = client.put("/api/v1/anglers/code", json={"code": "1234"})
    assert (put.status_code, put.json()["detail"]) == (422, "The demo can't have a code.")
    mine = client.post("/api/v1/anglers", json={"name": "Eira"}).json()
    short = client.put("/api/v1/anglers/code", json={"code": "12"})
    assert (short.status_code, short.json()["where"]) == (422, "code")
    assert client.put("/api/v1/anglers/code", json={"code": "salt 7"}).json()["locked"]
    for now in ("", "salt 8"):
        wrong = client.put("/api/v1/anglers/code", json={"code": "", "now": now})
        assert (wrong.status_code, wrong.json()["code"]) == (422, "wrong-code")
    client.post(f"/api/v1/anglers/{demo['angler_id']}/front").raise_for_status()
    front = f"/api/v1/anglers/{mine['angler_id']}/front"
    assert client.post(front).json()["detail"] == "These things are protected by a code."
    assert client.post("/api/v1/account-data/back").json()["code"] == "wrong-code"
    assert client.get("/api/v1/anglers").json()[0]["name"] == demo["name"]
    for guess in ("1", "2", "3"):  # two wrong ones were given before
        refused = client.post(front, json={"code": guess})
        assert refused.json()["code"] == "wrong-code"
    waits = client.post(front, json={"code": "salt 7"})
    assert waits.json()["hint"].startswith("Wait a minute")
    monkeypatch.setattr("nine_knots.store.codes.datetime", Later)
    here = client.post(front, json={"code": " salt 7 "}).json()
    assert (here["name"], here["in_front"], here["locked"]) == ("Eira", True, True)
    assert not client.put("/api/v1/anglers/code", json={"code": "", "now": "salt 7"}).json()[
        "locked"
    ]
    assert client.post(front).status_code == 200


class Later(datetime):
    """A minute and a second later."""

    @classmethod
    def now(cls, tz=None):
        return datetime.now(tz) + WAIT + timedelta(seconds=1)
