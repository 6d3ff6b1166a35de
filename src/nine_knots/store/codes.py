"""The codes of a household's anglers: what is kept of each, and how often a wrong one was given."""

from dataclasses import dataclass
from datetime import UTC, datetime, timedelta

from pymysql.cursors import DictCursor

from nine_knots.store.rows import as_column, in_utc

MOST_WRONG = 5
WAIT = timedelta(minutes=1)


@dataclass(frozen=True, slots=True)
class Code:
    """What is kept of a code, if there is one, and whether none is taken just now."""

    sealed: str | None
    waits: bool


def read_code(cursor: DictCursor, angler_id: str) -> Code:
    """The code of an angler, whose row is held till the end of the transaction."""
    cursor.execute(
        "SELECT code_sealed, locked_until FROM angler WHERE angler_id = %s FOR UPDATE",
        (angler_id,),
    )
    row = cursor.fetchone() or {"code_sealed": None, "locked_until": None}
    until = row["locked_until"]
    return Code(row["code_sealed"], until is not None and in_utc(until) > datetime.now(UTC))


def write_code(cursor: DictCursor, angler_id: str, sealed: str | None) -> None:
    """Keep a new code, or none."""
    cursor.execute(
        "UPDATE angler SET code_sealed = %s, wrong_codes = 0, locked_until = NULL "
        "WHERE angler_id = %s",
        (sealed, angler_id),
    )


def note_code(cursor: DictCursor, angler_id: str, right: bool) -> None:
    """Note that a code was given: after five wrong ones none is taken for a minute."""
    if right:
        cursor.execute(
            "UPDATE angler SET wrong_codes = 0, locked_until = NULL WHERE angler_id = %s",
            (angler_id,),
        )
        return
    cursor.execute(
        "UPDATE angler SET locked_until = IF(wrong_codes + 1 >= %s, %s, locked_until), "
        "wrong_codes = IF(wrong_codes + 1 >= %s, 0, wrong_codes + 1) WHERE angler_id = %s",
        (MOST_WRONG, as_column(datetime.now(UTC) + WAIT), MOST_WRONG, angler_id),
    )
