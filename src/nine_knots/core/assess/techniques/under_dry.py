"""Judged under a dry fly."""

from nine_knots.core.assess.water.floated import FloatedAssessment
from nine_knots.core.techniques.under_dry import UNDER_DRY


class UnderDryAssessment(FloatedAssessment):
    """The dry fly must carry what hangs below it."""

    way = UNDER_DRY
    other_schools = ("tight-line", "indicator-nymph-tag")
    floated_by = "dry fly"
    lighten = "use a lighter nymph, a shorter drop, or the dry alone"
    instead = " Too deep or too fast for a dry: use an indicator or a tight line."


JUDGEMENT = UnderDryAssessment()
