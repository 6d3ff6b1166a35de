"""Told under an indicator."""

from nine_knots.core.judge.ways.indicator import JUDGEMENT
from nine_knots.core.models.ways.indicator import UNDER_INDICATOR
from nine_knots.core.tell.water_stage.floated import FloatedTelling


class IndicatorTelling(FloatedTelling):
    """The indicator's load and setting."""

    way, judgement = UNDER_INDICATOR, JUDGEMENT
    words = "Under the indicator, mended so that it drifts by itself"
    float_title = "The float"


TELLING = IndicatorTelling()
