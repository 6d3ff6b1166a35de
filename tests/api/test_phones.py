"""The door to the home network: only paired phones come in, as their angler's, till revoked."""

import pytest
from fastapi.testclient import TestClient

from nine_knots.api.app import create_app
from nine_knots.api.lan_access import COOKIE, LanAccess
from nine_knots.demo.days import PLAN_ID
from nine_knots.demo.load import load_demo
from nine_knots.store.anglers import Settings, create_angler
from tests.api.conftest import PORT
from tests.api.test_events import event

HOME = "192.168.7.20"
DOOR = LanAccess(PORT + 1, (HOME, "127.0.0.1"), "-----BEGIN CERTIFICATE-----\n")
OUTSIDE = f"https://{HOME}:{PORT + 1}"


def pack(cursor) -> None:
    """Something that was packed of the planned day."""
    cursor.execute(
        "REPLACE INTO day_pack SELECT angler_id, %s, '{}', brief, designs, packed_at "
        "FROM day_pack LIMIT 1",
        (PLAN_ID,),
    )


@pytest.fixture(scope="module")
def house(migrated):
    return create_app(migrated, PORT, door=DOOR)


@pytest.fixture
def bench(house, database):
    load_demo(database)
    with TestClient(house, base_url=f"http://127.0.0.1:{PORT}") as made:
        yield made


def phone(house):
    return TestClient(house, base_url=OUTSIDE)


def paired(house, bench, name="Runa's phone"):
    one = phone(house)
    code = bench.post("/api/v1/phones/code").json()["code"]
    answer = one.post("/api/v1/phones/pair", json={"code": code.lower(), "name": name})
    assert answer.status_code == 200, answer.text
    cookie = answer.headers["set-cookie"].lower()
    assert all(word in cookie for word in ("httponly", "secure", "samesite=strict"))
    return one


def test_a_stranger_is_told_nothing_and_changes_nothing(house, bench):
    stranger = phone(house)
    for method, path in (
        ("GET", "/api/v1/leaders"),
        ("GET", "/api/v1/plans"),
        ("GET", "/api/v1/openapi.json"),
        ("GET", "/api/v1/leaders/none"),
        ("POST", "/api/v1/events"),
        ("DELETE", "/api/v1/leaders/" + "0" * 32),
    ):
        refused = stranger.request(method, path, json={} if method == "POST" else None)
        assert (refused.status_code, refused.json()["code"]) == (401, "not-paired")
    forged = stranger.get("/api/v1/leaders", headers={"cookie": f"{COOKIE}=x"})
    assert forged.status_code == 401
    assert stranger.get("/api/v1/phones/authority.crt").status_code == 200


def test_a_phone_is_paired_once_comes_in_and_is_revoked(house, bench):
    one = paired(house, bench)
    assert len(one.get("/api/v1/plans").json()) == len(bench.get("/api/v1/plans").json())
    origin = {"origin": OUTSIDE}
    assert one.post("/api/v1/events", json={"events": []}, headers=origin).status_code == 200
    strange = {"origin": "https://evil.example"}
    assert one.post("/api/v1/events", json={"events": []}, headers=strange).status_code == 403
    row = bench.get("/api/v1/phones").json()["phones"][0]
    assert (row["name"], row["revoked"]) == ("Runa's phone", False)
    assert bench.delete(f"/api/v1/phones/{row['phone_id']}").status_code == 204
    assert one.get("/api/v1/plans").status_code == 401
    assert bench.get("/api/v1/phones").json()["phones"][0]["revoked"]


def test_phones_are_paired_and_revoked_at_the_bench_only(house, bench):
    one = paired(house, bench)
    row = bench.get("/api/v1/phones").json()["phones"][0]
    for method, path in (
        ("GET", "/api/v1/phones"),
        ("POST", "/api/v1/phones/code"),
        ("DELETE", f"/api/v1/phones/{row['phone_id']}"),
    ):
        refused = one.request(method, path)
        assert (refused.status_code, refused.json()["code"]) == (403, "at-the-bench")


def test_a_code_is_good_once_and_guesses_make_the_next_wait(house, bench):
    code = bench.post("/api/v1/phones/code").json()["code"]
    one = phone(house)
    assert one.post("/api/v1/phones/pair", json={"code": code}).status_code == 200
    again = phone(house).post("/api/v1/phones/pair", json={"code": code})
    assert (again.status_code, again.json()["code"]) == (422, "wrong-code")
    code = bench.post("/api/v1/phones/code").json()["code"]
    for guess in range(5):
        phone(house).post("/api/v1/phones/pair", json={"code": f"GUESS{guess}"})
    waits = phone(house).post("/api/v1/phones/pair", json={"code": code})
    assert (waits.status_code, waits.json()["code"]) == (429, "too-often")
    assert "Wait 5 minutes" in waits.json()["hint"]


