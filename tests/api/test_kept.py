"""Rows that cannot be read: told beside the others, given out as they are, hiding none of them."""

import json

import pytest

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
    cards = client.get("/api/leaders").json()
    assert len(cards) > 10
    (broken,) = [card for card in cards if card["damaged"]]
    assert broken["leader_id"] == damaged
    assert broken["title"]
    assert "cannot be read" in broken["damaged"]
    assert all(card["outline"] for card in cards if not card["damaged"])
    opened = client.get(f"/api/leaders/{damaged}")
    assert opened.status_code == 500
    assert opened.json()["code"] == "damaged"
    assert "kept as it is" in opened.json()["mend"]


def test_a_damaged_row_is_given_out_as_it_is(client, damaged):
    (row,) = client.get("/api/kept/damaged").json()
    assert (row["kind"], row["row_id"]) == ("leader", f"{damaged}.1")
    file = client.get(f"/api/kept/damaged/leader/{damaged}.1")
    assert file.headers["content-disposition"].endswith('-damaged.json"')
    assert json.loads(file.json()["body"]) == BROKEN
    assert file.json()["version"] == 1
    assert client.get("/api/kept/damaged/leader/none").status_code == 404
    everything = client.get("/api/everything").json()
    assert [one["row_id"] for one in everything["damaged"]] == [f"{damaged}.1"]
    back = client.post("/api/everything", json=everything)
    assert "1 damaged rows" in back.json()["words"]


@pytest.mark.parametrize(
    ("table", "kind", "path", "left"),
    [("stock", "spool", "/api/stock", None), ("tackle", "fly", "/api/kit", "flies")],
)
def test_what_is_owned_is_listed_without_the_damaged(client, database, table, kind, path, left):
    def owned():
        found = client.get(path).json()
        return found[left] if left else found

    before = len(owned())
    spoil(database, table, "kind = 'fly'" if table == "tackle" else "form = 'spool'", 99)
    assert len(owned()) == before - 1
    (row,) = client.get("/api/kept/damaged").json()
    assert row["kind"] == kind
    assert "version 99" in row["why"]


def test_leaders_that_a_browser_kept_are_brought_up(client, saved):
    asked = {"version": 1, "leaders": [saved["design"], BROKEN]}
    good, broken = client.post("/api/kept/leaders", json=asked).json()
    assert good == {"leader": saved["design"], "why": ""}
    assert broken["leader"] is None
    assert "cannot be read" in broken["why"]
    newer = client.post("/api/kept/leaders", json={**asked, "version": 99}).json()
    assert all("version 99" in one["why"] for one in newer)
