"""Saves: once for every intent, forty at a time, by the page; everything as one file and back."""

from concurrent.futures import ThreadPoolExecutor

import pytest

from nine_knots.core.domain.knots.own import PullTest
from nine_knots.store.pulls import add_tests

SPOOL = {"material": "nylon-soft", "diameter": "5X", "left": "30 m"}
FLY = {"kind": "dry", "hook": "14"}


def a_spool(client) -> str:
    rows = client.get("/api/v1/stock").json()
    return next(row["spool_id"] for row in rows if row["form"] == "spool")


def keyed(key: str) -> dict:
    return {"idempotency-key": key}


def test_a_leader_sent_again_is_saved_once(client, saved):
    body = {**saved["design"], "title": "Once"}
    first = client.post("/api/v1/leaders", json=body, headers=keyed("a"))
    again = client.post("/api/v1/leaders", json=body, headers=keyed("a"))
    assert (first.status_code, again.status_code) == (201, 201)
    assert again.json() == first.json()
    assert again.headers["etag"] == first.headers["etag"]
    other = client.post("/api/v1/leaders", json=body, headers=keyed("b"))
    assert other.json()["leader_id"] != first.json()["leader_id"]
    titles = [row["title"] for row in client.get("/api/v1/leaders").json()]
    assert titles.count("Once") == 2


def test_a_save_sent_again_while_it_is_under_way_is_done_once(client, saved):
    def send(_):
        body = {**saved["design"], "title": "At once"}
        return client.post("/api/v1/leaders", json=body, headers=keyed("at once"))

    with ThreadPoolExecutor(6) as pool:
        answers = list(pool.map(send, range(6)))
    assert {answer.status_code for answer in answers} == {201}
    assert len({answer.json()["leader_id"] for answer in answers}) == 1


def test_a_revision_sent_again_is_no_conflict(client, saved):
    path = f"/api/v1/leaders/{saved['leader_id']}/revisions"
    body = {**saved["design"], "notes": "mended"}
    headers = {"if-match": '"1"', **keyed("rev")}
    first = client.post(path, json=body, headers=headers)
    again = client.post(path, json=body, headers=headers)
    assert (first.json()["revision"], again.json()["revision"]) == (2, 2)
    stale = client.post(path, json=body, headers={"if-match": '"1"', **keyed("another")})
    assert stale.status_code == 412


def test_a_key_is_for_one_save(client, saved):
    client.post("/api/v1/leaders", json=saved["design"], headers=keyed("k"))
    reused = client.post(
        "/api/v1/leaders", json={**saved["design"], "title": "B"}, headers=keyed("k")
    )
    assert (reused.status_code, reused.json()["where"]) == (422, "Idempotency-Key")


def test_what_is_refused_is_not_remembered_as_done(client):
    spool = a_spool(client)
    bad = {"knot": "uni", "spool_id": "none", "broke": "3 lb"}
    assert client.post("/api/v1/pulls", json=bad, headers=keyed("p")).status_code == 404
    assert client.post("/api/v1/pulls", json=bad, headers=keyed("p")).status_code == 404
    good = {**bad, "spool_id": spool}
    for _ in range(3):
        assert client.post("/api/v1/pulls", json=good, headers=keyed("q")).json()["total"] == 1


def test_spools_landings_practice_and_tied_are_done_once(client, saved):
    pieces = saved["design"]["leader"]["pieces"]
    tied = {
        "design": saved["design"],
        "came_out": [f"{98 * pieces[0]['length_m']:.0f} cm", *[""] * (len(pieces) - 1)],
        "keep": True,
    }
    landed = {"bench": "b", "design": saved["design"], "landed": "soft"}
    practised = {"knot": "blood", "seconds": 30.0, "rated": "good"}
    for path, body in (
        ("/api/v1/stock/spools", SPOOL),
        ("/api/v1/own-cast/landings", landed),
        ("/api/v1/practice", practised),
        ("/api/v1/tying/tied", tied),
    ):
        first, again = (client.post(path, json=body, headers=keyed(path)) for _ in range(2))
        assert first.status_code == again.status_code == 200, path
        assert first.json() == again.json(), path
    assert len(client.get("/api/v1/own-cast").json()["landings"]) == 1


@pytest.mark.parametrize(
    "noun", ["leader", "revision", "spool", "fly", "pull", "landing", "attempt"]
)
def test_many_writers_at_once(client, saved, noun):
    design, spool = saved["design"], a_spool(client)
    path = f"/api/v1/leaders/{saved['leader_id']}/revisions"

    def write(number: int):
        match noun:
            case "leader":
                return client.post("/api/v1/leaders", json={**design, "title": f"T{number}"})
            case "revision":
                return client.post(path, json=design, headers={"if-match": '"1"'})
            case "spool":
                return client.post("/api/v1/stock/spools", json={**SPOOL, "title": f"S{number}"})
            case "fly":
                return client.post("/api/v1/kit/flies", json={**FLY, "title": f"F{number % 10}"})
            case "pull":
                form = {"knot": "uni", "spool_id": spool, "broke": "3 lb"}
                return client.post("/api/v1/pulls", json=form)
            case "landing":
                form = {"bench": "b", "design": design, "landed": "soft"}
                page = {"nine-knots-page": f"page {number}"}
                return client.post("/api/v1/own-cast/landings", json=form, headers=page)
            case _:
                form = {"knot": "blood", "seconds": 30.0, "rated": "good"}
                return client.post("/api/v1/practice", json=form)

    def write_at_last(number: int) -> int:
        """Sent again, as a page does, where the bounded wait for the database ran out."""
        for _ in range(5):
            status = write(number).status_code
            if status != 503:
                break
        return status

    writers = 8 if noun == "landing" else 40  # each landing is cast
    with ThreadPoolExecutor(writers) as pool:
        statuses = list(pool.map(write_at_last, range(writers)))
    if noun == "revision":
        assert sorted(statuses) == [201, *[412] * (writers - 1)]
    else:
        assert set(statuses) <= {200, 201}
    if noun == "landing":
        assert len(client.get("/api/v1/own-cast").json()["landings"]) == writers


