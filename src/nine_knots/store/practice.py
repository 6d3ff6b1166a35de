"""Knots tied against the clock."""

import uuid

from pymysql.cursors import DictCursor

from nine_knots.core.assess.practice import Attempt
from nine_knots.store.rows import as_column, in_utc


def add_attempt(cursor: DictCursor, angler_id: str, attempt: Attempt) -> None:
    """Keep an attempt."""
    cursor.execute(
        "INSERT INTO attempt (angler_id, attempt_id, knot, seconds, rated, tied_at) "
        "VALUES (%s, %s, %s, %s, %s, %s)",
        (
            angler_id,
            uuid.uuid4().hex,
            attempt.knot,
            attempt.seconds,
            attempt.rated,
            as_column(attempt.at),
        ),
    )


def list_attempts(cursor: DictCursor, angler_id: str) -> tuple[Attempt, ...]:
    """All attempts of an angler, oldest first."""
    cursor.execute(
        "SELECT knot, seconds, rated, tied_at FROM attempt WHERE angler_id = %s ORDER BY tied_at",
        (angler_id,),
    )
    return tuple(
        Attempt(
            knot=row["knot"],
            seconds=row["seconds"],
            rated=row["rated"],
            at=in_utc(row["tied_at"]),
        )
        for row in cursor.fetchall()
    )
