"""Judged under an indicator."""

from nine_knots.core.assess.water.floated import FloatedAssessment
from nine_knots.core.techniques.indicator import UNDER_INDICATOR


class IndicatorAssessment(FloatedAssessment):
    """The indicator's setting is the first thing to change."""

    way = UNDER_INDICATOR
    other_schools = ("tight-line", "heavy-nymph", "nymph-under-dry")
    floated_by = "indicator"
    remedies = ("setting", "shot and setting", *FloatedAssessment.remedies)
    at_the_water = ("setting", "shot", "shot and setting", "bead")
    tuned = ("setting", *FloatedAssessment.tuned)


JUDGEMENT = IndicatorAssessment()
