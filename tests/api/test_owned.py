"""What is owned, typed as it is said, over HTTP: read, kept whole or not at all, corrected."""

LIST = "5X fluoro 30 m\n.017 stiff nylon 50 yd 20 lb\n9 ft 4X tapered, 3 left\n9 ft 6 wt, fast"


def test_lines_are_read_and_kept_together(client):
    rows = client.post("/api/v1/owned/read", json={"text": f"{LIST}\nfluffy"}).json()
    assert [row["kind"] for row in rows] == ["spool", "spool", "packet", "rod", None]
    assert rows[0]["presumed"] == ["breaks at about 4.4 lb"]
    assert "no diameter" in rows[4]["what"]
    before = len(client.get("/api/v1/stock").json())
    refused = client.post("/api/v1/owned", json={"text": f"{LIST}\nfluffy"})
    assert (refused.status_code, refused.json()["where"]) == (422, "text")
    assert "Line 5" in refused.json()["detail"]
    assert len(client.get("/api/v1/stock").json()) == before
    headers = {"idempotency-key": "four things"}
    for _ in range(2):  # sent again, it is not done twice
        kept = client.post("/api/v1/owned", json={"text": LIST}, headers=headers)
        assert kept.json()["words"] == "Two spools, one packet of tapers and one rod on the shelf."
    assert len(client.get("/api/v1/stock").json()) == before + 3


def test_kit_is_listed_corrected_by_its_line_and_taken_out(client):
    client.post("/api/v1/owned", json={"text": "7 wt sink 3, loop\nBrook fancy size 16 dry"})
    rows = {row["title"]: row for row in client.get("/api/v1/owned/kit").json()}
    fancy = rows["Brook fancy 16"]
    assert fancy["kind"] == "fly"
    said = fancy["text"].replace("size 16", "size 18")
    put = client.post("/api/v1/owned", json={"text": said, "instead": fancy["tackle_id"]})
    assert put.status_code == 200
    flies = [fly for fly in client.get("/api/v1/kit").json()["flies"] if "Brook" in fly["title"]]
    assert [fly["hook"] for fly in flies] == [18]
    two = {"text": f"{said}\n{said}", "instead": fancy["tackle_id"]}
    assert client.post("/api/v1/owned", json=two).status_code == 422
    wrong = {"text": "9 ft 5 wt", "instead": fancy["tackle_id"]}
    assert client.post("/api/v1/owned", json=wrong).status_code == 404
    assert client.delete(f"/api/v1/owned/kit/{fancy['tackle_id']}").status_code == 204
    assert client.delete(f"/api/v1/owned/kit/{fancy['tackle_id']}").status_code == 404
    assert "Brook" not in str(client.get("/api/v1/kit").json())


def test_starter_shelves_can_be_put_on_the_shelf_as_they_are(client):
    for starter in client.get("/api/v1/owned/starters").json():
        assert client.post("/api/v1/owned", json={"text": starter["text"]}).status_code == 200


def test_a_spool_tells_in_which_saved_leaders_it_is(client, saved):
    used = saved["design"]["leader"]["pieces"][0]["strand"]["spool_id"]
    told = client.get(f"/api/v1/stock/{used}/use").json()
    assert saved["design"]["title"] in told["leaders"]
    assert "keep the figures" in told["words"]
    for nobodys in ("nobody", "%"):
        told = client.get(f"/api/v1/stock/{nobodys}/use").json()
        assert told == {"leaders": [], "words": "No saved leader uses it."}
