"""Anglers and their settings; there is one for now, and every row already belongs to one."""

import uuid
from typing import Literal

from pymysql.cursors import DictCursor

from nine_knots.core.errors import NotFound
from nine_knots.core.values import Frozen, System, Title

Theme = Literal["auto", "light", "dark"]


class Settings(Frozen):
    """What the angler wants remembered."""

    name: Title
    units: System = "imperial"
    theme: Theme = "auto"


def create_angler(cursor: DictCursor, settings: Settings) -> str:
    """A new angler; answers the id."""
    angler_id = uuid.uuid4().hex
    cursor.execute(
        "INSERT INTO angler (angler_id, name, units, theme, created_at) "
        "VALUES (%s, %s, %s, %s, UTC_TIMESTAMP(6))",
        (angler_id, settings.name, settings.units, settings.theme),
    )
    return angler_id


def only_angler(cursor: DictCursor) -> str | None:
    """The id of the one angler, or None in an empty database."""
    cursor.execute("SELECT angler_id FROM angler ORDER BY created_at LIMIT 1")
    row = cursor.fetchone()
    return row["angler_id"] if row else None


def read_settings(cursor: DictCursor, angler_id: str) -> Settings:
    """The angler's settings, or NotFound."""
    cursor.execute("SELECT name, units, theme FROM angler WHERE angler_id = %s", (angler_id,))
    row = cursor.fetchone()
    if row is None:
        raise NotFound("There is no such angler.")
    return Settings.model_validate(row)


def write_settings(cursor: DictCursor, angler_id: str, settings: Settings) -> Settings:
    """Remember the angler's settings."""
    cursor.execute(
        "UPDATE angler SET name = %s, units = %s, theme = %s WHERE angler_id = %s",
        (settings.name, settings.units, settings.theme, angler_id),
    )
    return settings
