"""A local server is for its own page: hosts, origins, sizes and headers."""

import pytest

from tests.api.conftest import PORT


def test_only_its_own_address_is_answered(client):
    for host in (f"evil.example:{PORT}", "127.0.0.1:9999", "127.0.0.1"):
        refused = client.get("/api/v1/angler", headers={"host": host})
        assert (refused.status_code, refused.json()["code"]) == (421, "wrong-host")
    assert client.get("/api/v1/angler", headers={"host": f"localhost:{PORT}"}).status_code == 200


@pytest.mark.parametrize(
    "headers",
    [
        {"origin": "http://evil.example"},
        {"origin": "null"},
        {"origin": f"https://127.0.0.1:{PORT}"},
        {"sec-fetch-site": "cross-site"},
    ],
)
def test_another_page_changes_nothing(client, headers):
    settings = {"name": "Mallory", "units": "metric", "theme": "dark"}
    refused = client.put("/api/v1/angler", json=settings, headers=headers)
    assert (refused.status_code, refused.json()["code"]) == (403, "wrong-origin")
    assert client.get("/api/v1/angler").json()["name"] != "Mallory"


def test_its_own_page_may(client):
    own = {"origin": f"http://127.0.0.1:{PORT}", "sec-fetch-site": "same-origin"}
    settings = {"name": "Runa", "units": "metric", "theme": "dark"}
    assert client.put("/api/v1/angler", json=settings, headers=own).status_code == 200


def test_a_huge_body_is_refused_however_it_comes(client):
    refused = client.post("/api/v1/bench", content=b"x" * 500_000)
    assert (refused.status_code, refused.json()["code"]) == (413, "too-large")
    chunks = (b"x" * 50_000 for _ in range(10))
    assert client.post("/api/v1/bench", content=chunks).status_code == 413


def test_every_answer_carries_the_guarding_headers(client):
    for path in ("/api/v1/angler", "/api/v1/leaders/none", "/api/v1/nothing"):
        headers = client.get(path).headers
        policy = headers["content-security-policy"]
        assert "script-src 'self'" in policy
        assert "unsafe-inline" not in policy
        assert "frame-ancestors 'none'" in policy
        assert headers["x-content-type-options"] == "nosniff"
        assert headers["referrer-policy"] == "no-referrer"
        assert headers["cache-control"] == "no-store"


def test_unknown_paths_and_verbs_are_problems_too(client):
    lost = client.get("/api/v1/nothing")
    assert (lost.status_code, lost.json()["code"]) == (404, "not-found")
    verb = client.delete("/api/v1/bench")
    assert (verb.status_code, verb.json()["code"]) == (405, "method-not-allowed")
