"""Told under a dry fly."""

from nine_knots.core.techniques.under_dry import UNDER_DRY
from nine_knots.words.water.floated import FloatedWords


class UnderDryWords(FloatedWords):
    """The dry fly's load and how far the rest hangs below it."""

    technique = UNDER_DRY
    words = "Under the dry fly, which floats it"
    float_title = "The dry fly"


TELLING = UnderDryWords()
