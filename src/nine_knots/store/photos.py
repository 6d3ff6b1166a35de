"""Photos from the water, each under the name that an event tells; kept once, never changed."""

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound, OutOfRange
from nine_knots.store.rows import from_now

MOST = 5_000  # of an angler


def add_photo(cursor: DictCursor, angler_id: str, plan_id: str, name: str, image: bytes) -> bool:
    """Keep a photo; one that is here already stays as it is. Answers whether it was new."""
    cursor.execute("SELECT COUNT(*) AS held FROM photo WHERE angler_id = %s", (angler_id,))
    row = cursor.fetchone()
    if row is not None and row["held"] >= MOST:
        raise OutOfRange(
            f"{MOST} photos are the limit.",
            where="image",
            hint="Export the log with its photos, then delete some.",
        )
    return bool(
        cursor.execute(
            "INSERT IGNORE INTO photo (angler_id, name, plan_id, image, noted_at) "
            "VALUES (%s, %s, %s, %s, %s)",
            (angler_id, name, plan_id, image, from_now()),
        )
    )


def list_photos(cursor: DictCursor, angler_id: str, plan_id: str | None = None) -> tuple[str, ...]:
    """Names of all photos, or of one day's."""
    where, values = ("AND plan_id = %s", [plan_id]) if plan_id is not None else ("", [])
    cursor.execute(
        f"SELECT name FROM photo WHERE angler_id = %s {where} ORDER BY name", (angler_id, *values)
    )
    return tuple(row["name"] for row in cursor.fetchall())


def read_photo(cursor: DictCursor, angler_id: str, name: str) -> bytes:
    """One of them, or NotFound."""
    cursor.execute("SELECT image FROM photo WHERE angler_id = %s AND name = %s", (angler_id, name))
    row = cursor.fetchone()
    if row is None:
        raise _no_photo()
    return bytes(row["image"])


def drop_photo(cursor: DictCursor, angler_id: str, name: str) -> None:
    """Throw a photo away for good, or NotFound."""
    if not cursor.execute(
        "DELETE FROM photo WHERE angler_id = %s AND name = %s", (angler_id, name)
    ):
        raise _no_photo()


def _no_photo() -> NotFound:
    return NotFound(
        "That photo doesn't exist.", where="name", hint="It may still be on the phone only."
    )