def test_a_code_grows_old(house, bench, database):
    code = bench.post("/api/v1/phones/code").json()["code"]
    older = "UPDATE pairing_code SET ends_at = ends_at - INTERVAL 601 SECOND"
    database.transact(lambda cursor: cursor.execute(older))
    assert phone(house).post("/api/v1/phones/pair", json={"code": code}).status_code == 422


def test_a_guest_sees_one_day_at_the_water_and_nothing_else(house, bench, database):
    plans = bench.get("/api/v1/plans").json()
    fished = next(plan for plan in plans if plan["fished"])["plan_id"]
    asked = bench.post("/api/v1/phones/code", json={"plan_id": PLAN_ID})
    assert asked.status_code == 404, "nothing was packed of it yet"
    database.transact(pack)
    code = bench.post("/api/v1/phones/code", json={"plan_id": PLAN_ID}).json()
    assert code["minutes"] == 48 * 60
    guest = phone(house)
    answer = guest.post("/api/v1/phones/pair", json={"code": code["code"], "name": "Guest"}).json()
    assert answer["day"] == PLAN_ID
    assert "only" in answer["words"]
    assert [item["plan_id"] for item in guest.get("/api/v1/plans").json()] == [PLAN_ID]
    assert guest.get(f"/api/v1/plans/{PLAN_ID}/pack").status_code == 200
    seen = event(1, "note", PLAN_ID, words="a guest's")
    assert guest.post("/api/v1/events", json={"events": [seen]}).json()["new"] == 1
    assert bench.get("/api/v1/events", params={"plan_id": PLAN_ID}).json()
    for answer in (
        guest.get(f"/api/v1/plans/{fished}/pack"),
        guest.get("/api/v1/events", params={"plan_id": fished}),
        guest.get("/api/v1/photos", params={"plan_id": fished}),
        guest.post("/api/v1/events", json={"events": [event(2, "note", fished, words="x")]}),
    ):
        assert answer.status_code == 404
    for path in ("leaders", "places", "stock", "everything", f"plans/{fished}"):
        assert guest.get(f"/api/v1/{path}").status_code == 403
    assert bench.get("/api/v1/phones").json()["phones"][0]["day"]
    over = "UPDATE phone SET ends_at = UTC_TIMESTAMP(6) - INTERVAL 1 SECOND"
    database.transact(lambda cursor: cursor.execute(over))
    assert guest.get("/api/v1/plans").status_code == 401
    assert bench.get("/api/v1/phones").json()["phones"][0]["revoked"]


def test_a_phone_belongs_to_one_angler_whoever_sits_at_the_bench(house, bench, database):
    mine = paired(house, bench)
    titles = [item["title"] for item in mine.get("/api/v1/plans").json()]
    database.transact(lambda cursor: create_angler(cursor, Settings(name="Eskil")))
    assert bench.get("/api/v1/plans").json() == []
    assert [item["title"] for item in mine.get("/api/v1/plans").json()] == titles


AT_THE_WATER = {
    "GET /api/v1/plans",
    "GET /api/v1/plans/{plan_id}/pack",
    "GET /api/v1/events",
    "POST /api/v1/events",
    "GET /api/v1/photos",
    "POST /api/v1/photos",
    "GET /api/v1/readiness",
    "POST /api/v1/phones/pair",
    "GET /api/v1/phones/authority.crt",
}


@pytest.mark.parametrize("guest", [False, True])
def test_a_phone_reaches_what_it_needs_at_the_water_and_no_more(house, bench, database, guest):
    database.transact(pack)
    asked = {"plan_id": PLAN_ID} if guest else {}
    code = bench.post("/api/v1/phones/code", json=asked).json()["code"]
    one = phone(house)
    assert one.post("/api/v1/phones/pair", json={"code": code}).is_success
    reached = set()
    for path, operations in house.openapi()["paths"].items():
        for method in operations:
            answer = one.request(method, path.replace("{plan_id}", PLAN_ID))
            if answer.status_code != 403:
                reached.add(f"{method.upper()} {path}")
    assert reached == AT_THE_WATER


def test_without_the_door_there_is_no_code(client):
    refused = client.post("/api/v1/phones/code")
    assert refused.status_code == 422
    assert "./start --lan" in refused.json()["hint"]
