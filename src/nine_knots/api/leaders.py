"""/api/leaders: saved leaders and their revisions, guarded by ETag and If-Match."""

from typing import Annotated, Any

from fastapi import APIRouter, Body, Header, Response
from pydantic import BaseModel

from nine_knots.api.context import CurrentSession
from nine_knots.api.examples import DESIGN
from nine_knots.api.problems import RESPONSES, Problem
from nine_knots.core.design import Design
from nine_knots.core.errors import Unreadable
from nine_knots.core.outline import OutlinePart, outline
from nine_knots.core.rig_readings import Hung, hung_on
from nine_knots.core.schools import SCHOOLS
from nine_knots.core.units import Units
from nine_knots.core.values import System
from nine_knots.store import leaders as store

router = APIRouter(prefix="/api/leaders", tags=["leaders"], responses=RESPONSES)
STALE: dict[int | str, dict[str, Any]] = {
    412: {"model": Problem, "description": "Not the newest revision; both are kept"}
}
MISSING: dict[int | str, dict[str, Any]] = {
    404: {"model": Problem, "description": "No such leader"}
}


DesignBody = Annotated[Design, Body(examples=[DESIGN])]


class LeaderCard(BaseModel):
    """A leader on the shelf, in the angler's units."""

    leader_id: str
    title: str
    notes: str
    school: str
    length: str
    tippet: str
    outline: tuple[OutlinePart, ...]
    hung: tuple[Hung, ...]
    revision: int
    updated_at: str


def etag(revision: store.Revision) -> str:
    """The entity tag of a revision."""
    return f'"{revision.revision}"'


def _base(if_match: str) -> int:
    text = if_match.strip().removeprefix("W/").strip('"')
    if not text.isdigit():
        raise Unreadable(
            "If-Match does not name a revision.", where="If-Match", mend='Send it as "3".'
        )
    return int(text)


@router.get("", summary="The shelf of saved leaders, last saved first")
def get_leaders(session: CurrentSession, units: System = "imperial") -> list[LeaderCard]:
    """Every leader in a line."""
    shown = Units(units)
    return [_card(saved, shown) for saved in session.run(store.list_leaders)]


def _card(saved: store.SavedLeader, units: Units) -> LeaderCard:
    leader = saved.design.leader
    school = SCHOOLS.get(leader.school or "")
    return LeaderCard(
        leader_id=saved.leader_id,
        title=saved.design.title,
        notes=saved.design.notes,
        school=school.title if school else "own taper",
        length=units.length(leader.length_m).text,
        tippet=units.tippet(leader.tippet_diameter_m).text,
        outline=outline(leader),
        hung=hung_on(leader),
        revision=saved.revision,
        updated_at=saved.updated_at.isoformat(),
    )


@router.post("", status_code=201, summary="Save a new leader")
def post_leader(session: CurrentSession, design: DesignBody, response: Response) -> store.Revision:
    """Save as revision 1 of a new leader."""
    made = session.run(lambda cursor, me: store.create_leader(cursor, me, design))
    response.headers["ETag"] = etag(made)
    response.headers["Location"] = f"/api/leaders/{made.leader_id}"
    return made


@router.get("/{leader_id}", responses=MISSING, summary="A leader's newest revision")
def get_leader(session: CurrentSession, leader_id: str, response: Response) -> store.Revision:
    """The newest revision, with its ETag."""
    found = session.run(lambda cursor, me: store.read_revision(cursor, me, leader_id))
    response.headers["ETag"] = etag(found)
    return found


@router.get(
    "/{leader_id}/revisions/{number}", responses=MISSING, summary="One revision of a leader"
)
def get_revision(session: CurrentSession, leader_id: str, number: int) -> store.Revision:
    """A revision by its number."""
    return session.run(lambda cursor, me: store.read_revision(cursor, me, leader_id, number))


@router.post(
    "/{leader_id}/revisions",
    status_code=201,
    responses=MISSING | STALE,
    summary="Save on top of the revision named by If-Match",
)
def post_revision(
    session: CurrentSession,
    leader_id: str,
    design: DesignBody,
    response: Response,
    if_match: Annotated[str, Header()],
) -> store.Revision:
    """A new revision, refused where If-Match is no longer the newest."""
    base = _base(if_match)
    made = session.run(lambda cursor, me: store.save_revision(cursor, me, leader_id, base, design))
    response.headers["ETag"] = etag(made)
    return made


@router.delete("/{leader_id}", status_code=204, responses=MISSING, summary="Take off the shelf")
def delete_leader(session: CurrentSession, leader_id: str) -> Response:
    """Remove a leader from the shelf; it can be put back."""
    session.run(lambda cursor, me: store.set_removed(cursor, me, leader_id, removed=True))
    return Response(status_code=204)


@router.post("/{leader_id}/restore", status_code=204, responses=MISSING, summary="Put back")
def restore_leader(session: CurrentSession, leader_id: str) -> Response:
    """Put a removed leader back on the shelf."""
    session.run(lambda cursor, me: store.set_removed(cursor, me, leader_id, removed=False))
    return Response(status_code=204)
