"""Two anglers, every route: nothing of one is read, changed or told to the other. What is called is
made up from the OpenAPI document, so that a new route is covered the day it is written."""

import re
from typing import Any

import pytest
from fastapi.testclient import TestClient

from nine_knots.demo.load import add_demo
from nine_knots.services.secret import hash_of
from nine_knots.store.accounts.accounts import TABLES as OF_ACCOUNTS
from nine_knots.store.accounts.challenges import add_challenge
from nine_knots.store.accounts.passkeys import add_passkey
from nine_knots.store.anglers import list_anglers
from nine_knots.store.erasure import TABLES
from nine_knots.store.phones import add_phone
from nine_knots.store.photos import add_photo
from tests.api.hosted import ORIGIN, hosted, joined

MARK = "ZEBRA"
NOBODYS = "0" * 31 + "f"
SLOW = (
    "/api/v1/find",
    "/api/v1/plans/pack",
    "/api/v1/today/days",
)  # of the caller's own things only
OUT = "/api/v1/account/log-out"
TURNS = ("/api/v1/anglers", "/api/v1/account-data")  # bring other things to the front: called last
ID = re.compile(r"[0-9a-f]{32}")


@pytest.fixture
def house(migrated):
    """A service of its own: its crew ends with the test."""
    return hosted(migrated)


@pytest.fixture
def two(house, database):
    """Runa logged in, with the ids of hers and of another, whose every title bears a mark."""
    with TestClient(house, base_url=ORIGIN) as running:
        runa, zebra = joined(house, database, "Runa"), joined(house, database, f"{MARK} keeper")
        runa.portal = zebra.portal = running.portal  # workers answer on one loop only
        accounts = database.transact(accounts_by_name)
        mine, theirs = accounts["Runa"], accounts[f"{MARK} keeper"]
        database.transact(lambda cursor: add_demo(cursor, season=False, account_id=mine))
        other = database.transact(lambda cursor: add_demo(cursor, account_id=theirs))
        database.transact(lambda cursor: mark(cursor, other))
        database.transact(lambda cursor: have_all(cursor, other, theirs))
        for path, form in (
            ("places", {"title": f"{MARK} lake", "kind": "lake"}),
            ("clubs", {"title": f"{MARK} club"}),
            ("account/invitations", {"note": f"for {MARK}"}),
        ):
            made = zebra.post(f"/api/v1/{path}", json=form)
            assert made.status_code < 300, made.text
        club = zebra.get("/api/v1/clubs").json()[0]["club_id"]
        leader = zebra.get("/api/v1/leaders").json()[0]["leader_id"]
        form = {"kind": "leader", "thing_id": leader, "whom": "club", "to_id": club}
        assert zebra.post("/api/v1/gifts", json=form).status_code == 200
        yield runa, (theirs, other)


def accounts_by_name(cursor) -> dict[str, str]:
    cursor.execute("SELECT name, account_id FROM account")
    return {row["name"]: row["account_id"] for row in cursor.fetchall()}


def have_all(cursor, angler_id: str, account_id: str) -> None:
    """What the other has beside the demo: a photo, a passkey, something to sign."""
    add_photo(cursor, angler_id, NOBODYS, f"{MARK}.jpg", b"x")
    add_phone(cursor, angler_id, f"{MARK} phone", hash_of(MARK))
    add_passkey(cursor, account_id, f"{MARK} phone", b"credential", b"key", 0)
    add_challenge(cursor, "add", b"challenge", account_id)


