"""What a landing tells: the leader cast again at a few speeds, to know what it should have done."""

from math import log

import numpy as np
from pydantic import Field

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.frozen import Frozen
from nine_knots.core.judge.own_cast import PILES_UP, Landed, Landing
from nine_knots.core.models.cast.casting import Flight
from nine_knots.core.models.cast.mono import mass_ratio
from nine_knots.core.models.cast.quick_caster import QuickCaster
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.cast.wind import STEADY, Gust, air_of
from nine_knots.core.trade.design import Design

AROUND = (1.25, 1.12, 1.0, 0.9, 0.8)  # launch speeds tried, of the stroke's
OPENED = 0.8  # straightness from which a leader arrives
UNOPENED = log(0.8 * PILES_UP)  # ln of an arrival that just did not come about ...
LESS_FOR_LESS = 3.0  # ... and how much it falls for what lacks of straightness [G]
LEAST = log(0.5)
SLOPES = (0.3, 4.0)  # of ln arrival with ln speed


class Seen(Frozen):
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


def landing_of(seen: Seen) -> Landing:
    """What a landing tells, with ln arrival fitted linearly to casts around the stroke's speed.

    Raises CannotCompute for mono rigs and whatever cannot be cast.
    """
    design, stroke, day = seen.design, seen.stroke, seen.design.situation
    if mass_ratio(design.leader, day.fly) is not None:
        raise CannotCompute(
            "Mono thrown by its fly unrolls no loop, so its landing tells nothing of your stroke.",
            where="design.leader",
            mend="Record landings of leaders on a fly line.",
        )
    caster, air = QuickCaster(), air_of(day.wind, seen.gust)
    found = [
        caster.cast(
            design.leader,
            day.line,
            day.fly,
            stroke.model_copy(update={"speed_m_s": stroke.speed_m_s * share}),
            air,
        )
        for share in AROUND
    ]
    slope, at_usual = np.polyfit(np.log(AROUND), [log_arrival(one) for one in found], 1)
    return Landing(
        at_usual=float(at_usual),
        slope=float(np.clip(slope, *SLOPES)),
        by_word=seen.by_word,
        landed=seen.landed,
    )


def log_arrival(flight: Flight) -> float:
    """ln of the arrival in m/s; where it did not come about, less the less straight it became."""
    if flight.arrival_m_s is not None:
        return max(LEAST, log(flight.arrival_m_s))
    return max(LEAST, UNOPENED - LESS_FOR_LESS * max(0.0, OPENED - flight.straightness))
