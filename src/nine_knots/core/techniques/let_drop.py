"""Led in front of the fish and let drop."""

from nine_knots.core.base.score import Status
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.stepper import History, Leg, history
from nine_knots.core.mechanics.tree import Array
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.rig_in_water import rig_below
from nine_knots.core.water.scores import WaterScore
from nine_knots.core.water.simulated import SimulatedTechnique
from nine_knots.core.water.slack_on_water import EVERY_S, drift_s, on_the_surface
from nine_knots.core.water.surroundings import fluid_of, stream_of
from nine_knots.core.water.technique import RigInStream, lowest_fifth_m
from nine_knots.core.water.time_in_zone import FishedRig

DROPS_S = 5.0  # in which a dropped fly should be down [G]


class LetDrop(SimulatedTechnique):
    """Cast beyond the fish and left to fall on a held line: it should be down in front of the fish
    before the fish is past."""

    key = "let drop"
    place = 40
    top = "line"
    question = "How soon is it down?"
    remedies = ("shot", "bead", "tippet length", "tippet spool", "dropper")
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

    def drifted(self, fished: FishedRig, units: Units) -> WaterScore:
        """Seconds to the bed."""
        fly = fished.lowest
        if fly.zone_after_s is None:
            why = "It doesn't reach the bed: too light."
            return WaterScore("too little", -1.5, "hangs", why)
        depth = units.depth(fished.fishing.stream.depth_m).text
        why = f"It falls through {depth}; lead the fish by as much."
        status: Status = "right"
        if fly.zone_after_s > DROPS_S:
            status = "too little"
            why = (
                f"Slow through {depth}: use a heavier fly or shot, or cast well ahead of the fish."
            )
        return WaterScore(
            status,
            max(-1.4, 0.8 - 1.8 * fly.zone_after_s / DROPS_S),
            f"down in {units.seconds(fly.zone_after_s)}",
            why,
        )


LET_DROP = LetDrop()
