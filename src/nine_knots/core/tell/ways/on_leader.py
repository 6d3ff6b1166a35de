"""Told on the leader alone."""

from nine_knots.core.judge.ways.on_leader import JUDGEMENT
from nine_knots.core.models.ways.on_leader import ON_LEADER
from nine_knots.core.tell.water_stage.floated import FloatedTelling


class OnLeaderTelling(FloatedTelling):
    """The load on the line's tip."""

    way, judgement = ON_LEADER, JUDGEMENT
    words = "On the leader, the line's tip drifting with the surface"
    float_title = "The line’s tip"
    by_rule = False


TELLING = OnLeaderTelling()
