"""Judged under a dry fly."""

from nine_knots.core.judge.water.floated import FloatedJudgement
from nine_knots.core.models.ways.under_dry import UNDER_DRY


class UnderDryJudgement(FloatedJudgement):
    """The dry fly must carry what hangs below it."""

    way = UNDER_DRY
    floated_by = "dry fly"


JUDGEMENT = UnderDryJudgement()
