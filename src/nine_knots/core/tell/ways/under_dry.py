"""Told under a dry fly."""

from nine_knots.core.judge.ways.under_dry import JUDGEMENT
from nine_knots.core.models.ways.under_dry import UNDER_DRY
from nine_knots.core.tell.water_stage.floated import FloatedTelling


class UnderDryTelling(FloatedTelling):
    """The dry fly's load and how far the rest hangs below it."""

    way, judgement = UNDER_DRY, JUDGEMENT
    words = "Under the dry fly, which floats it"
    float_title = "The dry fly"


TELLING = UnderDryTelling()
