"""Lower rigs over HTTP: kept by name, swapped, printed by themselves, taken along."""


def of_the_demo(client, title):
    for card in client.get("/api/v1/leaders").json():
        if card["title"] == title:
            return client.get(f"/api/v1/leaders/{card['leader_id']}").json()["design"]
    raise AssertionError(title)


def test_kept_swapped_printed_alone_and_forgotten(client):
    whole = of_the_demo(client, "Sedge and olive")
    kept = client.post("/api/v1/lower-rigs", json={"title": " riffle ", "design": whole}).json()
    assert kept["title"] == "riffle"
    assert "Slim olive 16" in kept["words"]
    again = client.post("/api/v1/lower-rigs", json={"title": "riffle", "design": whole}).json()
    assert again["rig_id"] == kept["rig_id"]
    rigs = {rig["title"]: rig["rig_id"] for rig in client.get("/api/v1/lower-rigs").json()}
    hole = client.post(
        f"/api/v1/lower-rigs/{rigs['hole, slate point']}/swap", json={"design": whole}
    ).json()
    assert hole["situation"]["fly"]["title"].startswith("Slate point")
    back = client.post(f"/api/v1/lower-rigs/{kept['rig_id']}/swap", json={"design": hole}).json()
    assert back["leader"]["pieces"] == whole["leader"]["pieces"]
    alone = client.post(
        f"/api/v1/lower-rigs/{kept['rig_id']}/alone", json={"situation": whole["situation"]}
    ).json()
    card = client.post("/api/v1/tying/cards", json={"wanted": [{"design": alone}]})
    assert card.content.startswith(b"%PDF")
    assert client.delete(f"/api/v1/lower-rigs/{kept['rig_id']}").status_code == 204
    assert client.delete(f"/api/v1/lower-rigs/{kept['rig_id']}").status_code == 404


def test_what_cannot_be_kept_is_refused_by_field(client, saved):
    nameless = client.post("/api/v1/lower-rigs", json={"title": " ", "design": saved["design"]})
    assert (nameless.status_code, nameless.json()["where"]) == (422, "title")
    whole = client.post("/api/v1/lower-rigs", json={"title": "riffle", "design": saved["design"]})
    assert (whole.status_code, whole.json()["where"]) == (422, "joint")
    assert "swivel" in whole.json()["hint"]


def test_they_go_with_everything_the_angler_has(client):
    before = [rig["title"] for rig in client.get("/api/v1/lower-rigs").json()]
    assert len(before) == 3
    everything = client.get("/api/v1/account-data").json()
    assert client.post("/api/v1/account-data", json=everything).status_code == 200
    assert [rig["title"] for rig in client.get("/api/v1/lower-rigs").json()] == before
