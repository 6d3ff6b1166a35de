"""Reading many leaders on one day: all six measures, as the bench would read each."""

from contextlib import suppress
from dataclasses import dataclass

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.measure import Measure
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.caster import Caster
from nine_knots.core.judge.remedies.bystanders import on_the_table
from nine_knots.core.judge.turnover import mono_measure
from nine_knots.core.judge.ways import judgement_of
from nine_knots.core.models.cast.minimum_speed import MinimumLaunchSpeed
from nine_knots.core.models.cast.mono import mass_ratio
from nine_knots.core.models.cast.rig import Rig, rig_of
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.cast.wind import STEADY, Gust
from nine_knots.core.models.water.ask import USUAL_ASK
from nine_knots.core.models.ways import way_of
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.leader import Leader
from nine_knots.core.trade.situation import Situation
from nine_knots.core.trade.tackle import line_profile


@dataclass(frozen=True, slots=True)
class Fished:
    """Turnover, then depth and drift as far as the models follow the leader, with the
    minimum launch speed that opens it (None where its fly is thrown, not a line)."""

    minimum: MinimumLaunchSpeed | None
    measures: tuple[Measure, ...]


class DayReader:
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

    def measures(self, leader: Leader, stroke: Stroke) -> tuple[Measure, ...]:
        """All that the bench would say of it: turnover, depth, drift, match, hold, length."""
        fished = self.fished(leader, stroke).measures
        return (*fished, *on_the_table(self.design(leader), self.angler))

    def turnover(
        self, leader: Leader, stroke: Stroke, near: MinimumLaunchSpeed | None = None
    ) -> tuple[MinimumLaunchSpeed | None, Measure]:
        """The minimum launch speed that opens it, None where its fly is thrown and not a line, and
        the turnover cord; CannotCompute where the cast model refuses."""
        ratio = mass_ratio(leader, self.day.fly)
        if ratio is not None:
            return None, mono_measure(ratio)
        design = self.design(leader)
        minimum = self._caster.minimum(design, stroke, near)
        return minimum, self._caster.turnover(design, stroke, minimum)

    def fished(
        self, leader: Leader, stroke: Stroke, near: MinimumLaunchSpeed | None = None
    ) -> Fished:
        """Cast it and fish it; CannotCompute where the cast model refuses."""
        minimum, turnover = self.turnover(leader, stroke, near)
        return Fished(minimum, (turnover, *self._in_the_water(leader, stroke, minimum)))

    def _in_the_water(
        self, leader: Leader, stroke: Stroke, minimum: MinimumLaunchSpeed | None
    ) -> tuple[Measure, ...]:
        design, ask = self.design(leader), USUAL_ASK
        judgement = judgement_of(way_of(design))
        if judgement.by_slack and minimum is not None:
            slack_m = self._caster.slack_m(design, stroke, minimum)
            ask = ask.model_copy(update={"slack_m": slack_m})
        found: list[Measure] = []
        with suppress(CannotCompute):
            found += judgement.measures(design, ask, self.angler.units)
        return tuple(found)
