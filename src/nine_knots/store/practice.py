"""Knots tied against the clock."""

import uuid
from datetime import UTC

from pymysql.cursors import DictCursor

from nine_knots.core.judge.practice import Attempt


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
            attempt.at.astimezone(UTC).replace(tzinfo=None),
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
            at=row["tied_at"].replace(tzinfo=UTC),
        )
        for row in cursor.fetchall()
    )
