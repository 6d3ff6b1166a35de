"""Judged on the leader alone."""

from nine_knots.core.judge.water.floated import FloatedJudgement
from nine_knots.core.models.ways.on_leader import ON_LEADER


class OnLeaderJudgement(FloatedJudgement):
    """The line's tip floats it, and is drawn under by much."""

    way = ON_LEADER
    floated_by = "line's tip"


JUDGEMENT = OnLeaderJudgement()
