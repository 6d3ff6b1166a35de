"""Intended saves: one that was done is known again for a day, and not done twice."""

from datetime import timedelta

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import Unreadable

KEPT = timedelta(days=1)
SWEPT = 50  # old ones let go at each save


def earlier_result(cursor: DictCursor, angler_id: str, intent: str, asked: str) -> str | None:
    """What came of this intent, or None where it was never done.

    Raises Unreadable where the same key came with something else.
    """
    cursor.execute(
        "SELECT asked, made FROM idempotency_key WHERE angler_id = %s AND intent = %s",
        (angler_id, intent),
    )
    row = cursor.fetchone()
    if row is None:
        return None
    if row["asked"] != asked:
        raise Unreadable(
            "This idempotency key was used for another save.",
            where="Idempotency-Key",
            hint="Use a new key for every save.",
        )
    return str(row["made"])


def store_result(cursor: DictCursor, angler_id: str, intent: str, asked: str, made: str) -> None:
    """Remember what came of an intent."""
    cursor.execute(
        "INSERT INTO idempotency_key (angler_id, intent, asked, made, saved_at) "
        "VALUES (%s, %s, %s, %s, UTC_TIMESTAMP(6))",
        (angler_id, intent, asked, made),
    )
    cursor.execute(
        "DELETE FROM idempotency_key WHERE saved_at < UTC_TIMESTAMP(6) - INTERVAL %s SECOND "
        "LIMIT %s",
        (int(KEPT.total_seconds()), SWEPT),
    )
