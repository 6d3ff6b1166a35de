"""Told on the swing."""

from nine_knots.core.techniques.swung import SWUNG
from nine_knots.words.water.on_the_line import OnTheLineWords


class SwungWords(OnTheLineWords):
    """Sunk while it is mended, then on the dangle."""

    technique = SWUNG
    words = "Mended while it sinks, then held and swung below you"


TELLING = SwungWords()
