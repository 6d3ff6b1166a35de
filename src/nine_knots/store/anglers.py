"""Anglers and their settings; one sits at the bench, and every row belongs to one.

At home all anglers are of one household and ``account_id`` is None; where accounts are, each knows
of its own anglers only.
"""

import uuid
from typing import Literal

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound, OutOfRange
from nine_knots.core.base.limits import Title
from nine_knots.core.base.quantity import System
from nine_knots.core.base.values import Frozen

MOST_OF_AN_ACCOUNT = 12
OWN = "My own"
"""Name of an angler who told none."""
Theme = Literal["auto", "light", "dark"]


class Settings(Frozen):
    """What the angler wants remembered."""

    name: Title
    units: System = "imperial"
    theme: Theme = "auto"


class AnglerAtBench(Frozen):
    """An angler whose things are here; those of the demo are made up. ``locked`` where a code is
    asked for."""

    angler_id: str
    name: Title
    demo: bool
    in_front: bool
    locked: bool = False


def create_angler(
    cursor: DictCursor, settings: Settings, demo: bool = False, account_id: str | None = None
) -> str:
    """A new angler, who comes to the front; answers the id. OutOfRange where an account has as many
    as it may."""
    if account_id is not None and len(list_anglers(cursor, account_id)) >= MOST_OF_AN_ACCOUNT:
        raise OutOfRange(
            f"An account has {MOST_OF_AN_ACCOUNT} anglers at most.",
            where="name",
            hint="Delete one you don't need: My things, Delete all of it.",
        )
    angler_id = uuid.uuid4().hex
    cursor.execute(
        "INSERT INTO angler (angler_id, name, units, theme, demo, account_id, created_at, "
        "in_front_since) VALUES (%s, %s, %s, %s, %s, %s, UTC_TIMESTAMP(6), UTC_TIMESTAMP(6))",
        (angler_id, settings.name, settings.units, settings.theme, demo, account_id),
    )
    return angler_id


def list_anglers(cursor: DictCursor, account_id: str | None = None) -> tuple[AnglerAtBench, ...]:
    """All whose things are here, who is in front first."""
    cursor.execute(
        "SELECT angler_id, name, demo, code_sealed IS NOT NULL AS locked FROM angler "
        "WHERE account_id <=> %s ORDER BY in_front_since DESC",
        (account_id,),
    )
    return tuple(
        AnglerAtBench(
            angler_id=row["angler_id"],
            name=row["name"],
            demo=bool(row["demo"]),
            in_front=number == 0,
            locked=bool(row["locked"]),
        )
        for number, row in enumerate(cursor.fetchall())
    )


def read_here(cursor: DictCursor, angler_id: str, account_id: str | None = None) -> AnglerAtBench:
    """One of them, or NotFound."""
    found = [angler for angler in list_anglers(cursor, account_id) if angler.angler_id == angler_id]
    if not found:
        raise NotFound("That angler doesn't exist.", where="angler_id")
    return found[0]


def current_angler(cursor: DictCursor, account_id: str | None = None) -> str | None:
    """The id of the angler who sits at the bench, or None in an empty database."""
    cursor.execute(
        "SELECT angler_id FROM angler WHERE account_id <=> %s ORDER BY in_front_since DESC LIMIT 1",
        (account_id,),
    )
    row = cursor.fetchone()
    return row["angler_id"] if row else None


def set_current_angler(cursor: DictCursor, angler_id: str) -> None:
    """Let this angler sit at the bench."""
    cursor.execute(
        "UPDATE angler SET in_front_since = UTC_TIMESTAMP(6) WHERE angler_id = %s", (angler_id,)
    )


def previous_angler(cursor: DictCursor, account_id: str | None = None) -> str | None:
    """The id of the angler who sat there before, or None where there was none."""
    cursor.execute(
        "SELECT angler_id FROM angler WHERE account_id <=> %s "
        "ORDER BY in_front_since DESC LIMIT 1, 1",
        (account_id,),
    )
    row = cursor.fetchone()
    return row["angler_id"] if row else None


def lock_angler(cursor: DictCursor, angler_id: str) -> None:
    """Count a write and hold the angler's row till the end of the transaction: first of all that a
    write touches, so that two writes of one angler wait for another and never deadlock."""
    cursor.execute("UPDATE angler SET writes = writes + 1 WHERE angler_id = %s", (angler_id,))


def write_count(cursor: DictCursor, angler_id: str) -> int:
    """How often something of the angler's was written."""
    cursor.execute("SELECT writes FROM angler WHERE angler_id = %s", (angler_id,))
    row = cursor.fetchone()
    return int(row["writes"]) if row else 0


def read_settings(cursor: DictCursor, angler_id: str) -> Settings:
    """The angler's settings, or NotFound."""
    cursor.execute("SELECT name, units, theme FROM angler WHERE angler_id = %s", (angler_id,))
    row = cursor.fetchone()
    if row is None:
        raise NotFound("That angler doesn't exist.")
    return Settings.model_validate(row)


def write_settings(cursor: DictCursor, angler_id: str, settings: Settings) -> Settings:
    """Remember the angler's settings."""
    cursor.execute(
        "UPDATE angler SET name = %s, units = %s, theme = %s WHERE angler_id = %s",
        (settings.name, settings.units, settings.theme, angler_id),
    )
    return settings
