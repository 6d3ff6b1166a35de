"""Invitations: each lets one join, within a week."""

import uuid
from dataclasses import dataclass
from datetime import datetime, timedelta

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.store.rows import Row, from_now, in_utc

GOOD_FOR = timedelta(days=7)


@dataclass(frozen=True, slots=True)
class Invitation:
    """An invitation: for whom in words, whether as an operator, till when, and whether taken."""

    invitation_id: str
    note: str
    as_operator: bool
    made_at: datetime
    ends_at: datetime
    taken: bool


def add_invitation(
    cursor: DictCursor, account_id: str | None, token_hash: str, note: str, as_operator: bool
) -> str:
    """Invite one; answers the id."""
    invitation_id = uuid.uuid4().hex
    cursor.execute(
        "INSERT INTO invitation (invitation_id, account_id, token_hash, note, as_operator, "
        "made_at, ends_at) VALUES (%s, %s, %s, %s, %s, UTC_TIMESTAMP(6), %s)",
        (
            invitation_id,
            account_id,
            token_hash,
            note,
            as_operator,
            from_now(GOOD_FOR),
        ),
    )
    return invitation_id


def open_invitation(cursor: DictCursor, token_hash: str) -> Invitation | None:
    """The invitation whose token has this hash, where it is good still; its row is held till the
    end of the transaction."""
    cursor.execute(
        "SELECT * FROM invitation WHERE token_hash = %s AND taken_at IS NULL AND ends_at > %s "
        "FOR UPDATE",
        (token_hash, from_now()),
    )
    row = cursor.fetchone()
    return _invitation(row) if row else None


def take_invitation(cursor: DictCursor, invitation_id: str) -> None:
    """It is good no more."""
    cursor.execute(
        "UPDATE invitation SET taken_at = UTC_TIMESTAMP(6) WHERE invitation_id = %s",
        (invitation_id,),
    )


def list_invitations(cursor: DictCursor, account_id: str) -> tuple[Invitation, ...]:
    """Those that an account made, the newest first."""
    cursor.execute(
        "SELECT * FROM invitation WHERE account_id = %s ORDER BY made_at DESC", (account_id,)
    )
    return tuple(_invitation(row) for row in cursor.fetchall())


def drop_invitation(cursor: DictCursor, account_id: str, invitation_id: str) -> None:
    """Take an invitation back; NotFound where there is none that was not taken."""
    if not cursor.execute(
        "DELETE FROM invitation WHERE account_id = %s AND invitation_id = %s AND taken_at IS NULL",
        (account_id, invitation_id),
    ):
        raise NotFound("That invitation doesn't exist or is no longer open.", where="invitation_id")


def _invitation(row: Row) -> Invitation:
    return Invitation(
        invitation_id=row["invitation_id"],
        note=row["note"],
        as_operator=bool(row["as_operator"]),
        made_at=in_utc(row["made_at"]),
        ends_at=in_utc(row["ends_at"]),
        taken=row["taken_at"] is not None,
    )
