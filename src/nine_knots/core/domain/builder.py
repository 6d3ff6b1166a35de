"""Who ties: what their hands use and hold, as far as they have shown it."""

from pydantic import Field

from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.knots.own import PulledKnot

USUAL_HAND = 1.0


class Builder(Frozen):
    """Who ties: line used over a usual hand's, height, and what own pull tests say of knots."""

    handiness: float = Field(default=USUAL_HAND, ge=0.2, le=3.0)
    height_m: float | None = Field(default=None, ge=1.0, le=2.5)
    knots: tuple[PulledKnot, ...] = ()


USUAL_BUILDER = Builder()
