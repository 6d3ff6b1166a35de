"""Tying over HTTP: the angler's height and hand, screens, what came out, batches, cards."""

from io import BytesIO

import pytest
from pypdf import PdfReader


def post(client, path, design, **more):
    return client.post(f"/api/v1/tying/{path}", json={"design": design, **more})


def test_the_height_is_told_once_and_shows_in_every_cut(client, saved):
    design = saved["design"]
    assert client.get("/api/v1/tying").json()["height"] == ""
    refused = client.put("/api/v1/tying/height", json={"height": "9 ft"})
    assert refused.json()["where"] == "height"
    told = client.put("/api/v1/tying/height", json={"height": "175 cm", "units": "metric"}).json()
    assert told["height"] == "175 cm"
    evaluation = client.post("/api/v1/bench", json={"design": design}).json()["evaluation"]
    assert "breastbone" in evaluation["work"]["rows"][0]["spans"]
    assert "By arm" in post(client, "screens", design).json()[0]["detail"]
    assert client.put("/api/v1/tying/height", json={"height": ""}).json()["height"] == ""


def test_what_came_out_goes_back_to_the_design_and_teaches_the_hand(client, saved):
    design = saved["design"]
    cuts = client.post("/api/v1/bench", json={"design": design}).json()["evaluation"]["work"][
        "rows"
    ]
    came_out = [f"{row['wanted']['si'] + 0.04:.3f} m" for row in cuts]
    shown = post(client, "tied", design, came_out=came_out).json()
    assert shown["design"]["leader"]["pieces"][0]["length_m"] == pytest.approx(
        cuts[0]["wanted"]["si"] + 0.04, abs=1e-3
    )
    assert "usual amount" in client.get("/api/v1/tying").json()["hand"]
    kept = post(client, "tied", design, came_out=came_out, keep=True).json()
    assert "less line than a usual hand" in kept["hand"]
    after = client.post("/api/v1/bench", json={"design": design}).json()["evaluation"]["work"][
        "rows"
    ]
    assert all(a["cut"]["si"] < b["cut"]["si"] for a, b in zip(after, cuts, strict=True))


def test_lengths_that_cannot_be_name_their_piece(client, saved):
    design = saved["design"]
    blanks = [""] * len(design["leader"]["pieces"])
    far = post(client, "tied", design, came_out=["30 ft", *blanks[1:]]).json()
    assert far["where"] == "came_out.0"
    assert "Measure it again" in far["hint"]
    unread = post(client, "tied", design, came_out=[*blanks[:-1], "long"]).json()
    assert unread["where"] == f"came_out.{len(blanks) - 1}"
    assert post(client, "tied", design, came_out=["", ""]).status_code == 422


def test_a_batch_and_its_cards(client, saved):
    wanted = [{"design": saved["design"], "count": 3}]
    batch = client.post("/api/v1/tying/batch", json={"wanted": wanted}).json()
    assert batch["words"] == "The shelf has everything."
    many = [{"design": saved["design"], "count": 50}]
    assert (
        client.post("/api/v1/tying/batch", json={"wanted": many}).json()["words"].startswith("Runs")
    )
    answer = client.post("/api/v1/tying/cards", json={"wanted": wanted, "paper": "sheet"})
    assert answer.headers["content-type"] == "application/pdf"
    assert "tying-card.pdf" in answer.headers["content-disposition"]
    text = PdfReader(BytesIO(answer.content)).pages[0].extract_text()
    assert text.count(saved["design"]["title"]) == 3
    assert client.post("/api/v1/tying/batch", json={"wanted": []}).status_code == 422
