"""Told on the leader alone."""

from nine_knots.core.techniques.on_leader import GREASED, ON_LEADER
from nine_knots.core.water.time_in_zone import FishedRig
from nine_knots.words.water.floated import FloatedWords


class OnLeaderWords(FloatedWords):
    """The load on the line's tip."""

    technique = ON_LEADER
    words = "On the leader, the line's tip drifting with the surface"
    float_title = "The line’s tip"

    def floats_as(self, fished: FishedRig) -> str:
        """The greased leader, where it is greased."""
        return "Greased leader" if fished.fishing.floats is GREASED else self.float_title

    by_rule = False


TELLING = OnLeaderWords()
