"""Saving over HTTP: entity tags guard revisions, a conflict keeps both sides."""


def test_save_reads_back_with_its_tag(client, saved):
    made = client.post("/api/v1/leaders", json={**saved["design"], "title": "Mine"})
    assert made.status_code == 201
    assert made.headers["etag"] == '"1"'
    found = client.get(made.headers["location"])
    assert (found.headers["etag"], found.json()["design"]["title"]) == ('"1"', "Mine")
    assert client.get("/api/v1/leaders").json()[0]["title"] == "Mine"


def test_a_conflict_is_told_with_the_newest_revision(client, saved):
    path = f"/api/v1/leaders/{saved['leader_id']}/revisions"
    first = client.post(path, json=saved["design"], headers={"if-match": '"1"'})
    assert (first.status_code, first.headers["etag"]) == (201, '"2"')
    late = client.post(path, json=saved["design"], headers={"if-match": '"1"'})
    problem = late.json()
    assert (late.status_code, problem["code"], problem["newest"]) == (412, "stale-revision", 2)
    assert "Both are kept" in problem["hint"]
    again = client.post(path, json=saved["design"], headers={"if-match": '"2"'})
    assert again.status_code == 201
    assert client.get(f"{path}/1").json()["design"] == saved["design"]


def test_a_save_without_or_with_a_strange_tag_is_refused(client, saved):
    path = f"/api/v1/leaders/{saved['leader_id']}/revisions"
    assert client.post(path, json=saved["design"]).status_code == 422
    strange = client.post(path, json=saved["design"], headers={"if-match": "*"})
    assert (strange.status_code, strange.json()["where"]) == (422, "header.if-match")


def test_off_the_shelf_and_back(client, saved):
    path = f"/api/v1/leaders/{saved['leader_id']}"
    assert client.delete(path).status_code == 204
    assert client.get(path).json()["code"] == "not-found"
    assert client.delete(path).status_code == 404
    assert client.post(f"{path}/restore").status_code == 204
    assert client.get(path).json()["design"] == saved["design"]


def test_the_shelf_shows_each_leader_to_draw(client):
    cards = client.get("/api/v1/leaders", params={"units": "metric"}).json()
    assert len(cards) == 14
    for card in cards:
        assert card["outline"][0]["from_m"] == 0
        assert card["length"].endswith("m")
        assert card["notes"]
        assert card["updated_at"].endswith("+00:00")


def test_settings_are_kept(client):
    wanted = {"name": "Runa", "units": "metric", "theme": "dark"}
    assert client.put("/api/v1/angler", json=wanted).json() == wanted
    assert client.get("/api/v1/angler").json() == wanted
    assert client.put("/api/v1/angler", json={**wanted, "units": "cubits"}).status_code == 422
