"""Judged on the leader alone."""

from nine_knots.core.assess.water.floated import FloatedAssessment
from nine_knots.core.techniques.on_leader import GREASED, ON_LEADER
from nine_knots.core.water.time_in_zone import FishedRig


class OnLeaderAssessment(FloatedAssessment):
    """The line's tip floats it, and is drawn under by much."""

    way = ON_LEADER
    floated_by = "line's tip"

    def what_floats(self, fished: FishedRig) -> str:
        """The greased leader, where it is greased."""
        return "greased leader" if fished.fishing.floats is GREASED else self.floated_by


JUDGEMENT = OnLeaderAssessment()
