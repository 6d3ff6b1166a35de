"""/api/v1/gifts: leaders, rigs, waters and days given to another angler or a group, to read or to
copy; each stays its giver's and can be taken back."""

from dataclasses import dataclass
from typing import Literal

from fastapi import APIRouter, Response
from pymysql.cursors import DictCursor

from nine_knots.api.auth.errors import NotOwner
from nine_knots.api.context import CurrentSession, SavingSession, Session
from nine_knots.api.gift_contents import (
    COPIED,
    copy_item,
    find_item,
    gift_reading,
    gift_versions,
    title_of,
    without_location,
)
from nine_knots.api.ids import Id, PathId
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.errors import NotFound
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.store.anglers import list_anglers
from nine_knots.store.clubs import list_clubs
from nine_knots.store.gifts import (
    Gift,
    GivenKind,
    add_gift,
    list_gifts_received,
    list_gifts_sent,
    read_gift,
    withdraw_gift,
)
from nine_knots.words.given import GiftReading

router = APIRouter(prefix="/api/v1/gifts", tags=["gifts"], responses=RESPONSES)
Whom = Literal["angler", "club"]


@dataclass(frozen=True, slots=True)
class Recipient:
    """Whom something can be given to."""

    kind: Whom
    to_id: str
    name: str


@dataclass(frozen=True, slots=True)
class GiftRow:
    """A thing that was given, in a line; ``gone`` where its giver has it no more."""

    given_id: str
    kind: GivenKind
    thing_id: str
    title: str
    giver: str
    to: str
    may_copy: bool
    places: bool
    given_at: str
    gone: bool


@dataclass(frozen=True, slots=True)
class GiftPage:
    """A thing that was given, whose it is, and what it says."""

    row: GiftRow
    thing: GiftReading


@dataclass(frozen=True, slots=True)
class CopiedGift:
    """Where the copy is, in words."""

    words: str


class GiftForm(Form):
    """What is given, to whom; whether it may be copied, and whether with where it is fished: names,
    notes, the mark on the map."""

    kind: GivenKind
    thing_id: Id
    whom: Whom
    to_id: Id
    may_copy: bool = True
    places: bool = False


@router.get("/to", summary="List whom I can share with")
def get_recipients(session: CurrentSession) -> tuple[Recipient, ...]:
    """At home the others of the household; the groups that I am in, and who is in them."""
    return session.read(lambda cursor, me: _receivers(session, cursor, me))


@router.get("/by-me", summary="List what I share")
def get_gifts_sent(session: CurrentSession) -> tuple[GiftRow, ...]:
    """The last first."""
    return session.read(
        lambda cursor, me: tuple(_row(cursor, gift, True) for gift in list_gifts_sent(cursor, me))
    )


@router.get("", summary="List what is shared with me")
def get_gifts_received(session: CurrentSession) -> tuple[GiftRow, ...]:
    """The last first."""
    return session.read(
        lambda cursor, me: tuple(_row(cursor, gift) for gift in list_gifts_received(cursor, me))
    )


@router.post("", responses=MISSING, summary="Share a thing to read or to copy")
def post_gift(session: CurrentSession, form: GiftForm) -> tuple[GiftRow, ...]:
    """It is read as it stands till it is taken back; answers all that I have given."""

    def work(cursor: DictCursor, me: str) -> tuple[GiftRow, ...]:
        find_item(cursor, me, form.kind, form.thing_id)
        known = {(receiver.kind, receiver.to_id) for receiver in _receivers(session, cursor, me)}
        if (form.whom, form.to_id) not in known:
            raise NotFound("There is nobody with that name.", where="to_id", hint="Choose another.")
        to_angler = form.to_id if form.whom == "angler" else None
        to_club = form.to_id if form.whom == "club" else None
        add_gift(
            cursor,
            me,
            form.kind,
            form.thing_id,
            to_angler,
            to_club,
            form.may_copy,
            form.places,
        )
        return tuple(_row(cursor, gift, True) for gift in list_gifts_sent(cursor, me))

    return session.write(work)


@router.get("/{given_id}", responses=MISSING, summary="Show what is shared with me")
def get_gift(session: CurrentSession, given_id: PathId, units: System = "imperial") -> GiftPage:
    """As it stands with its giver."""

    def read(cursor: DictCursor, me: str) -> GiftPage:
        given = read_gift(cursor, me, given_id)
        thing = gift_versions(cursor, given)
        found = gift_reading(cursor, given.giver_id, thing, Units(units))
        if not given.may_copy:
            found = GiftReading(found.title, found.parts, found.drawn)
        return GiftPage(_row(cursor, given), found)

    return session.read(read)


@router.post("/{given_id}/copy", responses=MISSING, summary="Copy what is shared with me")
def post_copy(session: SavingSession, given_id: PathId) -> CopiedGift:
    """It is mine from then on, whatever becomes of what it was copied from."""

    def make(cursor: DictCursor, me: str) -> str:
        given = read_gift(cursor, me, given_id)
        if not given.may_copy:
            raise NotOwner(
                f"{given.giver} shared it for reading only.",
                hint=f"Ask {given.giver} to let you copy it.",
            )
        return copy_item(cursor, me, gift_versions(cursor, given), given.giver)

    def answer(cursor: DictCursor, me: str, title: str) -> CopiedGift:
        return CopiedGift(f"“{title}” {COPIED[read_gift(cursor, me, given_id).kind]}")

    return session.save(make, answer)


@router.delete("/{given_id}", status_code=204, responses=MISSING, summary="Stop sharing a thing")
def remove_gift(session: CurrentSession, given_id: PathId) -> Response:
    """It is read no more; copies that were made stay their owners'."""
    session.write(lambda cursor, me: withdraw_gift(cursor, me, given_id))
    return Response(status_code=204)


def _receivers(session: Session, cursor: DictCursor, me: str) -> tuple[Recipient, ...]:
    clubs = list_clubs(cursor, me)
    found = [Recipient("club", club.club_id, club.title) for club in clubs]
    names = {member.angler_id: member.name for club in clubs for member in club.members}
    if session.account_id is None:
        here = list_anglers(cursor)
        names |= {angler.angler_id: angler.name for angler in here if not angler.demo}
    names.pop(me, None)
    people = sorted(names.items(), key=lambda pair: pair[1].casefold())
    return (*found, *(Recipient("angler", who, name) for who, name in people))


def _row(cursor: DictCursor, given: Gift, mine: bool = False) -> GiftRow:
    """``mine`` where it is its giver who looks, and is told all of it."""
    gone, title = False, ""
    try:
        thing = find_item(cursor, given.giver_id, given.kind, given.thing_id)
        title = title_of(thing if mine or given.places else without_location(thing))
    except NotFound:
        gone = True
    return GiftRow(
        given.given_id,
        given.kind,
        given.thing_id if mine else "",
        title,
        given.giver,
        given.to,
        given.may_copy,
        given.places,
        given.given_at.isoformat(),
        gone,
    )
