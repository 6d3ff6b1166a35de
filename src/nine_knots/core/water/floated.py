"""Ways in which something floats the rig and drifts with it: laid out, settled, followed."""

from abc import abstractmethod
from typing import ClassVar, NamedTuple

import numpy as np

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.floats import Float
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.mechanics.steady import NEAR_BED_M, drifting
from nine_knots.core.mechanics.stepper import History, Leg, history
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.mechanics.tree import Array
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.rig_in_water import RigInWater, rig_below
from nine_knots.core.water.slack_on_water import EVERY_S, drift_s, on_the_surface
from nine_knots.core.water.surroundings import STILL_M_S, fluid_of, stream_of
from nine_knots.core.water.technique import RigInStream, SettledDrift, Technique

LANDS = 0.75  # of its length, how far beyond its float a rig lands: the rest lies in curves [G]
SETTLES_M, SETTLES_S = 15.0, (10.0, 40.0)  # within which a drift settles [G]
COARSE_STEP_S = 0.02


class FloatedTop(NamedTuple):
    """Where on the leader the rig in the water begins, what floats it there, and the joint whose
    fly that is."""

    at_m: float
    floats: Float
    joint: int | None = None


class Floated(Technique):
    """A rig under something that floats and drifts by itself."""

    drifts: ClassVar[bool] = True

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
