"""What a landing tells: its leader's minimum launch speed, and so what the stroke should do."""

from math import log

from pydantic import Field

from nine_knots.core.assess.own_cast import Landed, Landing
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.values import Frozen
from nine_knots.core.casting.mono import mass_ratio
from nine_knots.core.casting.quick_caster import QuickCaster
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import STEADY, Gust, air_of
from nine_knots.core.domain.design import Design

CAST_MODEL = 2  # of the models that landings were cast by; 1 depended on the mesh


class ObservedLanding(Frozen):
    """A landing as the angler tells it.

    ``said`` is the stroke's speed as it was told: a word, which goes with the angler's own cast
    (``stroke`` then has the usual speed), or a figure.
    """

    design: Design
    stroke: Stroke
    said: str = Field(max_length=60)
    by_word: bool
    landed: Landed
    gust: Gust = STEADY


def landing_of(seen: ObservedLanding) -> Landing:
    """What a landing tells: the margin of the stroke as it was said.

    Raises CannotCompute for mono rigs and whatever cannot be cast.
    """
    design, stroke, day = seen.design, seen.stroke, seen.design.situation
    if mass_ratio(design.leader, day.fly) is not None:
        raise CannotCompute(
            "The fly pulls the mono out without a loop, so this landing says nothing about "
            "your stroke.",
            where="design.leader",
            hint="Record landings of leaders on a fly line.",
        )
    air = air_of(day.wind, seen.gust)
    minimum = QuickCaster().minimum(design.leader, day.line, day.fly, stroke, air)
    return Landing(usual=log(minimum.margin(stroke)), by_word=seen.by_word, landed=seen.landed)
