"""Waters that an angler fishes."""

import uuid

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound, OutOfRange
from nine_knots.core.domain.places import Place
from nine_knots.store.rows import readable_rows, value_of
from nine_knots.stored_types.types import PLACE


def list_places(cursor: DictCursor, angler_id: str) -> tuple[tuple[str, Place], ...]:
    """All of them by name, with their ids."""
    cursor.execute(
        "SELECT place_id, version, body FROM place WHERE angler_id = %s ORDER BY title",
        (angler_id,),
    )
    return tuple((row["place_id"], place) for row, place in readable_rows(PLACE, cursor.fetchall()))


def read_place(cursor: DictCursor, angler_id: str, place_id: str) -> Place:
    """One of them, or NotFound."""
    cursor.execute(
        "SELECT version, body FROM place WHERE angler_id = %s AND place_id = %s",
        (angler_id, place_id),
    )
    row = cursor.fetchone()
    if row is None:
        raise _no_place()
    return value_of(PLACE, row)


def add_place(cursor: DictCursor, angler_id: str, place: Place) -> str:
    """Keep a new one; answers its id. OutOfRange where there is one of that name."""
    _check_title(cursor, angler_id, place.title, "")
    place_id = uuid.uuid4().hex
    cursor.execute(
        "INSERT INTO place (angler_id, place_id, title, version, body, updated_at) "
        "VALUES (%s, %s, %s, %s, %s, UTC_TIMESTAMP(6))",
        (angler_id, place_id, place.title, PLACE.version, PLACE.write(place)),
    )
    return place_id


def write_place(cursor: DictCursor, angler_id: str, place_id: str, place: Place) -> Place:
    """Write one anew; NotFound where it is not there, OutOfRange where its name is taken."""
    _check_title(cursor, angler_id, place.title, place_id)
    cursor.execute(
        "UPDATE place SET title = %s, version = %s, body = %s, updated_at = UTC_TIMESTAMP(6) "
        "WHERE angler_id = %s AND place_id = %s",
        (place.title, PLACE.version, PLACE.write(place), angler_id, place_id),
    )
    return read_place(cursor, angler_id, place_id)


def delete_place(cursor: DictCursor, angler_id: str, place_id: str) -> None:
    """Forget one, or NotFound."""
    if not cursor.execute(
        "DELETE FROM place WHERE angler_id = %s AND place_id = %s", (angler_id, place_id)
    ):
        raise _no_place()


def _check_title(cursor: DictCursor, angler_id: str, title: str, place_id: str) -> None:
    cursor.execute(
        "SELECT 1 FROM place WHERE angler_id = %s AND title = %s AND place_id != %s",
        (angler_id, title, place_id),
    )
    if cursor.fetchone() is not None:
        raise OutOfRange(
            f"There is already a water called “{title}”.",
            where="title",
            hint="Choose another name.",
        )


def _no_place() -> NotFound:
    return NotFound("That water doesn't exist.", where="place_id", hint="Choose one from the list.")
