"""Told on the leader alone."""

from nine_knots.core.judge.ways.on_leader import JUDGEMENT
from nine_knots.core.models.water.fished import Fished
from nine_knots.core.models.ways.on_leader import GREASED, ON_LEADER
from nine_knots.core.tell.water_stage.floated import FloatedTelling


class OnLeaderTelling(FloatedTelling):
    """The load on the line's tip."""

    way, judgement = ON_LEADER, JUDGEMENT
    words = "On the leader, the line's tip drifting with the surface"
    float_title = "The line’s tip"

    def floats_as(self, fished: Fished) -> str:
        """The greased leader, where it is greased."""
        return "Greased leader" if fished.fishing.floats is GREASED else self.float_title

    by_rule = False


TELLING = OnLeaderTelling()
