"""Rods, lines and flies that an angler owns."""

import uuid
from typing import Any

from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.tackle import Fly, FlyLine, Rod
from nine_knots.store.rows import Row, readable_rows
from nine_knots.stored_types.stored_type import StoredType
from nine_knots.stored_types.types import FLY, LINE, ROD

_KIND_OF: dict[type[Frozen], StoredType[Any]] = {Rod: ROD, FlyLine: LINE, Fly: FLY}


class Kit(Frozen):
    """Everything to cast with that is owned, in the order it was added."""

    rods: tuple[Rod, ...] = Field(default=())
    lines: tuple[FlyLine, ...] = Field(default=())
    flies: tuple[Fly, ...] = Field(default=())


def read_kit(cursor: DictCursor, angler_id: str) -> Kit:
    """The angler's rods, lines and flies."""
    cursor.execute(
        "SELECT kind, version, body FROM tackle WHERE angler_id = %s AND retired_at IS NULL "
        "ORDER BY place, title",
        (angler_id,),
    )
    rows: dict[str, list[Row]] = {"rod": [], "line": [], "fly": []}
    for row in cursor.fetchall():
        rows[row["kind"]].append(row)
    return Kit(
        rods=tuple(rod for _, rod in readable_rows(ROD, rows["rod"])),
        lines=tuple(line for _, line in readable_rows(LINE, rows["line"])),
        flies=tuple(fly for _, fly in readable_rows(FLY, rows["fly"])),
    )


def list_tackle(
    cursor: DictCursor, angler_id: str, retired: bool = False
) -> tuple[tuple[str, Rod | FlyLine | Fly], ...]:
    """The same with their ids: rods, then lines, then flies, each in the order it was added; or
    those that were taken out."""
    cursor.execute(
        "SELECT tackle_id, kind, version, body FROM tackle "
        "WHERE angler_id = %s AND (retired_at IS NULL) != %s ORDER BY kind, place, title",
        (angler_id, retired),
    )
    rows = list(cursor.fetchall())
    kinds: tuple[StoredType[Any], ...] = (ROD, LINE, FLY)
    return tuple(
        (row["tackle_id"], item)
        for kind in kinds
        for row, item in readable_rows(kind, [row for row in rows if row["kind"] == kind.name])
    )


def read_tackle(cursor: DictCursor, angler_id: str, tackle_id: str) -> Rod | FlyLine | Fly:
    """One of them, or NotFound."""
    found = dict(list_tackle(cursor, angler_id)).get(tackle_id)
    if found is None:
        raise _no_tackle()
    return found


def put_tackle(
    cursor: DictCursor, angler_id: str, tackle_id: str, tackle: Rod | FlyLine | Fly
) -> None:
    """Write one anew in its place; NotFound where nothing of its kind has this id."""
    kind = _KIND_OF[type(tackle)]
    put = cursor.execute(
        "UPDATE tackle SET title = %s, version = %s, body = %s "
        "WHERE angler_id = %s AND tackle_id = %s AND kind = %s",
        (tackle.title, kind.version, kind.write(tackle), angler_id, tackle_id, kind.name),
    )
    if not put and not _is_there(cursor, angler_id, tackle_id, kind.name):
        raise _no_tackle()


def retire_tackle(cursor: DictCursor, angler_id: str, tackle_id: str, retired: bool = True) -> None:
    """Take a rod, line or fly out of the kit, or put it back; NotFound where it is not there."""
    found = cursor.execute(
        "UPDATE tackle SET retired_at = IF(%s, UTC_TIMESTAMP(6), NULL) "
        "WHERE angler_id = %s AND tackle_id = %s AND (retired_at IS NULL) = %s",
        (retired, angler_id, tackle_id, retired),
    )
    if not found:
        raise _no_tackle()


def _is_there(cursor: DictCursor, angler_id: str, tackle_id: str, kind: str) -> bool:
    cursor.execute(
        "SELECT 1 FROM tackle WHERE angler_id = %s AND tackle_id = %s AND kind = %s",
        (angler_id, tackle_id, kind),
    )
    return cursor.fetchone() is not None


def _no_tackle() -> NotFound:
    return NotFound("That rod, line or fly isn't in the kit.", where="tackle_id")


def add_tackle(cursor: DictCursor, angler_id: str, tackle: Rod | FlyLine | Fly) -> None:
    """Add one; an item of the same kind and title is written anew in its place."""
    kind = _KIND_OF[type(tackle)]
    cursor.execute(
        "SELECT tackle_id, place FROM tackle WHERE angler_id = %s AND kind = %s AND title = %s "
        "FOR UPDATE",
        (angler_id, kind.name, tackle.title),
    )
    row = cursor.fetchone()
    cursor.execute("SELECT COUNT(*) AS owned FROM tackle WHERE angler_id = %s", (angler_id,))
    counted = cursor.fetchone()
    place = row["place"] if row else counted["owned"] if counted else 0
    tackle_id = row["tackle_id"] if row else uuid.uuid4().hex
    cursor.execute(
        "REPLACE INTO tackle (angler_id, kind, tackle_id, title, place, version, body) "
        "VALUES (%s, %s, %s, %s, %s, %s, %s)",
        (angler_id, kind.name, tackle_id, tackle.title, place, kind.version, kind.write(tackle)),
    )
