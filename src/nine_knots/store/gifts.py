"""What anglers give to each other: it stays the giver's, is read as it stands, and can be taken
back."""

import uuid
from dataclasses import dataclass
from datetime import datetime
from typing import Literal

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.store.rows import Row, in_utc

GivenKind = Literal["leader", "rig", "water", "day"]


@dataclass(frozen=True, slots=True)
class Gift:
    """A thing that was given: by whom and to whom (by the account's name, where there are
    accounts), whether it may be copied, and whether
    with what tells where it is fished."""

    given_id: str
    giver_id: str
    giver: str
    kind: GivenKind
    thing_id: str
    to: str
    may_copy: bool
    places: bool
    given_at: datetime


_SELECT = (
    "SELECT gift.*, COALESCE(by_account.name, giver.name) AS giver, "
    "COALESCE(club.title, to_account.name, receiver.name) AS receiver "
    "FROM gift JOIN angler AS giver ON giver.angler_id = gift.angler_id "
    "LEFT JOIN account AS by_account ON by_account.account_id = giver.account_id "
    "LEFT JOIN club ON club.club_id = gift.to_club "
    "LEFT JOIN angler AS receiver ON receiver.angler_id = gift.to_angler "
    "LEFT JOIN account AS to_account ON to_account.account_id = receiver.account_id "
)
_TO_ME = (
    "(gift.to_angler = %s OR (gift.angler_id <> %s AND gift.to_club IN "
    "(SELECT club_id FROM club_member WHERE angler_id = %s)))"
)


def add_gift(
    cursor: DictCursor,
    angler_id: str,
    kind: GivenKind,
    thing_id: str,
    to_angler: str | None,
    to_club: str | None,
    may_copy: bool,
    places: bool,
) -> str:
    """Give a thing to an angler or to a group, in place of what was given of it to them before;
    answers the id."""
    cursor.execute(
        "DELETE FROM gift WHERE angler_id = %s AND kind = %s AND thing_id = %s "
        "AND to_angler <=> %s AND to_club <=> %s",
        (angler_id, kind, thing_id, to_angler, to_club),
    )
    given_id = uuid.uuid4().hex
    cursor.execute(
        "INSERT INTO gift (angler_id, given_id, kind, thing_id, to_angler, to_club, may_copy, "
        "places, given_at) VALUES (%s, %s, %s, %s, %s, %s, %s, %s, UTC_TIMESTAMP(6))",
        (angler_id, given_id, kind, thing_id, to_angler, to_club, may_copy, places),
    )
    return given_id


def list_gifts_sent(cursor: DictCursor, angler_id: str) -> tuple[Gift, ...]:
    """All that an angler has given, the last first."""
    cursor.execute(f"{_SELECT} WHERE gift.angler_id = %s ORDER BY given_at DESC", (angler_id,))
    return tuple(_given(row) for row in cursor.fetchall())


def list_gifts_received(cursor: DictCursor, angler_id: str) -> tuple[Gift, ...]:
    """All that an angler was given, by name or in a group, the last first."""
    cursor.execute(f"{_SELECT} WHERE {_TO_ME} ORDER BY given_at DESC", (angler_id,) * 3)
    return tuple(_given(row) for row in cursor.fetchall())


def read_gift(cursor: DictCursor, angler_id: str, given_id: str) -> Gift:
    """One thing that an angler was given; NotFound where it was not, or was taken back."""
    cursor.execute(
        f"{_SELECT} WHERE {_TO_ME} AND given_id = %s", (angler_id, angler_id, angler_id, given_id)
    )
    row = cursor.fetchone()
    if row is None:
        raise _no_gift()
    return _given(row)


def withdraw_gift(cursor: DictCursor, angler_id: str, given_id: str) -> None:
    """It is read no more; NotFound where this angler has not given it."""
    if not cursor.execute(
        "DELETE FROM gift WHERE angler_id = %s AND given_id = %s", (angler_id, given_id)
    ):
        raise _no_gift()


def _given(row: Row) -> Gift:
    return Gift(
        given_id=row["given_id"],
        giver_id=row["angler_id"],
        giver=row["giver"],
        kind=row["kind"],
        thing_id=row["thing_id"],
        to=row["receiver"] or "",
        may_copy=bool(row["may_copy"]),
        places=bool(row["places"]),
        given_at=in_utc(row["given_at"]),
    )


def _no_gift() -> NotFound:
    return NotFound(
        "This isn't shared with you any more.",
        where="given_id",
        hint="Ask the person who shared it.",
    )