def mark(cursor, angler_id: str) -> None:
    """Have every title of an angler's bear the mark, and no id be anybody else's."""
    for table in TABLES:
        cursor.execute(f"SHOW COLUMNS FROM {table}")
        columns = {row["Field"] for row in cursor.fetchall()}
        for column in columns & {"title", "name"}:
            cursor.execute(
                f"UPDATE {table} SET {column} = CONCAT(%s, LEFT({column}, 70)) "
                "WHERE angler_id = %s",
                (MARK, angler_id),
            )
        if "body" in columns:
            cursor.execute(
                f'UPDATE {table} SET body = REPLACE(body, \'"title":"\', \'"title":"{MARK}\') '
                "WHERE angler_id = %s",
                (angler_id,),
            )
    cursor.execute("SET FOREIGN_KEY_CHECKS = 0")
    for table in ("plan", "day_pack", "fishing_event"):
        also = ", event_id = REVERSE(event_id)" if table == "fishing_event" else ""
        cursor.execute(
            f"UPDATE {table} SET plan_id = REVERSE(plan_id){also} WHERE angler_id = %s",
            (angler_id,),
        )
    cursor.execute("SET FOREIGN_KEY_CHECKS = 1")


def rows_of(database, account_id: str, angler_id: str) -> dict[str, list[dict]]:
    """All that an angler has, as it stands in the tables, and what the account has."""

    def read(cursor) -> dict[str, list[dict]]:
        found = {}
        for table in OF_ACCOUNTS:
            cursor.execute(f"SELECT * FROM {table} WHERE account_id = %s", (account_id,))
            found[table] = sorted(cursor.fetchall(), key=repr)
        for table in TABLES:
            cursor.execute(f"SELECT * FROM {table} WHERE angler_id = %s", (angler_id,))
            found[table] = sorted(cursor.fetchall(), key=repr)
        cursor.execute(
            "SELECT revision.* FROM revision JOIN leader USING (leader_id) WHERE angler_id = %s",
            (angler_id,),
        )
        return found | {"revision": sorted(cursor.fetchall(), key=repr)}

    return database.transact(read)


def ids_in(rows: dict[str, list[dict]]) -> dict[str, list[str]]:
    """Ids by the columns they stand in."""
    found: dict[str, set[str]] = {"name": {f"{MARK}.jpg"}, "stretch_id": {"pockets"}}
    for table in rows.values():
        for row in table:
            for column, value in row.items():
                if column.endswith("_id") and value:
                    found.setdefault(column, set()).add(str(value))
    found["row_id"] = found["leader_id"]
    found["to_id"] = found["club_id"]
    return {column: sorted(values)[:2] for column, values in found.items()}


class Calls:
    """Calls made up from the document, about the other's ids or about nobody's."""

    def __init__(self, document: dict, ids: dict[str, list[str]]) -> None:
        self.document, self.ids = document, ids

    def all(self):
        paths = self.document["paths"].items()
        for path, verbs in sorted(paths, key=lambda item: item[0].startswith(TURNS)):
            if path.startswith((*SLOW, OUT)):
                continue
            for verb, operation in verbs.items():
                about = [self.call(verb, path, operation, number, True) for number in range(2)]
                nobodys = self.call(verb, path, operation, 0, False)
                for entry in about[: 1 if about[0] == about[1] else 2]:
                    yield f"{verb} {path}", entry, nobodys

    def call(self, verb: str, path: str, operation: dict, number: int, theirs: bool) -> dict:
        query, headers = {}, {"origin": ORIGIN}
        for entry in operation.get("parameters", []):
            value = self.value(entry["name"], entry["schema"], number, theirs)
            if entry["in"] == "path":
                path = path.replace("{" + entry["name"] + "}", str(value))
            elif entry["in"] == "query" and (entry.get("required") or entry["name"] in self.ids):
                query[entry["name"]] = value
            elif entry["in"] == "header" and entry.get("required"):
                headers[entry["name"]] = "1"
        made: dict[str, Any] = {"method": verb, "url": path, "params": query, "headers": headers}
        if "requestBody" in operation:
            schema = operation["requestBody"]["content"]["application/json"]["schema"]
            made["json"] = self.value("", schema, number, theirs)
        return made

    def value(self, name: str, schema: dict, number: int, theirs: bool) -> Any:
        """A value that the schema takes; an id where an id is asked for."""
        known = self.ids.get("spool_id" if name == "of_id" else name)
        if known and schema.get("type", "string") == "string":
            return known[number % len(known)] if theirs or name == "stretch_id" else NOBODYS
        if schema.get("examples"):
            return schema["examples"][0]
        if "$ref" in schema:
            schema = self.document["components"]["schemas"][schema["$ref"].rsplit("/", 1)[-1]]
        for key in ("const", "default"):
            if schema.get(key) not in (None, "", []):
                return schema[key]
        if schema.get("examples"):
            return schema["examples"][0]
        if "enum" in schema:
            return schema["enum"][0]
        for key in ("anyOf", "oneOf", "allOf"):
            if key in schema:
                return self.value(name, schema[key][0], number, theirs)
        return self.plain(name, schema, number, theirs)

    def plain(self, name: str, schema: dict, number: int, theirs: bool) -> Any:
        kind = schema.get("type")
        if kind == "object":
            wanted = set(schema.get("required", ())) | (
                set(schema.get("properties", ())) & set(self.ids)
            )
            return {
                key: self.value(key, schema["properties"][key], number, theirs)
                for key in schema.get("properties", {})
                if key in wanted
            }
        if kind == "array":
            name = name.removesuffix("s")
            least = max(1, schema.get("minItems", 1))
            return [self.value(name, schema["items"], number, theirs)] * least
        if kind in ("number", "integer"):
            least = schema.get("minimum", schema.get("exclusiveMinimum", 0) + 1)
            return int(least) if kind == "integer" else least
        return {"boolean": True, "null": None}.get(kind or "", "9 ft 5X")


