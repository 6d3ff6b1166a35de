"""/api/v1/leaders: saved leaders and their revisions, guarded by ETag and If-Match."""

import re
from dataclasses import dataclass
from datetime import datetime
from typing import Annotated, Any

from fastapi import APIRouter, Body, Header, Path, Query, Response
from pydantic import BaseModel, Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.examples import DESIGN
from nine_knots.api.paging import USUAL, PageSize, set_page_headers
from nine_knots.api.problems import MISSING, RESPONSES, STALE
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.errors import Unreadable
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.labels import labels_in
from nine_knots.core.schools import SCHOOLS
from nine_knots.store import leaders as store
from nine_knots.words.outline import OutlinePart, outline
from nine_knots.words.rig import HungItem, items_on

router = APIRouter(prefix="/api/v1/leaders", tags=["leaders"], responses=RESPONSES)
_IT = {"leader_id": "$response.body#/leader_id"}
LINKS: dict[int | str, dict[str, Any]] = {
    201: {
        "links": {
            "read": {"operationId": "get_leader", "parameters": _IT},
            "revise": {
                "operationId": "post_revision",
                "parameters": _IT | {"if-match": "$response.header.ETag"},
            },
            "take off": {"operationId": "delete_leader", "parameters": _IT},
            "put back": {"operationId": "restore_leader", "parameters": _IT},
        }
    }
}
MOST_WORDS = 8
DesignBody = Annotated[Design, Body(examples=[DESIGN])]


class LeaderCard(BaseModel):
    """A leader on the shelf, in the angler's units; ``damaged`` says why one cannot be read."""

    leader_id: str
    title: str
    notes: str
    school: str
    length: str
    tippet: str
    outline: tuple[OutlinePart, ...]
    hung: tuple[HungItem, ...]
    labels: tuple[str, ...]
    revision: int
    updated_at: str
    damaged: str = ""


class LabelsForm(Form):
    """Labels as typed, between commas."""

    labels: str = Field(max_length=400, examples=["salt, spring"])


@dataclass(frozen=True, slots=True)
class LabelCount:
    """A label, and how many leaders carry it."""

    label: str
    leaders: int


def etag(revision: store.Revision) -> str:
    """The entity tag of a revision."""
    return f'"{revision.revision}"'


REVISION = re.compile(r'^(?:W/)?"?([0-9]{1,9})"?$')
AFTER = re.compile(r"^(\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{6}\+00:00)~([0-9a-f]{32})$")


def _base(if_match: str) -> int:
    found = REVISION.match(if_match.strip())
    if found is None:
        raise Unreadable(
            "If-Match is missing or not a revision.", where="If-Match", hint='Send it as "3".'
        )
    return int(found[1])


def _place(after: str) -> store.Place | None:
    if not after:
        return None
    found = AFTER.match(after)
    try:
        return (datetime.fromisoformat(found[1]), found[2]) if found else _no_place()
    except ValueError:
        return _no_place()


def _no_place() -> store.Place:
    raise Unreadable(
        "“after” is not a valid cursor.", where="after", hint="Take it from the Link header."
    )


@router.get("", summary="List saved leaders, newest first")
def get_leaders(
    session: CurrentSession,
    response: Response,
    units: System = "imperial",
    limit: PageSize = USUAL,
    after: Annotated[str, Query(max_length=80, description="a place, from the Link header")] = "",
    q: Annotated[str, Query(max_length=100, description="search words; each must occur")] = "",
    label: Annotated[str, Query(max_length=30, description="a label it must have")] = "",
) -> list[LeaderCard]:
    """A page of leaders, each in a line; Link names the next, X-Total-Count tells how many."""
    place = _place(after)
    which = store.LeaderQuery(tuple(q.lower().split()[:MOST_WORDS]), label.strip())
    if which.words:
        lacking = session.read(store.lacks_search_words)
        if lacking:
            session.write(store.fill_search_words)
    saved, total = session.read(
        lambda cursor, me: (
            store.list_leaders(cursor, me, limit + 1, place, which),
            store.count_leaders(cursor, me, which),
        )
    )
    following: dict[str, str | int] | None = None
    if len(saved) > limit:
        last = saved[limit - 1]
        at = last.updated_at.isoformat(timespec="microseconds")
        following = {"units": units, "limit": limit, "after": f"{at}~{last.leader_id}"}
        following |= {key: text for key, text in (("q", q), ("label", label)) if text}
    set_page_headers(response, "/api/v1/leaders", total, following)
    return [_card(saved_leader, Units(units)) for saved_leader in saved[:limit]]


