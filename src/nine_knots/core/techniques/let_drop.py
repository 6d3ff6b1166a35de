"""Led in front of the fish and let drop."""

from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.stepper import History, Leg, history
from nine_knots.core.mechanics.tree import Array
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.rig_in_water import rig_below
from nine_knots.core.water.slack_on_water import EVERY_S, drift_s, on_the_surface
from nine_knots.core.water.surroundings import fluid_of, stream_of
from nine_knots.core.water.technique import RigInStream, Technique, lowest_fifth_m


class LetDrop(Technique):
    """Cast beyond the fish, and left to fall on a held line."""

    key = "let drop"
    place = 40
    top = "line"

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


LET_DROP = LetDrop()
