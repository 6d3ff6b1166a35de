"""Reading many leaders on one day: all six measures, as the bench would read each."""

from contextlib import suppress
from dataclasses import dataclass

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.caster import Caster, LandedSlack
from nine_knots.core.assess.side_effects import scores_without_cast
from nine_knots.core.assess.turnover import mono_score
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.score import Score
from nine_knots.core.casting.minimum_speed import MinimumLaunchSpeed
from nine_knots.core.casting.mono import mass_ratio
from nine_knots.core.casting.rig import Rig, rig_of
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import STEADY, Gust
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tackle import line_profile
from nine_knots.core.techniques import technique_of
from nine_knots.core.water.question import USUAL_QUESTION


@dataclass(frozen=True, slots=True)
class FishedScores:
    """Turnover, then depth and drift as far as the models follow the leader, with the
    minimum launch speed that opens it (None where its fly is thrown, not a line) and the slack in
    which it lands (None where nothing follows from it)."""

    minimum: MinimumLaunchSpeed | None
    measures: tuple[Score, ...]
    slack: LandedSlack | None = None


class Assessor:
    """Reads leaders for a day."""

    def __init__(self, day: Situation, angler: Angler, gust: Gust = STEADY) -> None:
        self.day, self.angler, self.gust = day, angler, gust
        self._caster = Caster(angler, gust)

    def design(self, leader: Leader, title: str = "Leader") -> Design:
        """The leader with the day."""
        return Design(title=title, situation=self.day, leader=leader)

    def rig(self, leader: Leader, stroke: Stroke) -> Rig:
        """The leader on its line with its fly, as it is cast."""
        return rig_of(leader, line_profile(self.day.line), self.day.fly, stroke.line_out_m)

    def measures(self, leader: Leader, stroke: Stroke) -> tuple[Score, ...]:
        """All that the bench would say of it: turnover, depth, drift, match, hold, length."""
        fished = self.fished(leader, stroke).measures
        return (*fished, *scores_without_cast(self.design(leader), self.angler))

    def turnover(self, leader: Leader, stroke: Stroke) -> Score:
        """The turnover score alone; CannotCompute where the cast model refuses."""
        return self._thrown(leader, stroke, None).measures[0]

    def fished(
        self, leader: Leader, stroke: Stroke, near: MinimumLaunchSpeed | None = None
    ) -> FishedScores:
        """Cast it and fish it; CannotCompute where the cast model refuses."""
        thrown = self._thrown(leader, stroke, near)
        return self._in_the_water(leader, stroke, thrown, None)

    def roughly_fished(self, leader: Leader, stroke: Stroke, like: FishedScores) -> FishedScores:
        """The same in a fraction of the time, from what a ``like`` leader did."""
        thrown = self._thrown(leader, stroke, like.minimum, rough=True)
        return self._in_the_water(leader, stroke, thrown, like.slack)

    def _thrown(
        self,
        leader: Leader,
        stroke: Stroke,
        near: MinimumLaunchSpeed | None,
        *,
        rough: bool = False,
    ) -> FishedScores:
        ratio = mass_ratio(leader, self.day.fly)
        if ratio is not None:
            return FishedScores(None, (mono_score(ratio),))
        design = self.design(leader)
        if rough and near is not None:
            minimum = self._caster.rough(design, stroke, near)
        else:
            minimum = self._caster.minimum(design, stroke, near)
        return FishedScores(minimum, (self._caster.turnover(design, stroke, minimum),))

    def _in_the_water(
        self, leader: Leader, stroke: Stroke, thrown: FishedScores, like: LandedSlack | None
    ) -> FishedScores:
        design, ask, slack = self.design(leader), USUAL_QUESTION, None
        technique = technique_of(design)
        if technique.by_slack and thrown.minimum is not None:
            if like is not None and self._caster.fails(design, stroke, thrown.minimum):
                slack = like  # how it would lie makes no difference
            else:
                slack = self._caster.slack(design, stroke, thrown.minimum, like)
            ask = ask.model_copy(update={"slack_m": slack.slack_m})
        found = [*thrown.measures]
        with suppress(CannotCompute):
            found += technique.measures(design, ask)
        return FishedScores(thrown.minimum, tuple(found), slack)
