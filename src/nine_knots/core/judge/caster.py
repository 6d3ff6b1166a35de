"""Casting one design after another for an angler, and saying how each turns over."""

from nine_knots.core.base.measure import Measure
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.turnover import Thrown, eased, turnover_measure, wanted
from nine_knots.core.models.cast.quick_caster import QuickCaster
from nine_knots.core.models.cast.reserve import Least
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.cast.wind import Gust, air_of
from nine_knots.core.physics.flight import OPEN
from nine_knots.core.trade.design import Design


class Caster:
    """Casts what is tried; each begins at what was good for the one before, or for one that is
    named. CannotCompute where the cast model refuses."""

    def __init__(self, angler: Angler, gust: Gust) -> None:
        self._units, self._own, self._gust = angler.units, angler.cast, gust
        self._caster = QuickCaster()

    def least(self, design: Design, stroke: Stroke, near: Least | None = None) -> Least:
        """The least launch speed that opens it."""
        day = design.situation
        air = air_of(day.wind, self._gust)
        return self._caster.least(design.leader, day.line, day.fly, stroke, air, near)

    def lacks(self, design: Design, stroke: Stroke) -> float:
        """What the leader lacks of opening as is wanted here, of its length, where the stroke is
        not enough; 0 where it is. Much sooner known than the least speed."""
        day = design.situation
        air = air_of(day.wind, self._gust)
        speed = stroke.speed_m_s / wanted(design.leader, day, self._own)[0]
        opens = self._caster.forward(design.leader, day.line, day.fly, stroke, air, speed)
        return max(0.0, OPEN - opens)

    def turnover(self, design: Design, stroke: Stroke, least: Least) -> Measure:
        """The turnover cord of a leader whose least speed is known."""
        thrown = Thrown(least, stroke)
        return turnover_measure(thrown, design.leader, design.situation, self._units, self._own)

    def slack_m(self, design: Design, stroke: Stroke, least: Least) -> float:
        """Slack in metres in which it lands, thrown as a caster would."""
        day = design.situation
        softer, air = eased(least, stroke, day), air_of(day.wind, self._gust)
        flight = self._caster.cast(design.leader, day.line, day.fly, softer, air)
        return max(0.0, flight.slack_m)
