"""Groups that anglers give to: a club, a guide's guests. One keeps it, others join by a code."""

import uuid
from dataclasses import dataclass
from datetime import timedelta

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.store.rows import from_now

CODE_GOOD_FOR = timedelta(days=7)


@dataclass(frozen=True, slots=True)
class Member:
    """An angler of a group, by the account's name where there are accounts, which nobody changes;
    ``keeps`` where it is theirs."""

    angler_id: str
    name: str
    keeps: bool


@dataclass(frozen=True, slots=True)
class Club:
    """A group and who is in it, its keeper first."""

    club_id: str
    title: str
    members: tuple[Member, ...]


def make_club(cursor: DictCursor, angler_id: str, title: str) -> str:
    """A new group, with its keeper in it; answers the id."""
    club_id = uuid.uuid4().hex
    cursor.execute(
        "INSERT INTO club (angler_id, club_id, title, made_at) "
        "VALUES (%s, %s, %s, UTC_TIMESTAMP(6))",
        (angler_id, club_id, title),
    )
    _add(cursor, club_id, angler_id)
    return club_id


def list_clubs(cursor: DictCursor, angler_id: str) -> tuple[Club, ...]:
    """Those that an angler is in, by title."""
    cursor.execute(
        "SELECT club.club_id, club.title, club.angler_id AS keeper, member.angler_id, "
        "COALESCE(account.name, angler.name) AS name "
        "FROM club JOIN club_member AS mine USING (club_id) "
        "JOIN club_member AS member USING (club_id) "
        "JOIN angler ON angler.angler_id = member.angler_id "
        "LEFT JOIN account ON account.account_id = angler.account_id WHERE mine.angler_id = %s "
        "ORDER BY club.title, club.club_id, member.angler_id <> club.angler_id, name",
        (angler_id,),
    )
    found: dict[str, Club] = {}
    for row in cursor.fetchall():
        before = found.get(row["club_id"])
        member = Member(row["angler_id"], row["name"], row["angler_id"] == row["keeper"])
        members = (*before.members, member) if before else (member,)
        found[row["club_id"]] = Club(row["club_id"], row["title"], members)
    return tuple(found.values())


def read_club(cursor: DictCursor, angler_id: str, club_id: str) -> Club:
    """One that the angler is in, or NotFound."""
    for club in list_clubs(cursor, angler_id):
        if club.club_id == club_id:
            return club
    raise _no_club()


def set_code(cursor: DictCursor, angler_id: str, club_id: str, code_hash: str) -> None:
    """Let others join by a code for a week, and by none before it; NotFound where it is not kept by
    this angler."""
    if not cursor.execute(
        "UPDATE club SET code_hash = %s, code_ends = %s WHERE angler_id = %s AND club_id = %s",
        (code_hash, from_now(CODE_GOOD_FOR), angler_id, club_id),
    ):
        raise _no_club()


def join_club(cursor: DictCursor, angler_id: str, code_hash: str) -> Club | None:
    """The group that is joined by a code; None where it is none that is good."""
    cursor.execute(
        "SELECT club_id FROM club WHERE code_hash = %s AND code_ends > %s",
        (code_hash, from_now()),
    )
    row = cursor.fetchone()
    if row is None:
        return None
    _add(cursor, row["club_id"], angler_id)
    return read_club(cursor, angler_id, row["club_id"])


def leave_club(cursor: DictCursor, club_id: str, angler_id: str) -> None:
    """Be in it no more: what was given to it is read no more, what was given by this angler is
    taken back."""
    if not cursor.execute(
        "DELETE FROM club_member WHERE club_id = %s AND angler_id = %s", (club_id, angler_id)
    ):
        raise _no_club()
    cursor.execute("DELETE FROM gift WHERE to_club = %s AND angler_id = %s", (club_id, angler_id))


def end_club(cursor: DictCursor, angler_id: str, club_id: str) -> None:
    """End a group that this angler keeps, and take back all that was given to it; NotFound where it
    is another's."""
    if not cursor.execute(
        "DELETE FROM club WHERE angler_id = %s AND club_id = %s", (angler_id, club_id)
    ):
        raise _no_club()


def _add(cursor: DictCursor, club_id: str, angler_id: str) -> None:
    cursor.execute(
        "INSERT IGNORE INTO club_member (club_id, angler_id, joined_at) "
        "VALUES (%s, %s, UTC_TIMESTAMP(6))",
        (club_id, angler_id),
    )


def _no_club() -> NotFound:
    return NotFound("That group doesn't exist.", where="club_id", hint="Choose one of yours.")
