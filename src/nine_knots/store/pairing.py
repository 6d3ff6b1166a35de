"""Codes by which phones are paired: kept by their hashes where every process finds them, each good
for one phone and some minutes."""

from dataclasses import dataclass
from datetime import timedelta

from pymysql.cursors import DictCursor

from nine_knots.store.rows import forget_ended, from_now

GOOD_FOR = timedelta(minutes=10)
GUEST_GOOD_FOR = timedelta(days=2)


@dataclass(frozen=True, slots=True)
class Pairing:
    """Whose phone it will be, and of a guest's the only day that it sees."""

    angler_id: str
    plan_id: str | None


def add_pairing(
    cursor: DictCursor, angler_id: str, code_hash: str, plan_id: str | None = None
) -> None:
    """Have one phone paired by the code of this hash: within ten minutes, a guest's within two
    days."""
    forget_ended(cursor, "pairing_code")
    cursor.execute(
        "INSERT INTO pairing_code (code_hash, angler_id, plan_id, ends_at) VALUES (%s, %s, %s, %s)",
        (
            code_hash,
            angler_id,
            plan_id,
            from_now(GUEST_GOOD_FOR if plan_id else GOOD_FOR),
        ),
    )


def take_pairing(cursor: DictCursor, code_hash: str) -> Pairing | None:
    """Whose code it is, which is then spent; None where it is none or too old."""
    cursor.execute(
        "SELECT angler_id, plan_id FROM pairing_code WHERE code_hash = %s AND ends_at > %s "
        "FOR UPDATE",
        (code_hash, from_now()),
    )
    row = cursor.fetchone()
    if row is None:
        return None
    cursor.execute("DELETE FROM pairing_code WHERE code_hash = %s", (code_hash,))
    return Pairing(row["angler_id"], row["plan_id"])
