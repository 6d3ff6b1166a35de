"""Ways in which something floats the rig and drifts with it: laid out, settled, followed."""

from abc import abstractmethod
from dataclasses import dataclass
from typing import ClassVar, Literal, NamedTuple

import numpy as np

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.score import Finding, Reason, Score
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
from nine_knots.core.water.scores import Found, water_score
from nine_knots.core.water.simulated import SimulatedTechnique
from nine_knots.core.water.slack_on_water import EVERY_S, drift_s, on_the_surface
from nine_knots.core.water.surroundings import STILL_M_S, fluid_of, stream_of
from nine_knots.core.water.technique import RigInStream, SettledDrift
from nine_knots.core.water.time_in_zone import ANCHORED, NATURAL, TOUCHES, FishedRig

LANDS = 0.75  # of its length, how far beyond its float a rig lands: the rest lies in curves [G]
SETTLES_M, SETTLES_S = 15.0, (10.0, 40.0)  # within which a drift settles [G]
COARSE_STEP_S = 0.02
FloatedBy = Literal["indicator", "dry fly", "line tip", "greased leader"]


class FloatedReason(Reason):
    """How a rig drifts under what floats it."""

    GOES_UNDER = "goes under", "too much"
    HANGS_STILL = "hangs still", "right"
    ANCHORED = "anchored", "too much"
    DRAGS_ON_BED = "drags on the bed", "too much"
    HELD_BACK = "held back by the bed", "too much"
    TOO_LIGHT = "never reaches the zone", "too little"
    DOWN_TOO_LATE = "down too late", "too little"
    DRIFTS = "drifts", "right"


@dataclass(frozen=True, slots=True)
class FloatedFinding(Finding):
    """What floats it, its speed over the surface's (None in still water), what of its weight rests
    on the bed, seconds of drift, until it is in the zone (None where it never is) and in it."""

    floated_by: FloatedBy
    share: float | None
    contact: float
    drift_s: float
    zone_after_s: float | None
    zone_for_s: float
    touches: bool


class FloatedTop(NamedTuple):
    """Where on the leader the rig in the water begins, what floats it there, and the joint whose
    fly that is."""

    at_m: float
    floats: Float
    joint: int | None = None


class Floated(SimulatedTechnique):
    """A rig under something that floats and drifts by itself: it should drift almost as fast as the
    surface, down in the zone for most of the drift.

    ``floated_by`` is what floats it.
    """

    drifts: ClassVar[bool] = True
    remedies: ClassVar[tuple[What, ...]] = (
        "shot",
        "bead",
        "tippet length",
        "tippet spool",
        "dropper",
    )
    tuned: ClassVar[tuple[Tunes, ...]] = ("shot", "bead")
    floated_by: ClassVar[FloatedBy]

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

    def what_floats(self, fished: FishedRig) -> FloatedBy:
        """What floats it."""
        return self.floated_by

    def drift(self, fished: FishedRig) -> Score:
        """The drift score; on its edge where the rig ticks the bed."""
        return water_score("drift", self.drifted(fished), fished.contact > TOUCHES)

    def drifted(self, fished: FishedRig) -> Found:
        """Under, still, anchored, dragging, too light, too late, or right."""
        reason, off = _reason(fished)
        fly, share = fished.lowest, fished.share
        if reason is FloatedReason.DRIFTS and share is not None:
            low, high = NATURAL
            off = max(-0.9, min(0.9, (0.5 * (low + high) - share) / (high - low)))
        follows = reason in FOLLOWED
        finding = FloatedFinding(
            reason=reason,
            floated_by=self.what_floats(fished),
            share=share,
            contact=fished.contact,
            drift_s=fished.drift_s,
            zone_after_s=fly.zone_after_s if follows else None,
            zone_for_s=fly.zone_for_s if follows else 0.0,
            touches=fished.contact > TOUCHES,
        )
        return Found(finding, off)


FOLLOWED = (FloatedReason.TOO_LIGHT, FloatedReason.DOWN_TOO_LATE, FloatedReason.DRIFTS)
"""Reasons for which the drift is followed; the others are known without."""


def _reason(fished: FishedRig) -> tuple[FloatedReason, float]:
    """Why it drifts as it does, and how far that is off; what is known soonest first."""
    if fished.goes_under:
        return FloatedReason.GOES_UNDER, 1.7
    if fished.share is None:
        return FloatedReason.HANGS_STILL, 0.0
    if fished.share < ANCHORED:
        return FloatedReason.ANCHORED, 2.0
    if fished.drags:
        lies = fished.contact > TOUCHES
        return FloatedReason.DRAGS_ON_BED if lies else FloatedReason.HELD_BACK, 1.3
    after = fished.lowest.zone_after_s
    if after is None:
        return FloatedReason.TOO_LIGHT, -1.5
    if after > 0.5 * fished.drift_s:
        return FloatedReason.DOWN_TOO_LATE, -1.15
    return FloatedReason.DRIFTS, 0.0


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
