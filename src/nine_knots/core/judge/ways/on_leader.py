"""Judged on the leader alone."""

from nine_knots.core.judge.water.floated import FloatedJudgement
from nine_knots.core.models.water.fished import Fished
from nine_knots.core.models.ways.on_leader import GREASED, ON_LEADER


class OnLeaderJudgement(FloatedJudgement):
    """The line's tip floats it, and is drawn under by much."""

    way = ON_LEADER
    floated_by = "line's tip"

    def what_floats(self, fished: Fished) -> str:
        """The greased leader, where it is greased."""
        return "greased leader" if fished.fishing.floats is GREASED else self.floated_by


JUDGEMENT = OnLeaderJudgement()