def test_the_shelf_comes_by_the_page(client, saved):
    for number in range(7):
        client.post("/api/v1/leaders", json={**saved["design"], "title": f"T{number}"})
    every = client.get("/api/v1/leaders", params={"limit": 200})
    assert "link" not in every.headers
    found, page = [], "/api/v1/leaders?limit=4&units=metric"
    while page:
        answer = client.get(page)
        assert answer.headers["x-total-count"] == str(len(every.json()))
        assert len(answer.json()) <= 4
        found += [row["leader_id"] for row in answer.json()]
        page = answer.links.get("next", {}).get("url")
    assert found == [row["leader_id"] for row in every.json()]
    for after in ("rubbish", "2026-13-45T00:00:00.000000+00:00~" + "0" * 32):
        assert client.get("/api/v1/leaders", params={"after": after}).json()["where"] == "after"


def test_everything_goes_out_and_comes_back_beside_what_was_there(client, saved):
    client.post("/api/v1/practice", json={"knot": "blood", "seconds": 30.0, "rated": "good"})
    client.post(
        "/api/v1/own-cast/landings",
        json={"bench": "b", "design": saved["design"], "landed": "soft"},
    )
    spool = a_spool(client)
    client.post("/api/v1/pulls", json={"knot": "uni", "spool_id": spool, "broke": "3 lb"})
    client.put("/api/v1/tying/height", json={"height": "181 cm"})
    path = f"/api/v1/leaders/{saved['leader_id']}"
    client.post(
        f"{path}/revisions", json={**saved["design"], "notes": "2"}, headers={"if-match": '"1"'}
    )
    removed = client.get("/api/v1/leaders").json()[-1]
    client.delete(f"/api/v1/leaders/{removed['leader_id']}")
    out = client.get("/api/v1/account-data")
    assert out.headers["content-disposition"].endswith('-all.json"')

    def shown():
        looks = (
            "/api/v1/leaders?limit=200",
            "/api/v1/stock",
            "/api/v1/kit",
            "/api/v1/own-cast",
            "/api/v1/practice",
        )
        found = [client.get(look).json() for look in (*looks, "/api/v1/pulls", "/api/v1/tying")]
        for item in (found[0], found[3]["landings"], found[5]["tests"]):
            for row in item:
                for name in ("leader_id", "landing_id", "test_id", "updated_at"):
                    row.pop(name, None)
        return found

    before = shown()
    client.put("/api/v1/angler", json={"name": "Another", "units": "metric", "theme": "dark"})
    client.post("/api/v1/leaders", json={**saved["design"], "title": "Not in the file"})
    changed = shown()
    back = client.post(
        "/api/v1/account-data", content=out.content, headers={"content-type": "application/json"}
    )
    assert back.status_code == 200
    assert back.json()["others"]
    assert "had is kept" in back.json()["words"]
    assert shown() == before
    again = client.get("/api/v1/account-data").json()
    old = out.json()
    assert {**again, "written_at": ""} == {**old, "written_at": ""}
    assert client.post("/api/v1/account-data/back").json()["name"] == "Another"
    assert shown() == changed


@pytest.mark.parametrize("text", ["{}", "[]", '{"format": "nine-knots-leader"}', "x"])
def test_what_is_no_file_of_everything_changes_nothing(client, text):
    refused = client.post(
        "/api/v1/account-data", content=text, headers={"content-type": "application/json"}
    )
    assert (refused.status_code, refused.json()["code"]) == (422, "file-refused")
    assert not client.get("/api/v1/account-data/whose").json()["others"]
    assert client.post("/api/v1/account-data/back").status_code == 404


def test_thousands_of_pulls_are_summed_up_by_the_database(client, saved, database):
    from nine_knots.store.anglers import current_angler

    me = database.transact(current_angler)
    test = PullTest(knot="blood", family="nylon", strand_n=40.0, broke_n=20.0)
    database.transact(lambda c: add_tests(c, me, [(test, "Mist")] * 5000, "file"))
    asked = []
    run = database.transact

    def counting(work):
        def counted(cursor):
            execute = cursor.execute
            cursor.execute = lambda *a: asked.append(execute(*a)) or asked[-1]
            return work(cursor)

        return run(counted)

    database.transact = counting
    try:
        answer = client.post("/api/v1/bench", json={"design": saved["design"]})
    finally:
        del database.transact
    assert answer.status_code == 200
    assert sum(asked) < 200, "rows that the database sent for one reading of the bench"
    assert client.get("/api/v1/pulls").json()["total"] == 5000
