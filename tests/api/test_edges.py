"""Strange requests: each refused at once, with the one thing that is wrong, and the headers."""

import json

import pytest

JSON = {"content-type": "application/json"}


def bench(text: str) -> bytes:
    return f'{{"design": {text}}}'.encode()


@pytest.mark.parametrize(
    ("body", "status", "code"),
    [
        (bench("1" * 5000), 400, "not-json"),
        (bench("[" * 5000 + "]" * 5000), 422, "invalid"),
        (bench("[" * 100 + "]" * 100), 422, "invalid"),
        (bench(f"[{','.join(['1'] * 100_000)}]"), 422, "invalid"),
        (bench(f"[{','.join(['{}'] * 100_000)}]"), 422, "invalid"),
        (b'{"design": ', 400, "not-json"),
        (b"\xff\xfe", 400, "not-json"),
        (json.dumps({"design": "\ud800"}).encode(), 422, "invalid"),
        (b'{"design": {"title": 4}}', 422, "invalid"),
    ],
)
def test_bodies_that_are_none(client, body, status, code):
    refused = client.post("/api/v1/bench", content=body, headers=JSON)
    assert (refused.status_code, refused.json()["code"]) == (status, code)
    assert refused.headers["content-type"] == "application/problem+json"
    assert len(refused.content) < 2000


def test_pieces_without_end_are_refused_by_the_first(client, saved):
    wild = {**saved["design"], "leader": {**saved["design"]["leader"], "pieces": [{}] * 2000}}
    refused = client.post("/api/v1/bench", json={"design": wild}).json()
    assert refused["code"] == "invalid"
    assert refused["where"].startswith("design.leader.pieces")


@pytest.mark.parametrize("figure", ["0.5", True, [1], None])
def test_a_text_is_no_number(client, saved, figure):
    water = {**saved["design"]["situation"]["water"], "depth_m": figure}
    design = {**saved["design"], "situation": {**saved["design"]["situation"], "water": water}}
    refused = client.post("/api/v1/bench", json={"design": design})
    assert refused.status_code == 422
    assert refused.json()["where"].endswith("depth_m")


def test_only_json_is_taken(client, saved):
    body = json.dumps({"design": saved["design"]}).encode()
    for kind in ("text/plain", "application/xml", ""):
        refused = client.post("/api/v1/bench", content=body, headers={"content-type": kind})
        assert (refused.status_code, refused.json()["code"]) == (415, "not-json")


@pytest.mark.parametrize("tag", ["²", "9" * 5000, "*", "", '"-1"'])
def test_tags_that_name_no_revision(client, saved, tag):
    path = f"/api/v1/leaders/{saved['leader_id']}/revisions"
    refused = client.post(path, json=saved["design"], headers={"if-match": tag.encode()})
    assert refused.status_code == 422


def test_a_fault_of_the_service_carries_the_headers_too(client, monkeypatch):
    monkeypatch.setattr("nine_knots.api.routes.anglers.read_settings", lambda *_: 1 / 0)
    fault = client.get("/api/v1/angler")
    assert (fault.status_code, fault.json()["code"]) == (500, "unexpected")
    assert "frame-ancestors 'none'" in fault.headers["content-security-policy"]
    assert fault.headers["cache-control"] == "no-store"


def test_a_verb_that_is_not_known_names_those_that_are(client):
    for path, allowed in (
        ("/api/v1/leaders", "GET, POST"),
        ("/api/v1/bench", "POST"),
        ("/api/v1/kit/flies", "POST"),
    ):
        for verb in ("PATCH", "OPTIONS"):
            refused = client.request(verb, path)
            assert (refused.status_code, refused.headers["allow"]) == (405, allowed)


@pytest.mark.parametrize(
    "plugged",
    ["/dev/../etc/passwd", "/dev/null", "/dev/sda", "socket://127.0.0.1:3306", "/dev/tty", "COM1x"],
)
def test_only_serial_devices_are_read(client, plugged):
    spool = client.get("/api/v1/stock").json()[0]["spool_id"]
    form = {"knot": "blood", "spool_id": spool, "address": plugged}
    assert client.post("/api/v1/pulls/scale", json=form).status_code == 422


def test_a_leader_as_long_as_can_be_is_stripped(client, saved):
    """What if it were longer still is asked of it, and longer than can be is not."""
    leader = saved["design"]["leader"]
    longest = 39.9 - sum(piece["length_m"] for piece in leader["pieces"][1:])
    pieces = [{**leader["pieces"][0], "length_m": longest}, *leader["pieces"][1:]]
    situation = {**saved["design"]["situation"], "wish": "strip"}
    design = {**saved["design"], "situation": situation, "leader": {**leader, "pieces": pieces}}
    answer = client.post("/api/v1/water", json={"bench": "b", "design": design})
    assert answer.status_code in (200, 422)
    assert answer.json().get("code") != "unexpected"
