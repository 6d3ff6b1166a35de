"""/api/v1/hold: a design pulled until it breaks."""

from fastapi import APIRouter
from pydantic import Field

from nine_knots.api.context import CurrentSession
from nine_knots.api.examples import DESIGN
from nine_knots.api.problems import RESPONSES
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.words.pull import HoldReading, hold_reading

router = APIRouter(prefix="/api/v1/hold", tags=["hold"], responses=RESPONSES)


class HoldRequest(Form):
    """A design to pull: soaked as it is fished or dry, with the record rule or without."""

    design: Design = Field(examples=[DESIGN])
    soaked: bool = True
    record: bool = False
    units: System = "imperial"


@router.post("", summary="Pull a design until it breaks")
def post_hold(session: CurrentSession, asked: HoldRequest) -> HoldReading:
    """Every element's spread, what breaks by when, and what it means; nothing is stored."""
    own = session.angler().tyer.knots
    return hold_reading(asked.design, asked.soaked, asked.record, Units(asked.units), own)
