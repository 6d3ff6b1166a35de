"""Told under an indicator."""

from nine_knots.core.assess.techniques.indicator import JUDGEMENT
from nine_knots.core.techniques.indicator import UNDER_INDICATOR
from nine_knots.words.water.floated import FloatedWords


class IndicatorWords(FloatedWords):
    """The indicator's load and setting."""

    way, judgement = UNDER_INDICATOR, JUDGEMENT
    words = "Under an indicator, mended so that it drifts freely"
    float_title = "The float"


TELLING = IndicatorWords()
