"""The pull over HTTP, in the angler's units, refusing what is no design."""


def test_a_design_is_pulled(client, saved):
    body = {"design": saved["design"], "record": True, "units": "metric"}
    wet = client.post("/api/v1/hold", json=body).json()
    dry = client.post("/api/v1/hold", json={**body, "soaked": False}).json()
    assert wet["mean"]["text"].endswith("kg")
    assert dry["mean"]["si"] > wet["mean"]["si"] > wet["low"]["si"]
    assert len(wet["specimens"]) == 24
    assert wet["record"][0]["text"].startswith("Class tippet")


def test_wear_is_an_edit_and_shows_in_the_verdict(client, saved):
    edit = {"act": "set-wear", "piece": 5, "wear": "nicked"}
    before = client.post("/api/v1/bench", json={"design": saved["design"]}).json()["evaluation"]
    worn = client.post("/api/v1/bench", json={"design": saved["design"], "edit": edit}).json()
    assert worn["design"]["leader"]["pieces"][5]["wear"] == "nicked"
    hold = {m["key"]: m for m in worn["evaluation"]["verdict"]}["hold"]
    assert "in piece 6" in hold["why"]
    assert worn["evaluation"]["low"]["si"] < before["low"]["si"]
    refused = client.post(
        "/api/v1/bench", json={"design": saved["design"], "edit": {**edit, "wear": "gone"}}
    )
    assert refused.status_code == 422
