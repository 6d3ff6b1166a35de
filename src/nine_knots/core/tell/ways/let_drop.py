"""Told on the drop."""

from nine_knots.core.judge.ways.let_drop import JUDGEMENT
from nine_knots.core.models.ways.let_drop import LET_DROP
from nine_knots.core.tell.water_stage.telling import FollowedTelling


class LetDropTelling(FollowedTelling):
    """How far it falls and how soon."""

    way, judgement = LET_DROP, JUDGEMENT
    words = "Led in front of the fish and let drop"


TELLING = LetDropTelling()