def _card(saved: store.SavedLeader, units: Units) -> LeaderCard:
    updated_at = saved.updated_at.isoformat()
    if saved.design is None:
        return LeaderCard(
            leader_id=saved.leader_id,
            title=saved.title,
            notes="",
            school="",
            length="",
            tippet="",
            outline=(),
            hung=(),
            labels=saved.labels,
            revision=saved.revision,
            updated_at=updated_at,
            damaged=saved.damaged,
        )
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
        hung=items_on(leader),
        labels=saved.labels,
        revision=saved.revision,
        updated_at=updated_at,
    )


@router.get("/labels", summary="List labels in use")
def get_labels(session: CurrentSession) -> tuple[LabelCount, ...]:
    """Every label, with how many leaders carry it."""
    return tuple(LabelCount(*pair) for pair in session.read(store.labels_in_use))


@router.put("/{leader_id}/labels", responses=MISSING, summary="Label a leader")
def put_labels(session: CurrentSession, leader_id: str, form: LabelsForm) -> tuple[str, ...]:
    """Its labels, in place of those it had; none where nothing is typed."""
    labels = labels_in(form.labels)
    session.write(lambda cursor, me: store.write_labels(cursor, me, leader_id, labels))
    return labels


@router.post("", status_code=201, responses=LINKS, summary="Save a new leader")
def post_leader(session: SavingSession, design: DesignBody, response: Response) -> store.Revision:
    """Save as revision 1 of a new leader."""
    made = session.save(
        lambda cursor, me: _name(store.create_leader(cursor, me, design)), _read_named
    )
    response.headers["ETag"] = etag(made)
    response.headers["Location"] = f"/api/v1/leaders/{made.leader_id}"
    return made


def _name(revision: store.Revision) -> str:
    return f"{revision.leader_id}/{revision.revision}"


def _read_named(cursor: DictCursor, me: str, name: str) -> store.Revision:
    leader_id, number = name.split("/")
    return store.read_revision(cursor, me, leader_id, int(number))


@router.get("/{leader_id}", responses=MISSING, summary="Show a leader's newest revision")
def get_leader(session: CurrentSession, leader_id: str, response: Response) -> store.Revision:
    """The newest revision, with its ETag."""
    found = session.read(lambda cursor, me: store.read_revision(cursor, me, leader_id))
    response.headers["ETag"] = etag(found)
    return found


@router.get(
    "/{leader_id}/revisions/{number}", responses=MISSING, summary="Show one revision of a leader"
)
def get_revision(
    session: CurrentSession, leader_id: str, number: Annotated[int, Path(ge=1, le=10**9)]
) -> store.Revision:
    """A revision by its number."""
    return session.read(lambda cursor, me: store.read_revision(cursor, me, leader_id, number))


@router.post(
    "/{leader_id}/revisions",
    status_code=201,
    responses=MISSING | STALE,
    summary="Save a new revision on top of the one in If-Match",
)
def post_revision(
    session: SavingSession,
    leader_id: str,
    design: DesignBody,
    response: Response,
    if_match: Annotated[str, Header(pattern=REVISION.pattern, examples=['"1"'])],
) -> store.Revision:
    """A new revision, refused where If-Match is no longer the newest."""
    base = _base(if_match)
    made = session.save(
        lambda cursor, me: _name(store.save_revision(cursor, me, leader_id, base, design)),
        _read_named,
    )
    response.headers["ETag"] = etag(made)
    return made


@router.delete("/{leader_id}", status_code=204, responses=MISSING, summary="Take off the shelf")
def delete_leader(session: CurrentSession, leader_id: str) -> Response:
    """Remove a leader from the shelf; it can be put back."""
    session.write(lambda cursor, me: store.set_removed(cursor, me, leader_id, removed=True))
    return Response(status_code=204)


@router.post("/{leader_id}/restore", status_code=204, responses=MISSING, summary="Put back")
def restore_leader(session: CurrentSession, leader_id: str) -> Response:
    """Put a removed leader back on the shelf."""
    session.write(lambda cursor, me: store.set_removed(cursor, me, leader_id, removed=False))
    return Response(status_code=204)
