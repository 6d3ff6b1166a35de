"""What was tried at the log-in: by which device, from which network, with which end. Kept for
ninety days."""

from dataclasses import dataclass
from datetime import datetime, timedelta

from pymysql.cursors import DictCursor

from nine_knots.store.rows import from_now, in_utc

KEPT_FOR = timedelta(days=90)
MOST_NOTES = 100
CAME_IN, JOINED = "logged in", "joined"  # what is noted of who was let in


@dataclass(frozen=True, slots=True)
class LoginNote:
    """One thing that was tried; ``name`` of whose account, empty where it was nobody's."""

    what: str
    device: str
    place: str
    at: datetime
    name: str


def note_attempt(
    cursor: DictCursor, account_id: str | None, what: str, device: str, place: str
) -> None:
    """Note it, and forget what is too old."""
    cursor.execute(
        "INSERT INTO login_activity (account_id, what, device, place, at) "
        "VALUES (%s, %s, %s, %s, UTC_TIMESTAMP(6))",
        (account_id, what, device, place),
    )
    cursor.execute("DELETE FROM login_activity WHERE at < %s LIMIT 100", (from_now(-KEPT_FOR),))


def list_notes(cursor: DictCursor, account_id: str | None = None) -> tuple[LoginNote, ...]:
    """The last ones of an account, or of all, the newest first."""
    cursor.execute(
        "SELECT login_activity.*, account.name FROM login_activity LEFT JOIN account USING "
        "(account_id) "
        "WHERE %s IS NULL OR login_activity.account_id = %s ORDER BY at DESC, note_id DESC "
        "LIMIT %s",
        (account_id, account_id, MOST_NOTES),
    )
    return tuple(
        LoginNote(row["what"], row["device"], row["place"], in_utc(row["at"]), row["name"] or "")
        for row in cursor.fetchall()
    )


def has_logged_in(cursor: DictCursor, name: str, place: str) -> bool:
    """Whether an account of that name has come in from that network within what is kept."""
    cursor.execute(
        "SELECT 1 FROM login_activity JOIN account USING (account_id) WHERE account.name = %s "
        "AND place = %s AND (what LIKE %s OR what = %s) LIMIT 1",
        (name, place, f"{CAME_IN}%", JOINED),
    )
    return cursor.fetchone() is not None
