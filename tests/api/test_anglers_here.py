"""Beginning with one's own: nothing of the demo is in it, and the way back is one call."""


def test_own_and_demo_are_apart_and_change_places(client):
    demo = client.get("/api/anglers").json()[0]
    begun = client.post("/api/anglers", json={"name": "Eira"})
    mine = begun.json()
    assert (mine["name"], mine["demo"], mine["in_front"]) == ("Eira", False, True)
    assert client.get("/api/stock").json() == []
    assert client.get("/api/leaders").json() == []
    assert client.get("/api/kit").json() == {"rods": [], "lines": [], "flies": []}
    client.post("/api/owned", json={"text": "5X fluoro 30 m"})
    back = client.post(f"/api/anglers/{demo['angler_id']}/front").json()
    assert back == {**demo, "in_front": True}
    assert all("5X fluoro" not in row["title"] for row in client.get("/api/stock").json())
    client.post(f"/api/anglers/{mine['angler_id']}/front")
    assert [row["title"] for row in client.get("/api/stock").json()] == [
        "Fluorocarbon .006 in · 5X"
    ]
    missing = client.post("/api/anglers/nobody/front")
    assert (missing.status_code, missing.json()["where"]) == (404, "angler_id")
    assert client.get("/api/anglers").json()[0]["name"] == "Eira"


def test_the_demo_is_made_where_there_is_none_and_only_once(client):
    for _ in range(2):
        demo = client.post("/api/anglers/demo").json()
        assert (demo["demo"], demo["in_front"]) == (True, True)
    assert client.get("/api/leaders").json()
    assert len([one for one in client.get("/api/anglers").json() if one["demo"]]) == 1
