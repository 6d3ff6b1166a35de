"""Rows that cannot be read: told beside the others, given out as they are, hiding none of them."""

import json
from typing import get_args

import pytest

from nine_knots.api.routes.stored_values import KindName
from nine_knots.store.damaged import KINDS_TOLD
from nine_knots.stored_types.types import STORED_TYPES

BROKEN = {"title": "Half a leader", "situation": {}, "leader": {"parts": []}}


def spoil(database, table: str, where: str, version: int = 1) -> None:
    """Write over the body of one row of a table."""

    def write(cursor):
        cursor.execute(
            f"UPDATE {table} SET body = %s, version = %s WHERE {where} LIMIT 1",
            (json.dumps(BROKEN), version),
        )

    database.transact(write)


@pytest.fixture
def damaged(client, database, saved) -> str:
    """The id of a leader whose newest revision cannot be read."""
    spoil(database, "revision", f"leader_id = '{saved['leader_id']}'")
    return saved["leader_id"]


def test_a_damaged_leader_hides_none_of_its_neighbours(client, damaged):
    cards = client.get("/api/v1/leaders").json()
    assert len(cards) > 10
    (broken,) = [card for card in cards if card["damaged"]]
    assert broken["leader_id"] == damaged
    assert broken["title"]
    assert "cannot be read" in broken["damaged"]
    assert all(card["outline"] for card in cards if not card["damaged"])
    opened = client.get(f"/api/v1/leaders/{damaged}")
    assert opened.status_code == 500
    assert opened.json()["code"] == "damaged"
    assert "kept as it is" in opened.json()["hint"]


def test_a_damaged_row_is_given_out_as_it_is(client, damaged):
    (row,) = client.get("/api/v1/stored-values/damaged").json()
    assert (row["kind"], row["row_id"]) == ("leader", f"{damaged}.1")
    file = client.get(f"/api/v1/stored-values/damaged/leader/{damaged}.1")
    assert file.headers["content-disposition"].endswith('-damaged.json"')
    assert json.loads(file.json()["body"]) == BROKEN
    assert file.json()["version"] == 1
    assert client.get("/api/v1/stored-values/damaged/leader/none").status_code == 404
    everything = client.get("/api/v1/account-data").json()
    assert [item["row_id"] for item in everything["damaged"]] == [f"{damaged}.1"]
    back = client.post("/api/v1/account-data", json=everything)
    assert "1 damaged rows" in back.json()["words"]


@pytest.mark.parametrize(
    ("table", "kind", "path", "left"),
    [("stock", "spool", "/api/v1/stock", None), ("tackle", "fly", "/api/v1/kit", "flies")],
)
def test_what_is_owned_is_listed_without_the_damaged(client, database, table, kind, path, left):
    def owned():
        found = client.get(path).json()
        return found[left] if left else found

    before = len(owned())
    spoil(database, table, "kind = 'fly'" if table == "tackle" else "form = 'spool'", 99)
    assert len(owned()) == before - 1
    (row,) = client.get("/api/v1/stored-values/damaged").json()
    assert row["kind"] == kind
    assert "version 99" in row["why"]


def test_leaders_that_a_browser_kept_are_brought_up(client, saved):
    asked = {"version": 1, "leaders": [saved["design"], BROKEN]}
    good, broken = client.post("/api/v1/stored-values/leaders", json=asked).json()
    assert good == {"leader": saved["design"], "why": ""}
    assert broken["leader"] is None
    assert "cannot be read" in broken["why"]
    newer = client.post("/api/v1/stored-values/leaders", json={**asked, "version": 99}).json()
    assert all("version 99" in item["why"] for item in newer)


@pytest.mark.parametrize(
    ("table", "kind", "listed"),
    [
        ("plan", "plan", "/api/v1/plans"),
        ("fishing_event", "event", "/api/v1/events"),
        ("wallet", "wallet rig", "/api/v1/wallet"),
    ],
)
def test_days_and_what_happened_on_them_are_rescued_too(client, database, table, kind, listed):
    plan_id = client.get("/api/v1/plans").json()[0]["plan_id"]
    event = {"event_id": "e" * 32, "plan_id": plan_id, "at": 1, "kind": "missed"}
    client.post("/api/v1/events", json={"events": [event]}).raise_for_status()
    mine = client.get("/api/v1/anglers").json()[0]["angler_id"]
    spoil(database, table, f"angler_id = '{mine}'")
    answer = client.get("/api/v1/stored-values/damaged")
    assert answer.status_code == 200
    (row,) = answer.json()
    assert row["kind"] == kind
    file = client.get(f"/api/v1/stored-values/damaged/{kind}/{row['row_id']}")
    assert json.loads(file.json()["body"]) == BROKEN
    assert client.get(listed, params={"plan_id": plan_id}).status_code == 200


def test_every_kind_that_is_kept_can_be_told_as_damaged():
    assert set(get_args(KindName)) == KINDS_TOLD == set(STORED_TYPES)
