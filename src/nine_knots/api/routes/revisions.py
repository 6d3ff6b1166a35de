"""/api/v1/leaders/…/revisions: a leader over the seasons, and what differs between two states."""

from dataclasses import dataclass
from typing import Annotated

from fastapi import APIRouter, Query

from nine_knots.api.context import CurrentSession
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.store.leaders import list_revisions, read_revision
from nine_knots.words.differences import differences
from nine_knots.words.outline import OutlinePart, outline
from nine_knots.words.rig import HungItem, items_on

router = APIRouter(prefix="/api/v1/leaders", tags=["leaders"], responses=RESPONSES)
Number = Annotated[int, Query(ge=1, le=10**9)]


@dataclass(frozen=True, slots=True)
class RevisionCard:
    """One saved state of a leader in a line, and what it changed of the one before."""

    number: int
    saved_at: str
    title: str
    length: str
    tippet: str
    outline: tuple[OutlinePart, ...]
    hung: tuple[HungItem, ...]
    changed: tuple[str, ...]
    damaged: bool


@dataclass(frozen=True, slots=True)
class Differences:
    """What the second has that the first had not, a sentence each."""

    words: tuple[str, ...]


@router.get("/{leader_id}/revisions", responses=MISSING, summary="List a leader's revisions")
def get_revisions(
    session: CurrentSession, leader_id: str, units: System = "imperial"
) -> tuple[RevisionCard, ...]:
    """The newest first."""
    rows = session.read(lambda cursor, me: list_revisions(cursor, me, leader_id))
    before: list[Design | None] = [design for _, _, design in rows[1:]]
    return tuple(
        _card(number, saved_at.isoformat(), design, older, Units(units))
        for (number, saved_at, design), older in zip(rows, [*before, None], strict=True)
    )


@router.get("/{leader_id}/differences", responses=MISSING, summary="Compare two revisions")
def get_differences(
    session: CurrentSession,
    leader_id: str,
    older: Number,
    other: Number,
    units: System = "imperial",
) -> Differences:
    """Of any two of one leader, what the other has that the one had not."""
    first, second = session.read(
        lambda cursor, me: (
            read_revision(cursor, me, leader_id, older),
            read_revision(cursor, me, leader_id, other),
        )
    )
    return Differences(differences(first.design, second.design, Units(units)))


def _card(
    number: int, saved_at: str, design: Design | None, older: Design | None, units: Units
) -> RevisionCard:
    if design is None:
        said = ("It can't be read. Nothing is lost.",)
        return RevisionCard(number, saved_at, "damaged", "", "", (), (), said, damaged=True)
    leader = design.leader
    changed = differences(older, design, units) if older is not None else ("The first version.",)
    return RevisionCard(
        number=number,
        saved_at=saved_at,
        title=design.title,
        length=units.length(leader.length_m).text,
        tippet=units.tippet(leader.tippet_diameter_m).text,
        outline=outline(leader),
        hung=items_on(leader),
        changed=changed,
        damaged=False,
    )
