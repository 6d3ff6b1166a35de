"""Judged on the drop."""

from nine_knots.core.assess.water.scores import WaterScore
from nine_knots.core.assess.water.technique_assessment import SimulatedAssessment
from nine_knots.core.base.score import Status
from nine_knots.core.base.units import Units
from nine_knots.core.techniques.let_drop import LET_DROP
from nine_knots.core.water.time_in_zone import FishedRig

DROPS_S = 5.0  # in which a dropped fly should be down [G]


class LetDropAssessment(SimulatedAssessment):
    """It should be down in front of the fish before the fish is past."""

    way = LET_DROP
    question = "How soon is it down?"
    remedies = ("shot", "bead", "tippet length", "tippet spool", "dropper")
    may_lie = True

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


JUDGEMENT = LetDropAssessment()
