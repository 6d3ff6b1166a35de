"""Stored values of older versions, upgraded; damaged rows shown as they are."""

from typing import Annotated, Any, Literal

from fastapi import APIRouter, Path, Response
from pydantic import BaseModel, Field

from nine_knots.api.context import CurrentSession
from nine_knots.api.examples import DESIGN as EXAMPLE
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.routes.files import file_answer
from nine_knots.api.typed_fields import Form
from nine_knots.core.domain.design import Design
from nine_knots.store.damaged import list_damaged, read_damaged
from nine_knots.stored_types.errors import Damaged
from nine_knots.stored_types.types import DESIGN

router = APIRouter(prefix="/api/v1/stored-values", tags=["stored values"], responses=RESPONSES)
MOST_AT_ONCE = 100
KindName = Literal[
    "leader",
    "lower rig",
    "spool",
    "rod",
    "line",
    "fly",
    "landing",
    "own cast",
    "pull test",
    "measurement",
    "place",
    "plan",
    "wallet rig",
    "event",
]


class OldLeaders(Form):
    """Leaders as a browser kept them, all of one version."""

    version: int = Field(ge=1, le=10_000, examples=[1])
    leaders: list[dict[str, Any]] = Field(max_length=MOST_AT_ONCE, examples=[[EXAMPLE]])


class UpgradedLeader(BaseModel):
    """A leader at today's version; or none, and why it cannot be read."""

    leader: Design | None
    why: str


class DamagedCard(BaseModel):
    """Something that cannot be read: what it is, its title, and why."""

    kind: KindName
    row_id: str
    title: str
    why: str


class DamagedBody(BaseModel):
    """The envelope of something that cannot be read: its body is the text as it is kept."""

    kind: str
    title: str
    version: int
    body: str


@router.post("/leaders", summary="Upgrade leaders of an older version")
def post_leaders(asked: OldLeaders) -> list[UpgradedLeader]:
    """One answer for each, in their order; nothing is stored."""
    return [_brought_up(asked.version, item) for item in asked.leaders]


def _brought_up(version: int, leader: dict[str, Any]) -> UpgradedLeader:
    try:
        return UpgradedLeader(leader=DESIGN.read_json(version, leader), why="")
    except Damaged as damage:
        return UpgradedLeader(leader=None, why=damage.what)


@router.get("/damaged", summary="List damaged rows")
def get_damaged(session: CurrentSession) -> list[DamagedCard]:
    """Rows that no version known reads; they hide none of the others."""
    return [
        DamagedCard.model_validate(row.model_dump(include={"kind", "row_id", "title", "why"}))
        for row in session.read(list_damaged)
    ]


@router.get(
    "/damaged/{kind}/{row_id}",
    response_class=Response,
    responses=MISSING,
    summary="Show a damaged row as it is",
)
def get_damaged_row(
    session: CurrentSession, kind: KindName, row_id: Annotated[str, Path(max_length=80)]
) -> Response:
    """Its kind, version and body as a JSON file, so that nothing is lost."""
    row = session.read(lambda cursor, me: read_damaged(cursor, me, kind, row_id))
    body = DamagedBody(kind=row.kind, title=row.title, version=row.version, body=row.body)
    return file_answer(body.model_dump_json(indent=1), f"{row.kind} {row.title}, damaged", "json")
