"""The judgement of ways in which line and leader hang below the rod's tip."""

from typing import ClassVar

from nine_knots.core.assess.water.scores import WaterScore
from nine_knots.core.assess.water.technique_assessment import SimulatedAssessment, down_m, fishes_at
from nine_knots.core.base.units import Units
from nine_knots.core.water.remedy_kinds import What
from nine_knots.core.water.time_in_zone import TOUCHES, FishedRig

SHALLOW_SHARE = 0.15  # of the depth, above which a sunk streamer hardly swims under the surface
PLOUGHS_M = 0.05


class OnTheLineAssessment(SimulatedAssessment):
    """Any depth is right but the bed: which one fish want is the angler's to say."""

    remedies: ClassVar[tuple[What, ...]] = (
        "leader length",
        "bead",
        "tippet length",
        "tippet spool",
        "dropper",
    )
    at_the_water: ClassVar[tuple[What, ...]] = ("tippet length", "bead")
    shorter_sinks: ClassVar[bool] = True

    def deep(self, fished: FishedRig, units: Units) -> WaterScore:
        """How far down it swims, in how much water."""
        depth_m = fished.fishing.stream.depth_m
        share, whole = down_m(fished) / depth_m, units.depth(depth_m).text
        figure, why = fishes_at(fished, units), f"In {whole} of water."
        if share < SHALLOW_SHARE:
            why = f"Just under the surface of {whole}: right for fish that look up."
        if self.ploughs(fished):
            return WaterScore("too much", 1.3, figure, f"On the bed. {why}")
        return WaterScore("right", max(-0.95, min(0.95, 2.2 * (share - 0.5))), figure, why)

    def ploughs(self, fished: FishedRig) -> bool:
        """Whether line and fly go along the bed."""
        return fished.contact > TOUCHES and fished.lowest.height_m < PLOUGHS_M