def test_nothing_of_one_angler_is_told_to_or_changed_by_another(two, house, database):
    runa, other = two
    before = rows_of(database, *other)
    ids = ids_in(before)
    theirs = set(ID.findall(repr(before))) - {NOBODYS}
    taken, refused, sent = 0, 0, {NOBODYS}
    for title, about, nobodys in Calls(house.openapi(), ids).all():
        answer = runa.request(**about)
        assert answer.status_code < 500, (title, answer.text[:300])
        taken, refused = taken + (answer.status_code < 300), refused + (answer.status_code == 404)
        sent |= set(ID.findall(repr(about)))  # the caller may be told again what it sent
        told = (set(ID.findall(answer.text)) & theirs) - sent
        assert (MARK in answer.text.replace(f"{MARK}.jpg", ""), told) == (False, set()), title
        if set(ID.findall(repr(about))) & theirs:
            like = runa.request(**nobodys)
            assert answer.status_code == like.status_code, title
    after = rows_of(database, *other)
    for table, rows in before.items():
        assert after[table] == rows, table
    assert (taken > 60, refused > 30) == (True, True), (taken, refused)


def test_every_table_with_rows_of_anglers_is_forgotten(database):
    def tables(cursor) -> set[str]:
        cursor.execute(
            "SELECT TABLE_NAME AS name FROM information_schema.COLUMNS "
            "WHERE TABLE_SCHEMA = DATABASE() AND COLUMN_NAME = 'angler_id'"
        )
        return {row["name"] for row in cursor.fetchall()}

    assert database.transact(tables) == set(TABLES)


def test_all_that_an_angler_has_is_deleted_at_once_and_nothing_else(client, database):
    runa = database.transact(list_anglers)[0].angler_id
    kept = rows_of(database, "", runa)
    other = database.transact(lambda cursor: add_demo(cursor, season=False))
    database.transact(lambda cursor: mark(cursor, other))
    name = client.get("/api/v1/angler").json()["name"]
    wrong = client.delete("/api/v1/account-data", params={"name": "Runa"})
    assert (wrong.status_code, wrong.json()["where"]) == (422, "name")
    assert rows_of(database, "", other)["leader"]
    gone = client.delete("/api/v1/account-data", params={"name": name}).json()
    assert gone["name"] == "Runa of the Skarn valley"
    assert "Backups keep it for two weeks" in gone["words"]
    assert not any(rows_of(database, "", other).values())
    assert rows_of(database, "", runa)["leader"] == kept["leader"]
    alone = client.delete("/api/v1/account-data", params={"name": gone["name"]}).json()
    assert alone["name"] == "My own"
    assert client.get("/api/v1/stock").json() == []
