"""Knots over HTTP: cards in the angler's units, drawings, practice."""


def test_nine_to_know_by_heart_come_first(client):
    cards = client.get("/api/v1/knots", params={"units": "metric"}).json()
    assert [card["by_heart"] for card in cards] == [True] * 9 + [False] * 7
    clinch = next(card for card in cards if card["key"] == "clinch")
    lines = {line["title"]: line["text"] for line in clinch["lines"]}
    assert "mm or more" in lines["Limits"]
    assert lines["Turns"] == "4 in heavy stuff, 7 in fine"
    assert "typical value" in lines["Keeps"]
    haywire = next(card for card in cards if card["key"] == "haywire")
    assert "Wire ends cut" in haywire["caution"]


def test_a_knot_is_drawn_and_an_unknown_one_is_refused(client):
    drawing = client.get("/api/v1/knots/blood/drawing").json()
    assert len(drawing["captions"]) == 6
    assert len(drawing["box"]) == 4
    assert client.get("/api/v1/knots/granny/drawing").status_code == 422


def test_practice_is_kept_and_says_when_to_tie_again(client):
    rows = client.get("/api/v1/practice").json()
    assert {row["due"] for row in rows} == {"never tied here"}
    for rated, seconds in (("slipped", 60.0), ("good", 41.5)):
        form = {"knot": "blood", "seconds": seconds, "rated": rated}
        rows = client.post("/api/v1/practice", json=form).json()
    blood = next(row for row in rows if row["knot"] == "blood")
    assert blood["due"].startswith("again in ")
    assert blood["best"] == "42 s"
    assert [tie["rated"] for tie in blood["ties"]] == ["slipped", "good"]
    bad = client.post("/api/v1/practice", json={"knot": "blood", "seconds": -1, "rated": "good"})
    assert bad.status_code == 422
