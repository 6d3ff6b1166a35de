"""Judged on a tight line."""

from nine_knots.core.assess.water.scores import WaterScore
from nine_knots.core.assess.water.technique_assessment import SimulatedAssessment
from nine_knots.core.base.score import Status
from nine_knots.core.base.units import Units
from nine_knots.core.techniques.tight_line import TIGHT_LINE
from nine_knots.core.water.time_in_zone import FishedRig

LEAST_SHARE = 0.2  # of the drift in the zone [G]


class TightLineAssessment(SimulatedAssessment):
    """The line is led: what counts is how soon it is down and for how long."""

    way = TIGHT_LINE
    other_schools = ("indicator-nymph-tag", "nymph-under-dry")
    question = "Is it down, and long enough?"
    remedies = ("out", "shot", "bead", "tippet length", "tippet spool", "dropper", "lead")
    at_the_water = ("out", "lead", "shot", "bead")
    tuned = ("mark", "shot", "bead")

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


JUDGEMENT = TightLineAssessment()
