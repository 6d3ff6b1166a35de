"""What is given is read by whom it was given to, as it was given, and by nobody once taken back."""

import pytest

from nine_knots.demo.days import PLAN_ID
from tests.api.hosted import hosted, joined

NOTES = "Where the alder hangs over, second step."
KINDS = {"leader": "leaders", "rig": "lower-rigs", "water": "places", "day": "plans"}


@pytest.fixture(scope="module")
def app(migrated):
    return hosted(migrated)


@pytest.fixture
def two(app, database):
    """Runa with the demo's things, Eira with nothing, both of one group; Torv knows neither."""
    runa, eira, torv = (joined(app, database, name) for name in ("Runa", "Eira", "Torv"))
    runa.post("/api/v1/anglers/demo")
    club = runa.post("/api/v1/clubs", json={"title": "The Skarn club"}).json()[0]["club_id"]
    code = runa.post(f"/api/v1/clubs/{club}/code").json()["code"]
    answer = eira.post("/api/v1/clubs/join", json={"code": code.lower()})
    assert [item["name"] for item in answer.json()[0]["members"]] == [
        "Runa",
        "Eira",
    ]
    return runa, eira, torv, club


def thing_of(item, kind: str) -> str:
    if kind == "day":
        return PLAN_ID
    rows = item.get(f"/api/v1/{KINDS[kind]}").json()
    return next(value for key, value in rows[0].items() if key.endswith("_id"))


def given(giver, kind, thing_id, to_id, whom="angler", **more):
    form = {"kind": kind, "thing_id": thing_id, "whom": whom, "to_id": to_id, **more}
    return giver.post("/api/v1/gifts", json=form)


def waters(item):
    ids = [row["place_id"] for row in item.get("/api/v1/places").json()]
    return [item.get(f"/api/v1/places/{place_id}").json() for place_id in ids]


def receiver(giver, name):
    return next(
        item["to_id"] for item in giver.get("/api/v1/gifts/to").json() if item["name"] == name
    )


@pytest.mark.parametrize("kind", KINDS)
def test_each_kind_is_given_read_copied_and_taken_back(two, kind):
    runa, eira, torv, _ = two
    given_id = given(runa, kind, thing_of(runa, kind), receiver(runa, "Eira"), places=True).json()[
        0
    ]["given_id"]
    (row,) = eira.get("/api/v1/gifts").json()
    assert (row["giver"], row["kind"], row["thing_id"]) == ("Runa", kind, "")
    read = eira.get(f"/api/v1/gifts/{given_id}").json()
    assert read["thing"]["title"] == row["title"]
    assert read["thing"]["parts"]
    assert (read["thing"]["drawn"] is not None) == (kind in ("leader", "rig"))
    key = {"idempotency-key": "once"}
    for _ in range(2):
        copied = eira.post(f"/api/v1/gifts/{given_id}/copy", headers=key)
        assert row["title"] in copied.json()["words"]
    assert len(eira.get(f"/api/v1/{KINDS[kind]}").json()) == 1
    assert torv.get(f"/api/v1/gifts/{given_id}").status_code == 404
    assert eira.delete(f"/api/v1/gifts/{given_id}").status_code == 404, (
        "only its giver takes it back"
    )
    assert runa.delete(f"/api/v1/gifts/{given_id}").status_code == 204
    assert eira.get(f"/api/v1/gifts/{given_id}").status_code == 404
    assert eira.get("/api/v1/gifts").json() == []
    assert len(eira.get(f"/api/v1/{KINDS[kind]}").json()) == 1, "what was copied stays"


def test_where_it_is_fished_goes_along_only_where_that_was_said(two):
    runa, eira, _, _ = two
    water = next(item for item in waters(runa) if item["place"]["latitude"])
    names = [item["title"] for item in water["stretches"]]
    to_eira = receiver(runa, "Eira")
    rows = [
        *given(runa, "water", water["place_id"], to_eira).json(),
        *given(runa, "day", PLAN_ID, to_eira).json(),
    ]
    assert rows[0]["title"] == water["title"], "its giver is told all of it"
    for row in eira.get("/api/v1/gifts").json():
        read = eira.get(f"/api/v1/gifts/{row['given_id']}")
        for secret in (water["title"], *names):
            assert secret not in read.text
        eira.post(f"/api/v1/gifts/{row['given_id']}/copy")
    copies = [item["place"] for item in waters(eira)]
    assert len(copies) == 2
    for place in copies:
        assert (place["latitude"], place["gauge"], place["notes"]) == (None, None, "")
        assert [item["title"] for item in place["stretches"]][:2] == ["Stretch 1", "Stretch 2"]
        levels = [len(item["levels"]) for item in place["stretches"]]
        assert levels == [len(item["levels"]) for item in water["place"]["stretches"]]


