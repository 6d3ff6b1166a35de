"""Rods, lines and flies that an angler owns."""

import uuid
from typing import Any

from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.core.base.frozen import Frozen
from nine_knots.core.trade.tackle import Fly, FlyLine, Rod
from nine_knots.kept.envelope import Kind
from nine_knots.kept.kinds.owned import FLY, LINE, ROD
from nine_knots.store.rows import Row, readable

_KIND_OF: dict[type[Frozen], Kind[Any]] = {Rod: ROD, FlyLine: LINE, Fly: FLY}


class Kit(Frozen):
    """Everything to cast with that is owned, in the order it was added."""

    rods: tuple[Rod, ...] = Field(default=())
    lines: tuple[FlyLine, ...] = Field(default=())
    flies: tuple[Fly, ...] = Field(default=())


def read_kit(cursor: DictCursor, angler_id: str) -> Kit:
    """The angler's rods, lines and flies."""
    cursor.execute(
        "SELECT kind, version, body FROM tackle WHERE angler_id = %s ORDER BY place, title",
        (angler_id,),
    )
    rows: dict[str, list[Row]] = {"rod": [], "line": [], "fly": []}
    for row in cursor.fetchall():
        rows[row["kind"]].append(row)
    return Kit(
        rods=tuple(rod for _, rod in readable(ROD, rows["rod"])),
        lines=tuple(line for _, line in readable(LINE, rows["line"])),
        flies=tuple(fly for _, fly in readable(FLY, rows["fly"])),
    )


def add_tackle(cursor: DictCursor, angler_id: str, item: Rod | FlyLine | Fly) -> None:
    """Add one; an item of the same kind and title is written anew in its place."""
    kind = _KIND_OF[type(item)]
    cursor.execute(
        "SELECT tackle_id, place FROM tackle WHERE angler_id = %s AND kind = %s AND title = %s "
        "FOR UPDATE",
        (angler_id, kind.name, item.title),
    )
    row = cursor.fetchone()
    cursor.execute("SELECT COUNT(*) AS owned FROM tackle WHERE angler_id = %s", (angler_id,))
    counted = cursor.fetchone()
    place = row["place"] if row else counted["owned"] if counted else 0
    tackle_id = row["tackle_id"] if row else uuid.uuid4().hex
    cursor.execute(
        "REPLACE INTO tackle (angler_id, kind, tackle_id, title, place, version, body) "
        "VALUES (%s, %s, %s, %s, %s, %s, %s)",
        (angler_id, kind.name, tackle_id, item.title, place, kind.version, kind.write(item)),
    )
