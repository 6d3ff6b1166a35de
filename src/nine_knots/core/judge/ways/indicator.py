"""Judged under an indicator."""

from nine_knots.core.judge.water.floated import FloatedJudgement
from nine_knots.core.models.ways.indicator import UNDER_INDICATOR


class IndicatorJudgement(FloatedJudgement):
    """The indicator's setting is the first thing to change."""

    way = UNDER_INDICATOR
    other_schools = ("tight-line", "heavy-nymph", "nymph-under-dry")
    floated_by = "indicator"
    remedies = ("setting", "shot and setting", *FloatedJudgement.remedies)
    at_the_water = ("setting", "shot", "shot and setting", "bead")
    tuned = ("setting", *FloatedJudgement.tuned)


JUDGEMENT = IndicatorJudgement()
