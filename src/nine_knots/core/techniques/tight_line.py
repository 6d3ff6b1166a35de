"""On a tight line, led by the rod's tip."""

import numpy as np

from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.stepper import History, Leg, history
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.mechanics.tree import Array
from nine_knots.core.schools import line_leads
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.rig_in_water import RigInWater, rig_below
from nine_knots.core.water.slack_on_water import EVERY_S, drift_s
from nine_knots.core.water.surroundings import STILL_M_S, fluid_of, stream_of
from nine_knots.core.water.technique import RigInStream, Technique, lowest_fifth_m

SLOPE = 0.9  # of its length beyond the rod's tip, how far a tight line's fly lands away


class TightLine(Technique):
    """Nothing floats it: the rod's tip leads it through the drift."""

    key = "on a tight line"
    place = 70
    top = "rod"
    drifts = True

    def fits(self, design: Design) -> bool:
        """Where mono without a line is fished in moving water."""
        return not line_leads(design.leader) and design.situation.water.pace_m_s > STILL_M_S

    def fish(self, design: Design, ask: WaterQuestion) -> RigInStream:
        """Lobbed up the stream, and led down it at a share of its speed."""
        day = design.situation
        stream, fluid = stream_of(day.water), fluid_of(day.water)
        top_m = max(0.0, design.leader.length_m - out_m(design, ask))
        rig = rig_below(design.leader, day.fly, fluid, top_m)
        lasts = drift_s(stream, self.drift_m(design, ask))
        start = _from_the_tip(rig, stream, ask)
        legs = (Leg(lasts, ask.lead * stream.surface_m_s),)

        def follow() -> History:
            return history(rig.tree, start, stream, legs, fluid, every_s=EVERY_S)

        return RigInStream(self, rig, stream, fluid, follow, None, None, lasts, lasts)

    def fishes_at_m(self, heights: Array, late: slice) -> float:
        """Where it comes lowest: a led line swings up at the end."""
        return lowest_fifth_m(heights)


def out_m(design: Design, ask: WaterQuestion) -> float:
    """What is out beyond the rod's tip on a tight line: it reaches the bed at a slant."""
    usual = 1.15 * ask.tip_m + 1.1 * design.situation.water.depth_m
    return min(design.leader.length_m, ask.out_m or usual)


def _from_the_tip(rig: RigInWater, stream: Stream, ask: WaterQuestion) -> Array:
    """From the rod's tip to where the fly lands upstream: a share of as far as it reaches, the
    rest in curves; what is beyond the slant down to the water lies on it."""
    reach, whole = rig.tree.reach, rig.length_m
    drop = min(ask.tip_m, SLOPE * whole)
    far = ask.lands * (whole**2 - drop**2) ** 0.5
    along = reach / whole
    z = np.maximum(stream.depth_m + ask.tip_m - drop * along, stream.depth_m)
    return np.stack([-far * along, z], axis=1)


TIGHT_LINE = TightLine()
