"""Rods, lines and flies that an angler owns."""

import uuid
from typing import Literal

from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.core.base.frozen import Frozen
from nine_knots.core.trade.tackle import Fly, FlyLine, Rod

TackleKind = Literal["rod", "line", "fly"]


_KIND_OF: dict[type[Frozen], TackleKind] = {Rod: "rod", FlyLine: "line", Fly: "fly"}


class Kit(Frozen):
    """Everything to cast with that is owned, in the order it was added."""

    rods: tuple[Rod, ...] = Field(default=())
    lines: tuple[FlyLine, ...] = Field(default=())
    flies: tuple[Fly, ...] = Field(default=())


def read_kit(cursor: DictCursor, angler_id: str) -> Kit:
    """The angler's rods, lines and flies."""
    cursor.execute(
        "SELECT kind, body FROM tackle WHERE angler_id = %s ORDER BY place, title", (angler_id,)
    )
    bodies: dict[str, list[str]] = {"rod": [], "line": [], "fly": []}
    for row in cursor.fetchall():
        bodies[row["kind"]].append(row["body"])
    return Kit(
        rods=tuple(Rod.model_validate_json(body) for body in bodies["rod"]),
        lines=tuple(FlyLine.model_validate_json(body) for body in bodies["line"]),
        flies=tuple(Fly.model_validate_json(body) for body in bodies["fly"]),
    )


def add_tackle(cursor: DictCursor, angler_id: str, item: Rod | FlyLine | Fly) -> None:
    """Add one; an item of the same kind and title is written anew in its place."""
    kind = _KIND_OF[type(item)]
    cursor.execute(
        "SELECT tackle_id, place FROM tackle WHERE angler_id = %s AND kind = %s AND title = %s "
        "FOR UPDATE",
        (angler_id, kind, item.title),
    )
    row = cursor.fetchone()
    cursor.execute("SELECT COUNT(*) AS owned FROM tackle WHERE angler_id = %s", (angler_id,))
    counted = cursor.fetchone()
    place = row["place"] if row else counted["owned"] if counted else 0
    tackle_id = row["tackle_id"] if row else uuid.uuid4().hex
    cursor.execute(
        "REPLACE INTO tackle (angler_id, kind, tackle_id, title, place, body) "
        "VALUES (%s, %s, %s, %s, %s, %s)",
        (angler_id, kind, tackle_id, item.title, place, item.model_dump_json()),
    )
