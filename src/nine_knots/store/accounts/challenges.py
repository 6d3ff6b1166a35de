"""What a device is to sign, once: kept where every process of the service finds it."""

import uuid
from dataclasses import dataclass
from datetime import timedelta
from typing import Literal

from pymysql.cursors import DictCursor

from nine_knots.store.rows import forget_ended, from_now

GOOD_FOR = timedelta(minutes=5)
Purpose = Literal["join", "add", "enter"]


@dataclass(frozen=True, slots=True)
class Challenge:
    """What is to be signed, and whose account it is meant for, if one is."""

    body: bytes
    account_id: str | None


def add_challenge(
    cursor: DictCursor, kind: Purpose, body: bytes, account_id: str | None = None
) -> str:
    """Keep what is to be signed; answers its id. What is too old is forgotten."""
    challenge_id = uuid.uuid4().hex
    forget_ended(cursor, "challenge")
    cursor.execute(
        "INSERT INTO challenge (challenge_id, kind, account_id, body, ends_at) "
        "VALUES (%s, %s, %s, %s, %s)",
        (challenge_id, kind, account_id, body, from_now(GOOD_FOR)),
    )
    return challenge_id


def take_challenge(cursor: DictCursor, kind: Purpose, challenge_id: str) -> Challenge | None:
    """What was to be signed, which is good no more; None where there is none of the kind."""
    cursor.execute(
        "SELECT body, account_id FROM challenge "
        "WHERE challenge_id = %s AND kind = %s AND ends_at > %s FOR UPDATE",
        (challenge_id, kind, from_now()),
    )
    row = cursor.fetchone()
    if row is None:
        return None
    cursor.execute("DELETE FROM challenge WHERE challenge_id = %s", (challenge_id,))
    return Challenge(bytes(row["body"]), row["account_id"])
