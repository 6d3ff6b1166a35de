"""On a tight line, led by the rod's tip."""

import numpy as np

from nine_knots.core.base.score import Status
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.stepper import History, Leg, history
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.mechanics.tree import Array
from nine_knots.core.schools import line_leads
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.rig_in_water import RigInWater, rig_below
from nine_knots.core.water.scores import WaterScore
from nine_knots.core.water.simulated import SimulatedTechnique
from nine_knots.core.water.slack_on_water import EVERY_S, drift_s
from nine_knots.core.water.surroundings import STILL_M_S, fluid_of, stream_of
from nine_knots.core.water.technique import RigInStream, lowest_fifth_m
from nine_knots.core.water.time_in_zone import FishedRig

SLOPE = 0.9  # of its length beyond the rod's tip, how far a tight line's fly lands away
LEAST_SHARE = 0.2  # of the drift in the zone [G]


class TightLine(SimulatedTechnique):
    """Nothing floats it: the rod's tip leads it through the drift. What counts is how soon it is
    down, and for how long."""

    key = "on a tight line"
    place = 70
    top = "rod"
    drifts = True
    other_schools = ("indicator-nymph-tag", "nymph-under-dry")
    question = "Is it down, and long enough?"
    remedies = ("out", "shot", "bead", "tippet length", "tippet spool", "dropper", "lead")
    at_the_water = ("out", "lead", "shot", "bead")
    tuned = ("mark", "shot", "bead")

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

    def drifted(self, fished: FishedRig, units: Units) -> WaterScore:
        """Dragging, never down, or so long in the zone."""
        fly = fished.lowest
        share = fly.zone_for_s / fished.drift_s
        if fished.drags:
            lies = f"{fished.contact:.0%} of its weight rests on the bed"
            why = f"{lies}: lead faster, or use lighter flies."
            return WaterScore("too much", 1.3, "drags on the bed", why)
        if fly.zone_after_s is None:
            least = units.depth(fly.lowest_m).text
            why = (
                f"It gets no closer to the bed than {least}: use heavier flies or finer "
                "tippet, or lead slower."
            )
            return WaterScore("too little", -1.5, "never gets down", why)
        figure = f"{units.seconds(fly.zone_for_s)} in the zone"
        why = f"Down after {units.seconds(fly.zone_after_s)}, of {units.seconds(fished.drift_s)}."
        status: Status = "too little" if share < LEAST_SHARE else "right"
        return WaterScore(status, max(-1.4, min(0.6, 2.5 * (share - 0.6))), figure, why)


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
