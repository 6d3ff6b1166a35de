"""Told under an indicator."""

from nine_knots.core.techniques.indicator import UNDER_INDICATOR
from nine_knots.words.water.floated import FloatedWords


class IndicatorWords(FloatedWords):
    """The indicator's load and setting."""

    technique = UNDER_INDICATOR
    words = "Under an indicator, mended so that it drifts freely"
    float_title = "The float"


TELLING = IndicatorWords()
