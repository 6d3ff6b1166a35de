"""Led in front of the fish and let drop."""

from dataclasses import dataclass

from nine_knots.core.base.score import Finding, Reason
from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.stepper import History, Leg, history
from nine_knots.core.mechanics.tree import Array
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.rig_in_water import rig_below
from nine_knots.core.water.scores import Found
from nine_knots.core.water.simulated import SimulatedTechnique
from nine_knots.core.water.slack_on_water import EVERY_S, drift_s, on_the_surface
from nine_knots.core.water.surroundings import fluid_of, stream_of
from nine_knots.core.water.technique import RigInStream, lowest_fifth_m
from nine_knots.core.water.time_in_zone import FishedRig

DROPS_S = 8.0  # in which a dropped fly should be down, the fish led by as much [G]


class DropReason(Reason):
    """How soon a fly is down that is let drop."""

    HANGS = "hangs", "too little"
    DOWN_LATE = "down late", "too little"
    DOWN = "down in time", "right"


@dataclass(frozen=True, slots=True)
class DropFinding(Finding):
    """Seconds until it is down (None where it never is), and the depth of the water in m."""

    down_after_s: float | None
    water_m: float


class LetDrop(SimulatedTechnique):
    """Cast beyond the fish and left to fall on a held line: it should be down in front of the fish
    before the fish is past."""

    key = "let drop"
    place = 40
    top = "line"
    remedies = ("bead", "tippet length", "tippet spool", "dropper")
    at_the_water = ("tippet length", "bead")
    may_lie = True

    def fits(self, design: Design) -> bool:
        """Where it is to be led in front of a fish and dropped."""
        return design.situation.wish == "lead and drop"

    def fish(self, design: Design, ask: WaterQuestion) -> RigInStream:
        """On the surface, in curves where it lands nearer than it reaches, and held."""
        day = design.situation
        stream, fluid = stream_of(day.water), fluid_of(day.water)
        rig = rig_below(design.leader, day.fly, fluid)
        lasts = drift_s(stream, self.drift_m(design, ask))
        start = on_the_surface(rig, stream, ask.lands)

        def follow() -> History:
            return history(rig.tree, start, stream, (Leg(lasts),), fluid, every_s=EVERY_S)

        return RigInStream(self, rig, stream, fluid, follow, None, None, lasts, lasts)

    def fishes_at_m(self, heights: Array, late: slice) -> float:
        """Where it comes lowest: a held line swings it up when it has dropped."""
        return lowest_fifth_m(heights)

    def drifted(self, fished: FishedRig) -> Found:
        """Seconds to the bed."""
        after, water_m = fished.lowest.zone_after_s, fished.fishing.stream.depth_m
        if after is None:
            return Found(DropFinding(DropReason.HANGS, None, water_m), -1.5)
        reason = DropReason.DOWN_LATE if after > DROPS_S else DropReason.DOWN
        return Found(DropFinding(reason, after, water_m), max(-1.4, 0.8 - 1.8 * after / DROPS_S))


LET_DROP = LetDrop()