def test_a_leaders_notes_stay_at_home_unless_they_are_given_too(two):
    runa, eira, _, _ = two
    leader_id = thing_of(runa, "leader")
    saved = runa.get(f"/api/v1/leaders/{leader_id}").json()
    headers = {"if-match": f'"{saved["revision"]}"'}
    design = {**saved["design"], "notes": NOTES}
    again = runa.post(f"/api/v1/leaders/{leader_id}/revisions", json=design, headers=headers)
    assert again.is_success
    to_eira = receiver(runa, "Eira")
    for places, found in ((False, False), (True, True)):
        given_id = given(runa, "leader", leader_id, to_eira, places=places).json()[0]["given_id"]
        assert (NOTES in eira.get(f"/api/v1/gifts/{given_id}").text) == found
    assert len(eira.get("/api/v1/gifts").json()) == 1, "given again it takes the place of the first"


def test_what_is_given_to_be_read_is_not_copied_nor_taken_up(two):
    runa, eira, _, _ = two
    form = {"places": True, "may_copy": False}
    rows = given(runa, "leader", thing_of(runa, "leader"), receiver(runa, "Eira"), **form).json()
    read = eira.get(f"/api/v1/gifts/{rows[0]['given_id']}").json()
    assert (read["thing"]["design"], bool(read["thing"]["drawn"])) == (None, True)
    refused = eira.post(f"/api/v1/gifts/{rows[0]['given_id']}/copy")
    assert (refused.status_code, refused.json()["code"]) == (403, "not-yours")


def test_a_group_reads_what_it_is_given_as_long_as_one_is_in_it(two):
    runa, eira, torv, club = two
    rows = given(runa, "water", thing_of(runa, "water"), club, "club").json()
    given_id = rows[0]["given_id"]
    assert eira.get(f"/api/v1/gifts/{given_id}").status_code == 200
    assert given(eira, "water", "0" * 32, club, "club").status_code == 404
    assert torv.delete(f"/api/v1/clubs/{club}").status_code == 404
    me = next(
        item["angler_id"] for item in eira.get("/api/v1/clubs").json()[0]["members"] if item["me"]
    )
    assert torv.delete(f"/api/v1/clubs/{club}/members/{me}").status_code == 404
    assert eira.delete(f"/api/v1/clubs/{club}/members/{me}").json() == []
    assert eira.get(f"/api/v1/gifts/{given_id}").status_code == 404
    assert eira.get("/api/v1/gifts/to").json() == []


def test_nobody_gives_to_whom_they_do_not_know_nor_what_is_not_theirs(two, database):
    runa, eira, torv, club = two
    torvs = torv.post("/api/v1/clubs", json={"title": "Mine"}).json()[0]
    leader_id = thing_of(runa, "leader")
    for whom, to_id in (
        ("angler", torvs["members"][0]["angler_id"]),
        ("club", torvs["club_id"]),
        ("angler", "0" * 32),
    ):
        refused = given(runa, "leader", leader_id, to_id, whom)
        assert (refused.status_code, refused.json()["where"]) == (404, "to_id")
    assert given(eira, "leader", leader_id, club, "club").status_code == 404
    for guess in range(5):
        torv.post("/api/v1/clubs/join", json={"code": f"GUESS{guess}"})
    waits = torv.post("/api/v1/clubs/join", json={"code": "GUESS"})
    assert (waits.status_code, waits.json()["code"]) == (429, "too-often")


def test_nobody_gives_under_anothers_name(two):
    runa, eira, _, club = two
    settings = {"name": "Eira", "units": "imperial", "theme": "light"}
    assert runa.put("/api/v1/angler", json=settings).status_code == 200
    given(runa, "water", thing_of(runa, "water"), club, "club")
    assert [item["giver"] for item in eira.get("/api/v1/gifts").json()] == ["Runa"]
    members = eira.get("/api/v1/clubs").json()[0]["members"]
    assert [member["name"] for member in members] == ["Runa", "Eira"]


def test_who_is_deleted_gives_and_is_given_nothing_more(two, database):
    runa, eira, _, club = two
    rows = given(runa, "water", thing_of(runa, "water"), club, "club").json()
    given(runa, "water", thing_of(runa, "water"), receiver(runa, "Eira"))
    assert len(eira.get("/api/v1/gifts").json()) == 2
    assert runa.delete("/api/v1/account", params={"name": "Runa"}).status_code == 204
    assert eira.get("/api/v1/gifts").json() == []
    assert eira.get(f"/api/v1/gifts/{rows[0]['given_id']}").status_code == 404
    assert eira.get("/api/v1/clubs").json() == []


def test_at_home_one_gives_to_the_others_of_the_household(client, saved):
    client.post("/api/v1/anglers", json={"name": "Torv"})
    assert [item["name"] for item in client.get("/api/v1/gifts/to").json()] == []
    client.post("/api/v1/anglers", json={"name": "Eira"})
    assert [item["name"] for item in client.get("/api/v1/gifts/to").json()] == ["Torv"]
