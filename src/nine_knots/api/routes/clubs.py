"""/api/v1/clubs: groups that anglers give to: a club, a guide's guests. Others join by a code."""

from dataclasses import dataclass

from fastapi import APIRouter, Request, Response
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api.auth.errors import NotOwner
from nine_knots.api.auth.login_flow import count_tries
from nine_knots.api.client_info import CurrentCalling
from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.ids import PathId
from nine_knots.api.problems import MISSING, RESPONSES, TRIED
from nine_knots.api.site import Site
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.errors import NotFound, OutOfRange
from nine_knots.core.base.limits import Title
from nine_knots.formats.leader_qr import qr_svg
from nine_knots.services.errors import WrongCode
from nine_knots.services.secret import code_hash, new_code
from nine_knots.store.clubs import (
    Club,
    end_club,
    join_club,
    leave_club,
    list_clubs,
    make_club,
    read_club,
    set_code,
)

router = APIRouter(prefix="/api/v1/clubs", tags=["gifts"], responses=RESPONSES)
CODE_LENGTH = 8
MOST_CLUBS = 40


@dataclass(frozen=True, slots=True)
class MemberRow:
    """Who is in a group."""

    angler_id: str
    name: str
    keeps: bool
    me: bool


@dataclass(frozen=True, slots=True)
class ClubRow:
    """A group; ``mine`` where I keep it."""

    club_id: str
    title: str
    mine: bool
    members: tuple[MemberRow, ...]


@dataclass(frozen=True, slots=True)
class ClubCode:
    """A code by which others join within a week; where the service has an address, as one to open
    with its QR picture (SVG)."""

    code: str
    url: str
    qr: str


class ClubForm(Form):
    """What a group is called."""

    title: Title = Field(examples=["The Skarn club"])


class JoinClubForm(Form):
    """A group's code."""

    code: str = Field(max_length=40)


@router.get("", summary="List my groups")
def get_clubs(session: CurrentSession) -> tuple[ClubRow, ...]:
    """By name, each with who is in it."""
    return session.read(_clubs)


@router.post("", summary="Create a group")
def post_club(session: SavingSession, form: ClubForm) -> tuple[ClubRow, ...]:
    """I keep it, and am the first in it."""

    def make(cursor: DictCursor, me: str) -> str:
        if len(list_clubs(cursor, me)) >= MOST_CLUBS:
            raise OutOfRange(
                f"{MOST_CLUBS} groups are the limit.", where="title", hint="Close one."
            )
        return make_club(cursor, me, form.title.strip() or "A group")

    return session.save(make, lambda cursor, me, _made: _clubs(cursor, me))


@router.post("/{club_id}/code", responses=MISSING, summary="Create a code to join my group")
def post_club_code(request: Request, session: CurrentSession, club_id: PathId) -> ClubCode:
    """Good for a week, for as many as have it; the one before is good no more."""
    code = new_code(CODE_LENGTH)
    session.write(lambda cursor, me: set_code(cursor, me, club_id, code_hash(code)))
    site: Site | None = request.app.state.site
    url = f"{site.origin}/shared/groups#{code}" if site else ""
    return ClubCode(code, url, qr_svg(url) if url else "")


@router.post("/join", responses={**MISSING, **TRIED}, summary="Join a group")
def post_join_club(
    request: Request, session: CurrentSession, calling: CurrentCalling, form: JoinClubForm
) -> tuple[ClubRow, ...]:
    """What was given to it is read from then on; its members see the name."""
    whose = session.read(lambda _cursor, me: me)
    count_tries(request.app.state.database, calling, "group", whose)

    def join(cursor: DictCursor, me: str) -> tuple[ClubRow, ...]:
        if join_club(cursor, me, code_hash(form.code)) is None:
            raise WrongCode(
                "This code is wrong or has expired.",
                where="code",
                hint="Ask the person who runs the group for a new one. It is valid for a week.",
            )
        return _clubs(cursor, me)

    return session.write(join)


@router.delete(
    "/{club_id}/members/{angler_id}", responses=MISSING, summary="Leave a group or remove a member"
)
def remove_member(
    session: CurrentSession, club_id: PathId, angler_id: PathId
) -> tuple[ClubRow, ...]:
    """Who keeps a group puts others out; whoever is in it leaves by themselves."""

    def leave(cursor: DictCursor, me: str) -> tuple[ClubRow, ...]:
        club = read_club(cursor, me, club_id)
        keeps = any(member.keeps and member.angler_id == me for member in club.members)
        if angler_id not in {member.angler_id for member in club.members}:
            raise NotFound("They are not a member.", where="angler_id")
        if keeps and angler_id == me:
            raise OutOfRange(
                "You run this group.", where="angler_id", hint="Close the group instead."
            )
        if not keeps and angler_id != me:
            raise NotOwner("Only the person who runs a group can remove members.", hint="Ask them.")
        leave_club(cursor, club_id, angler_id)
        return _clubs(cursor, me)

    return session.write(leave)


@router.delete("/{club_id}", status_code=204, responses=MISSING, summary="Close my group")
def remove_club(session: CurrentSession, club_id: PathId) -> Response:
    """All that was given to it is taken back."""
    session.write(lambda cursor, me: end_club(cursor, me, club_id))
    return Response(status_code=204)


def _clubs(cursor: DictCursor, me: str) -> tuple[ClubRow, ...]:
    return tuple(_row(item, me) for item in list_clubs(cursor, me))


def _row(item: Club, me: str) -> ClubRow:
    members = tuple(
        MemberRow(who.angler_id, who.name, who.keeps, who.angler_id == me) for who in item.members
    )
    return ClubRow(item.club_id, item.title, any(who.keeps and who.me for who in members), members)
