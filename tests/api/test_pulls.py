"""Pull tests over HTTP, by hand and through the simulated scale with all that can ail it."""

from concurrent.futures import ThreadPoolExecutor

import pytest

from nine_knots.instruments.pull_scale import ScaleTrouble, read_line, read_peak
from nine_knots.simulated.pull_scale import PullScale


@pytest.fixture
def spool_id(client):
    rows = client.get("/api/v1/stock").json()
    return next(
        row["spool_id"] for row in rows if row["family"] == "nylon" and row["form"] == "spool"
    )


def test_readings_are_kept_set_aside_and_change_the_hold(client, saved, spool_id):
    form = {"knot": "blood", "spool_id": spool_id, "broke": "1 lb"}
    before = client.post("/api/v1/bench", json={"design": saved["design"]}).json()["evaluation"]
    for _ in range(3):
        answer = client.post("/api/v1/pulls", json=form).json()
    assert [test["source"] for test in answer["tests"]] == ["typed"] * 3
    assert answer["beliefs"][0]["words"].startswith("Typically 86%; after 3 pull tests of yours")
    assert len(answer["beliefs"][0]["posterior"]) == len(answer["beliefs"][0]["prior"])
    after = client.post("/api/v1/bench", json={"design": saved["design"]}).json()["evaluation"]
    assert after["low"]["si"] < before["low"]["si"]
    ids = [test["test_id"] for test in answer["tests"]]
    answer = client.post("/api/v1/pulls/aside", json={"test_ids": ids, "set_aside": True}).json()
    assert all(test["set_aside"] for test in answer["tests"]), "they stay on the list"
    again = client.post("/api/v1/bench", json={"design": saved["design"]}).json()["evaluation"]
    assert again["low"] == before["low"]


def test_bad_readings_are_refused(client, spool_id):
    form = {"knot": "blood", "spool_id": spool_id, "broke": "a lot"}
    assert client.post("/api/v1/pulls", json=form).json()["where"] == "broke"
    gone = client.post("/api/v1/pulls", json={**form, "spool_id": "none", "broke": "3 lb"})
    assert gone.status_code == 404
    none = {"test_ids": ["0" * 32]}
    assert client.post("/api/v1/pulls/aside", json={**none, "set_aside": True}).status_code == 404
    assert client.post("/api/v1/pulls/deletion", json=none).status_code == 404
    far = {"knot": "blood", "spool_id": spool_id, "address": "socket://example.org:80"}
    assert client.post("/api/v1/pulls/scale", json=far).status_code == 422


def test_csv_goes_out_and_comes_back_whole_or_not_at_all(client, spool_id):
    client.post("/api/v1/pulls", json={"knot": "uni", "spool_id": spool_id, "broke": "2 lb"})
    text = client.get("/api/v1/pulls/csv").text
    doubled = client.post("/api/v1/pulls/csv", json={"text": text}).json()
    assert [test["source"] for test in doubled["tests"]] == ["file", "typed"]
    bad = client.post("/api/v1/pulls/csv", json={"text": text + "granny,nylon,a,1,1,no\n"})
    assert bad.json()["where"] == "line 3"
    assert len(client.get("/api/v1/pulls").json()["tests"]) == 2


def test_tests_come_by_the_page_and_are_forgotten_together(client, spool_id):
    form = {"knot": "uni", "spool_id": spool_id}
    for pounds in (2, 3, 4):
        client.post("/api/v1/pulls", json={**form, "broke": f"{pounds} lb"})
    first = client.get("/api/v1/pulls", params={"limit": 2}).json()
    rest = client.get("/api/v1/pulls", params={"limit": 2, "skip": 2}).json()
    assert [len(page["tests"]) for page in (first, rest)] == [2, 1]
    assert first["total"] == rest["total"] == 3
    assert "after 3 pull tests" in rest["beliefs"][0]["words"], "what they say goes by all of them"
    ids = [test["test_id"] for test in first["tests"]]
    left = client.post("/api/v1/pulls/deletion", json={"test_ids": ids}).json()
    assert [test["broke"] for test in left["tests"]] == ["2.0 lb"]


def test_a_pull_is_read_from_the_simulated_scale(client, spool_id):
    form = {"knot": "blood", "spool_id": spool_id}
    answer = client.post("/api/v1/pulls/scale", json=form).json()
    assert answer["read"].endswith("lb")
    assert answer["tests"][0]["source"] == "scale"
    assert answer["tests"][0]["broke"] == answer["read"]


@pytest.mark.parametrize(
    ("mischief", "said"),
    [("silent", "stopped sending"), ("rubbish", "unreadable"), ("unplugged", "isn't connected")],
)
def test_what_ails_the_scale_is_said_and_nothing_noted(client, spool_id, mischief, said):
    form = {"knot": "blood", "spool_id": spool_id, "mischief": mischief}
    refused = client.post("/api/v1/pulls/scale", json=form)
    assert said in refused.json()["detail"]
    assert "Nothing was recorded" in refused.json()["hint"]
    assert client.get("/api/v1/pulls").json()["tests"] == []


def test_a_scale_that_is_not_there_or_never_breaks_is_said():
    with pytest.raises(ScaleTrouble, match="isn't connected"):
        read_peak("socket://127.0.0.1:1", 1.0)
    scale = PullScale()
    try:
        with pytest.raises(ScaleTrouble, match="Nothing broke"):
            read_peak(scale.address, 0.3)
        assert read_peak(scale.address, 5.0, say="PULL 41.8") == pytest.approx(41.8)
    finally:
        scale.unplug()


@pytest.mark.parametrize(
    ("line", "read"),
    [
        ("F +0012.34 N", ("F", 12.34)),
        ("P 2 lb", ("P", 8.896)),
        ("P +1.5 kg\r\n", ("P", 14.71)),
        ("P +99999 N", None),
        ("P nan N", None),
        ("hello", None),
        ("", None),
    ],
)
def test_lines_of_the_scale(line, read):
    found = read_line(line)
    assert found == (read if read is None else (read[0], pytest.approx(read[1], abs=0.01)))


def test_a_silent_scale_keeps_one_reader_and_tells_the_others_to_come_back(client, spool_id):
    form = {"knot": "blood", "spool_id": spool_id, "mischief": "silent"}
    with ThreadPoolExecutor(12) as pool:
        answers = list(pool.map(lambda _: client.post("/api/v1/pulls/scale", json=form), range(12)))
    codes = [answer.json()["code"] for answer in answers]
    assert set(codes) == {"cannot-compute", "too-busy"}
    assert codes.count("too-busy") >= 8
    busy = next(answer for answer in answers if answer.status_code == 429)
    assert int(busy.headers["retry-after"]) >= 1
