"""Ways in which something floats the rig and drifts with it: laid out, settled, followed."""

from abc import abstractmethod
from typing import ClassVar, NamedTuple

import numpy as np

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.score import Score
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.floats import Float
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.mechanics.steady import NEAR_BED_M, drifting
from nine_knots.core.mechanics.stepper import History, Leg, history
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.mechanics.tree import Array
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.remedy_kinds import Tunes, What
from nine_knots.core.water.rig_in_water import RigInWater, rig_below
from nine_knots.core.water.scores import WaterScore, drift_score
from nine_knots.core.water.simulated import SimulatedTechnique
from nine_knots.core.water.slack_on_water import EVERY_S, drift_s, on_the_surface
from nine_knots.core.water.surroundings import STILL_M_S, fluid_of, stream_of
from nine_knots.core.water.technique import RigInStream, SettledDrift
from nine_knots.core.water.time_in_zone import ANCHORED, NATURAL, TOUCHES, FishedRig

LANDS = 0.75  # of its length, how far beyond its float a rig lands: the rest lies in curves [G]
SETTLES_M, SETTLES_S = 15.0, (10.0, 40.0)  # within which a drift settles [G]
COARSE_STEP_S = 0.02


class FloatedTop(NamedTuple):
    """Where on the leader the rig in the water begins, what floats it there, and the joint whose
    fly that is."""

    at_m: float
    floats: Float
    joint: int | None = None


class Floated(SimulatedTechnique):
    """A rig under something that floats and drifts by itself: it should drift almost as fast as the
    surface, down in the zone for most of the drift.

    ``floated_by`` is what floats it, in words; ``lighten`` what to do where it drags, ``instead``
    what to fish where it never gets down.
    """

    drifts: ClassVar[bool] = True
    lighten: ClassVar[str] = "use less weight, or set it shallower"
    instead: ClassVar[str] = ""
    question: ClassVar[str] = "Does it drift freely?"
    remedies: ClassVar[tuple[What, ...]] = (
        "shot",
        "bead",
        "tippet length",
        "tippet spool",
        "dropper",
    )
    tuned: ClassVar[tuple[Tunes, ...]] = ("shot", "bead")
    floated_by: ClassVar[str]

    @abstractmethod
    def floated_top(self, design: Design, fluid: Fluid) -> FloatedTop:
        """Its upper end."""

    def fish(self, design: Design, ask: WaterQuestion) -> RigInStream:
        """Cast up the stream in curves, and left to drift."""
        day = design.situation
        stream, fluid = stream_of(day.water), fluid_of(day.water)
        top = self.floated_top(design, fluid)
        rig = rig_below(design.leader, day.fly, fluid, top.at_m, skip_joint=top.joint)
        lasts = drift_s(stream, self.drift_m(design, ask))
        start = on_the_surface(rig, stream, -LANDS)

        def follow() -> History:
            legs = (Leg(lasts, free=True),)
            return history(rig.tree, start, stream, legs, fluid, top.floats, every_s=EVERY_S)

        settled = settled_of(rig, top.floats, stream, fluid, start)
        return RigInStream(self, rig, stream, fluid, follow, top.floats, settled, lasts, lasts)

    def what_floats(self, fished: FishedRig) -> str:
        """What floats it, in words."""
        return self.floated_by

    def drift(self, fished: FishedRig, units: Units) -> Score:
        """The drift cord; on its edge where the rig ticks the bed."""
        touches = fished.contact > TOUCHES
        return drift_score(self.question, self.drifted(fished, units), touches)

    def drifted(self, fished: FishedRig, units: Units) -> WaterScore:
        """Under, still, anchored, dragging, too light, too late, or right."""
        what, share, fly = self.what_floats(fished), fished.share, fished.lowest
        if fished.goes_under:
            why = f"The rig pulls the {what} under: use less weight, or a bigger float."
            return WaterScore("too much", 1.7, "goes under", why)
        if share is None:
            return WaterScore(
                "right", 0.0, "hangs still", "Still water: it hangs where you cast it."
            )
        rate = f"{share:.0%} of the surface speed"
        if share < ANCHORED:
            why = "It rests on the bed and holds the line: too heavy."
            return WaterScore("too much", 2.0, "anchored", why)
        if fished.drags:
            lies = f"{fished.contact:.0%} of its weight rests on the bed"
            if fished.contact <= TOUCHES:
                lies = f"It goes at {rate}, held back by flies that brush the bed"
            why = f"{lies}: {self.lighten}."
            return WaterScore("too much", 1.3, "drags on the bed", why)
        if fly.zone_after_s is None:
            why = f"It never reaches the zone in {units.seconds(fished.drift_s)} of drift."
            why = f"{why} It drifts at {rate}.{self.instead}"
            return WaterScore("too little", -1.5, "too light", why)
        if fly.zone_after_s > 0.5 * fished.drift_s:
            after = units.seconds(fly.zone_after_s)
            why = f"In the zone only after {after}, more than half the drift."
            return WaterScore("too little", -1.15, "down too late", why)
        touch = " It ticks the bed." if fished.contact > TOUCHES else ""
        low, high = NATURAL
        slow = (0.5 * (low + high) - share) / (high - low)
        why = f"{_words_of(what, share)} {_zone_words(fished, units)}{touch}"
        figure = f"drifts at {rate.split(' of ')[0]}"
        return WaterScore("right", max(-0.9, min(0.9, slow)), figure, why)


def settled_of(
    rig: RigInWater, floats: Float, stream: Stream, fluid: Fluid, start: Array
) -> SettledDrift | None:
    """What a drift settles to, by the sweep, or by following it where that finds nothing clear of
    the bed; None in still water, where nothing drifts."""
    if stream.surface_m_s < STILL_M_S:
        return None
    try:
        speed, shape = drifting(floats, rig.tree, stream, fluid, NEAR_BED_M)
    except CannotCompute:
        return _followed(rig, floats, stream, fluid, start)
    return SettledDrift(speed, shape.places, shape.top_n, 0.0, clear=True)


def _followed(
    rig: RigInWater, floats: Float, stream: Stream, fluid: Fluid, start: Array
) -> SettledDrift:
    lasts = min(SETTLES_S[1], max(SETTLES_S[0], SETTLES_M / stream.surface_m_s))
    legs, every = (Leg(lasts, free=True),), lasts / 20.0
    end = history(rig.tree, start, stream, legs, fluid, floats, every, COARSE_STEP_S)
    places = end.places[-1] - end.places[-1, 0] * np.array([1.0, 0.0])
    top = end.top_n[-3:].mean(axis=0)
    return SettledDrift(
        speed_m_s=float(end.speed[-3:].mean()),
        places=places,
        top_n=(float(top[0]), float(top[1])),
        floor_n=float(end.floor_n[-3:].sum(axis=1).mean()),
        clear=False,
    )


def _words_of(what: str, share: float) -> str:
    low, high = NATURAL
    if share > high:
        return f"The {what} drifts almost at surface speed: little holds it back."
    if share < low:
        return f"The {what} drifts much slower than the surface: close to dragging."
    return "A little slower than the surface, as is natural."


def _zone_words(fished: FishedRig, units: Units) -> str:
    fly = fished.lowest
    assert fly.zone_after_s is not None
    return (
        f"In the zone after {units.seconds(fly.zone_after_s)}, for {units.seconds(fly.zone_for_s)}."
    )
