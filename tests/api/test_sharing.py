"""Leaders over the seasons and between anglers: labels, search, revisions, files, QR codes."""

import json

import pytest

from nine_knots.core.domain.design import Design
from nine_knots.formats.errors import FileRefused
from nine_knots.formats.leader_qr import MARK, qr_modules, qr_text, read_qr


def titles(client, **asked):
    return [row["title"] for row in client.get("/api/v1/leaders", params=asked).json()]


def test_leaders_are_found_by_anything_that_is_in_them(client, saved):
    assert "Skarn evening sedge" in titles(client, q="sedge grayling")
    assert titles(client, q="sedge pike") == []
    assert {"Estuary wind leader", "Bar mouth on the ebb"} <= set(titles(client, q="salt")) | set(
        titles(client, q="sea bass")
    )
    assert titles(client, q="knotless 4X") or titles(client, q="knotless")
    assert titles(client, q="%") == []
    head = client.get("/api/v1/leaders", params={"q": "e", "limit": 2})
    assert "q=e" in head.headers["link"]
    assert int(head.headers["x-total-count"]) > 2


def test_labels_keep_leaders_together(client, saved):
    path = f"/api/v1/leaders/{saved['leader_id']}/labels"
    assert client.put(path, json={"labels": " salt, spring ,Salt"}).json() == ["salt", "spring"]
    assert titles(client, label="Spring") == [saved["design"]["title"]]
    assert titles(client, label="spr") == []
    assert {"label": "salt", "leaders": 1} in client.get("/api/v1/leaders/labels").json()
    assert client.put(path, json={"labels": ""}).json() == []
    assert client.get("/api/v1/leaders/labels").json() == []
    many = ",".join(str(number) for number in range(9))
    assert client.put(path, json={"labels": many}).status_code == 422
    lost = client.put(f"/api/v1/leaders/{'0' * 32}/labels", json={"labels": "x"})
    assert lost.status_code == 404


def test_revisions_say_what_they_changed_and_one_is_put_back_as_a_new_one(client, saved):
    leader_id, design = saved["leader_id"], saved["design"]
    longer = json.loads(json.dumps(design))
    longer["leader"]["pieces"][-1]["length_m"] += 0.254
    path = f"/api/v1/leaders/{leader_id}"
    made = client.post(
        f"{path}/revisions", json=longer, headers={"if-match": f'"{saved["revision"]}"'}
    )
    back = client.post(f"{path}/revisions", json=design, headers={"if-match": made.headers["etag"]})
    assert back.status_code == 201
    third, second, first = client.get(f"{path}/revisions").json()
    assert first["changed"] == ["The first version."]
    assert any("Piece" in item and ", was " in item for item in second["changed"])
    assert third["length"] == first["length"]
    told = client.get(f"{path}/differences", params={"older": 1, "other": 3}).json()
    assert told["words"] == ["No differences."]
    told = client.get(f"{path}/differences", params={"older": 1, "other": 2}).json()["words"]
    assert told[0].startswith("Whole length: ")
    lost = client.get(f"{path}/differences", params={"older": 1, "other": 9})
    assert lost.status_code == 404


def test_several_go_out_as_one_file_and_come_back_with_their_labels(client):
    rows = client.get("/api/v1/leaders").json()[:3]
    client.put(f"/api/v1/leaders/{rows[0]['leader_id']}/labels", json={"labels": "spring"})
    chosen = {"leader_ids": [row["leader_id"] for row in rows]}
    text = client.post("/api/v1/sharing/file", json=chosen).text
    assert json.loads(text)["format"] == "nine-knots-leaders"
    before = len(client.get("/api/v1/leaders", params={"limit": 100}).json())
    taken = client.post("/api/v1/sharing/leaders", json={"text": text}).json()
    assert taken["words"] == "Three leaders on the shelf."
    after = client.get("/api/v1/leaders", params={"limit": 100}).json()
    assert len(after) == before + 3
    assert [row["title"] for row in after[:3]] == [row["title"] for row in rows]
    assert len(titles(client, label="spring")) == 2
    broken = text.replace('"butt"', '"stump"', 1)
    for wrong, word in (
        (broken, "Leader 1"),
        ("[]", "not a nine-knots-leaders"),
        ("{", "not valid JSON"),
    ):
        refused = client.post("/api/v1/sharing/leaders", json={"text": wrong})
        assert refused.status_code == 422
        assert word in refused.json()["detail"]
    assert len(client.get("/api/v1/leaders", params={"limit": 100}).json()) == before + 3


def test_every_leader_of_the_demo_goes_through_a_code_and_comes_out_the_same(client):
    for row in client.get("/api/v1/leaders", params={"limit": 100}).json():
        design = Design.model_validate_json(
            json.dumps(client.get(f"/api/v1/leaders/{row['leader_id']}").json()["design"])
        )
        text = qr_text(design)
        assert len(qr_modules(text)) <= 81
        again = read_qr(text)
        assert again.leader.length_m == pytest.approx(design.leader.length_m, rel=1e-4)
        assert qr_text(again) == text
        assert (again.title, again.situation.fly.title) == (
            design.title,
            design.situation.fly.title,
        )
        for cut in (text[:-4], text.replace(MARK, "XX:"), f"{MARK}%%%"):
            with pytest.raises(FileRefused):
                read_qr(cut)


def test_a_code_opens_on_another_bench_of_the_nearest_spools_there(client, saved):
    svg = client.post("/api/v1/sharing/qr", json={"design": saved["design"]})
    assert svg.headers["content-type"].startswith("image/svg+xml")
    text = qr_text(Design.model_validate_json(json.dumps(saved["design"])))
    mine = client.post("/api/v1/sharing/scan", json={"text": text}).json()
    assert mine["differs"] == ["All of it is of spools that you own."]
    client.post("/api/v1/anglers", json={"name": "Eira"})
    client.post("/api/v1/owned", json={"text": ".017 stiff nylon 50 yd\n5X soft nylon 30 m"})
    theirs = client.post("/api/v1/sharing/scan", json={"text": text}).json()
    owned = {row["spool_id"] for row in client.get("/api/v1/stock").json()}
    of = [piece["strand"]["spool_id"] for piece in theirs["design"]["leader"]["pieces"]]
    assert set(of) <= {*owned, None}
    assert None in of
    assert any("no spool of yours is like" in their for their in theirs["differs"])
    long = json.loads(json.dumps(saved["design"]))
    long["notes"] = " ".join(f"note {number * 7919}" for number in range(400))[:4000]
    refused = client.post("/api/v1/sharing/qr", json={"design": long})
    assert "Shorten its notes" in refused.json()["hint"]
