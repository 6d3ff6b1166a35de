"""/api/v1/lower-rigs: what hangs below a ring or swivel, kept by name, swapped, tied by itself."""

from fastapi import APIRouter, Response
from pydantic import BaseModel, Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.examples import DESIGN, SITUATION
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.typed_fields import Form, Typed
from nine_knots.core.base.errors import Unreadable
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader.lower_rig import LowerRig, lower_rig_of, with_lower_rig
from nine_knots.core.domain.situation import Situation
from nine_knots.store.lower_rigs import (
    delete_lower_rig,
    list_lower_rigs,
    put_lower_rig,
    read_lower_rig,
)
from nine_knots.words.outline import OutlinePart, outline
from nine_knots.words.rig import HungItem, items_on

router = APIRouter(prefix="/api/v1/lower-rigs", tags=["lower rigs"], responses=RESPONSES)
LONGEST_NAME = 80


class LowerRigCard(BaseModel):
    """A lower rig in a line, in the angler's units, with its drawing."""

    rig_id: str
    title: str
    words: str
    length_m: float
    outline: tuple[OutlinePart, ...]
    hung: tuple[HungItem, ...]


class KeepRequest(Form):
    """A design of which the part below a ring or swivel is to be kept under a name."""

    title: Typed = Field(examples=["riffle"])
    design: Design = Field(examples=[DESIGN])
    joint: int | None = Field(
        default=None, ge=0, le=100, description="joint of the ring; empty for the uppermost"
    )
    units: System = "imperial"


class SwapRequest(Form):
    """A design whose lower rig is to be another."""

    design: Design = Field(examples=[DESIGN])
    joint: int | None = Field(
        default=None, ge=0, le=100, description="joint of the ring; empty for the uppermost"
    )


class AloneRequest(Form):
    """The day for which a lower rig is looked at by itself."""

    situation: Situation = Field(examples=[SITUATION])


@router.get("", summary="List lower rigs")
def get_lower_rigs(session: CurrentSession, units: System = "imperial") -> list[LowerRigCard]:
    """By name."""
    return session.read(lambda cursor, me: _cards(cursor, me, Units(units)))


@router.post("", summary="Save the rig below a ring or swivel")
def post_lower_rig(session: SavingSession, asked: KeepRequest) -> LowerRigCard:
    """Another of the same name gives way to it."""
    title = asked.title.strip()
    if not title or len(title) > LONGEST_NAME:
        raise Unreadable(
            "A lower rig needs a name.", where="title", hint="Call it riffle, hole or dry."
        )
    day = asked.design.situation
    rig = lower_rig_of(title, asked.design.leader, day.fly, asked.joint)
    return session.save(
        lambda cursor, me: put_lower_rig(cursor, me, rig),
        lambda _cursor, _me, rig_id: _card(rig_id, rig, Units(asked.units)),
    )


@router.post("/{rig_id}/swap", summary="Put a saved lower rig on a design", responses=MISSING)
def post_swap(session: CurrentSession, rig_id: str, asked: SwapRequest) -> Design:
    """The design with it below its ring or swivel, and with its fly; nothing is stored."""
    rig = session.read(lambda cursor, me: read_lower_rig(cursor, me, rig_id))
    return _with_fly(asked.design, rig).model_copy(
        update={"leader": with_lower_rig(asked.design.leader, rig, asked.joint)}
    )


@router.post("/{rig_id}/alone", summary="Show a lower rig as a design", responses=MISSING)
def post_alone(session: CurrentSession, rig_id: str, asked: AloneRequest) -> Design:
    """To cut, tie and print it by itself; nothing is stored."""
    rig = session.read(lambda cursor, me: read_lower_rig(cursor, me, rig_id))
    alone = Design(title=rig.title, situation=asked.situation, leader=rig.leader)
    return _with_fly(alone, rig)


@router.delete("/{rig_id}", status_code=204, summary="Delete a lower rig", responses=MISSING)
def remove_lower_rig(session: CurrentSession, rig_id: str) -> Response:
    """Leaders that carry it keep it."""
    session.write(lambda cursor, me: delete_lower_rig(cursor, me, rig_id))
    return Response(status_code=204)


def _with_fly(design: Design, rig: LowerRig) -> Design:
    situation = design.situation.model_copy(update={"fly": rig.fly})
    return design.model_copy(update={"situation": situation})


def _cards(cursor: DictCursor, me: str, units: Units) -> list[LowerRigCard]:
    return [_card(rig_id, rig, units) for rig_id, rig in list_lower_rigs(cursor, me)]


def _card(rig_id: str, rig: LowerRig, units: Units) -> LowerRigCard:
    leader = rig.leader
    flies = [fly.title for _, fly in leader.flies_above] + [rig.fly.title]
    long, fine = units.length(leader.length_m), units.tippet(leader.tippet_diameter_m)
    return LowerRigCard(
        rig_id=rig_id,
        title=rig.title,
        words=f"{long.text} to {fine.text}: {', '.join(flies)}",
        length_m=leader.length_m,
        outline=outline(leader),
        hung=items_on(leader),
    )
