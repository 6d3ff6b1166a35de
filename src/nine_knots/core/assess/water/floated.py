"""The judgement of ways in which something floats the rig."""

from typing import ClassVar

from nine_knots.core.assess.water.scores import WaterScore, drift_score
from nine_knots.core.assess.water.technique_assessment import SimulatedAssessment
from nine_knots.core.base.score import Score
from nine_knots.core.base.units import Units
from nine_knots.core.water.remedy_kinds import Tunes, What
from nine_knots.core.water.time_in_zone import ANCHORED, NATURAL, TOUCHES, FishedRig


class FloatedAssessment(SimulatedAssessment):
    """It should drift almost as fast as the surface, down in the zone for most of the drift.

    ``floated_by`` is what floats it, in words; ``lighten`` what to do where it drags, ``instead``
    what to fish where it never gets down.
    """

    lighten: ClassVar[str] = "use less weight, or set it shallower"
    instead: ClassVar[str] = ""

    question: ClassVar[str] = "Does it drift freely?"
    remedies: ClassVar[tuple[What, ...]] = (
        "shot",
        "bead",
        "tippet length",
        "tippet spool",
        "dropper",
    )
    tuned: ClassVar[tuple[Tunes, ...]] = ("shot", "bead")
    floated_by: ClassVar[str]

    def what_floats(self, fished: FishedRig) -> str:
        """What floats it, in words."""
        return self.floated_by

    def drift(self, fished: FishedRig, units: Units) -> Score:
        """The drift cord; on its edge where the rig ticks the bed."""
        touches = fished.contact > TOUCHES
        return drift_score(self.question, self.drifted(fished, units), touches)

    def drifted(self, fished: FishedRig, units: Units) -> WaterScore:
        """Under, still, anchored, dragging, too light, too late, or right."""
        what, share, fly = self.what_floats(fished), fished.share, fished.lowest
        if fished.goes_under:
            why = f"The rig pulls the {what} under: use less weight, or a bigger float."
            return WaterScore("too much", 1.7, "goes under", why)
        if share is None:
            return WaterScore(
                "right", 0.0, "hangs still", "Still water: it hangs where you cast it."
            )
        rate = f"{share:.0%} of the surface speed"
        if share < ANCHORED:
            why = "It rests on the bed and holds the line: too heavy."
            return WaterScore("too much", 2.0, "anchored", why)
        if fished.drags:
            lies = f"{fished.contact:.0%} of its weight rests on the bed"
            if fished.contact <= TOUCHES:
                lies = f"It goes at {rate}, held back by flies that brush the bed"
            why = f"{lies}: {self.lighten}."
            return WaterScore("too much", 1.3, "drags on the bed", why)
        if fly.zone_after_s is None:
            why = f"It never reaches the zone in {units.seconds(fished.drift_s)} of drift."
            why = f"{why} It drifts at {rate}.{self.instead}"
            return WaterScore("too little", -1.5, "too light", why)
        if fly.zone_after_s > 0.5 * fished.drift_s:
            after = units.seconds(fly.zone_after_s)
            why = f"In the zone only after {after}, more than half the drift."
            return WaterScore("too little", -1.15, "down too late", why)
        touch = " It ticks the bed." if fished.contact > TOUCHES else ""
        low, high = NATURAL
        slow = (0.5 * (low + high) - share) / (high - low)
        why = f"{_words_of(what, share)} {_zone_words(fished, units)}{touch}"
        figure = f"drifts at {rate.split(' of ')[0]}"
        return WaterScore("right", max(-0.9, min(0.9, slow)), figure, why)


def _words_of(what: str, share: float) -> str:
    low, high = NATURAL
    if share > high:
        return f"The {what} drifts almost at surface speed: little holds it back."
    if share < low:
        return f"The {what} drifts much slower than the surface: close to dragging."
    return "A little slower than the surface, as is natural."


def _zone_words(fished: FishedRig, units: Units) -> str:
    fly = fished.lowest
    assert fly.zone_after_s is not None
    return (
        f"In the zone after {units.seconds(fly.zone_after_s)}, for {units.seconds(fly.zone_for_s)}."
    )
