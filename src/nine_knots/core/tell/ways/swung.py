"""Told on the swing."""

from nine_knots.core.judge.ways.swung import JUDGEMENT
from nine_knots.core.models.ways.swung import SWUNG
from nine_knots.core.tell.water_stage.on_the_line import OnTheLineTelling


class SwungTelling(OnTheLineTelling):
    """Sunk while it is mended, then on the dangle."""

    way, judgement = SWUNG, JUDGEMENT
    words = "Mended while it sinks, then held and swung below you"


TELLING = SwungTelling()
