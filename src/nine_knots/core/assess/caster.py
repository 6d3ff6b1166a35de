"""Casting one design after another for an angler, and saying how each turns over."""

from dataclasses import dataclass

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.turnover import (
    CastResult,
    eased_stroke,
    turnover_score,
    wanted_margin_band,
)
from nine_knots.core.base.score import Score
from nine_knots.core.casting.landing import expected_aim, landing_of, rough_slack_m
from nine_knots.core.casting.minimum_speed import MinimumLaunchSpeed
from nine_knots.core.casting.opening import OPENS, SPEED_STEP
from nine_knots.core.casting.quick_caster import QuickCaster
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import Gust, air_of
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.tackle import line_profile


@dataclass(frozen=True, slots=True)
class LandedSlack:
    """Slack in metres in which a leader lands, and how many degrees the aim it was thrown at is
    above the one expected by the margin."""

    slack_m: float
    aim_off_deg: int


class Caster:
    """Casts what is tried; each begins at what was good for the one before, or for one that is
    named. CannotCompute where the cast model refuses."""

    def __init__(self, angler: Angler, gust: Gust) -> None:
        self._own, self._gust = angler.cast, gust
        self._caster = QuickCaster()

    def minimum(
        self, design: Design, stroke: Stroke, near: MinimumLaunchSpeed | None = None
    ) -> MinimumLaunchSpeed:
        """The minimum launch speed that opens it."""
        day = design.situation
        air = air_of(day.wind, self._gust)
        return self._caster.minimum(design.leader, day.line, day.fly, stroke, air, near)

    def rough(self, design: Design, stroke: Stroke, near: MinimumLaunchSpeed) -> MinimumLaunchSpeed:
        """About the minimum launch speed that opens it, from that of a like leader."""
        day = design.situation
        air, fastest = air_of(day.wind, self._gust), self._fastest_m_s(design, stroke)
        return self._caster.rough(design.leader, day.line, day.fly, stroke, air, near, fastest)

    def fails(self, design: Design, stroke: Stroke, minimum: MinimumLaunchSpeed) -> bool:
        """Whether a minimum, even a rough one, is beyond what the stroke opens as is wanted."""
        speed = minimum.speed_m_s
        return speed is None or speed >= SPEED_STEP * self._fastest_m_s(design, stroke)

    def _fastest_m_s(self, design: Design, stroke: Stroke) -> float:
        """The greatest minimum launch speed that leaves the stroke the margin wanted."""
        low, _ = wanted_margin_band(design.leader, design.situation, self._own)
        return stroke.speed_m_s / low

    def lacks(self, design: Design, stroke: Stroke) -> float:
        """What the leader lacks of opening as is wanted here, of its length, where the stroke is
        not enough; 0 where it is. Much sooner known than the minimum launch speed."""
        day = design.situation
        air = air_of(day.wind, self._gust)
        speed = self._fastest_m_s(design, stroke)
        opens = self._caster.opening(design.leader, day.line, day.fly, stroke, air, speed)
        return max(0.0, OPENS - opens)

    def turnover(self, design: Design, stroke: Stroke, minimum: MinimumLaunchSpeed) -> Score:
        """The turnover score of a leader whose minimum launch speed is known."""
        result = CastResult(minimum, stroke)
        return turnover_score(result, design.leader, design.situation, self._own)

    def slack(
        self,
        design: Design,
        stroke: Stroke,
        minimum: MinimumLaunchSpeed,
        like: LandedSlack | None = None,
    ) -> LandedSlack:
        """The slack in which it lands, thrown as a caster would; roughly, from that of one
        ``like`` it."""
        day = design.situation
        softer, air = eased_stroke(minimum, stroke, day), air_of(day.wind, self._gust)
        thrown = (design.leader, line_profile(day.line), day.fly, softer, air)
        expected = expected_aim(minimum.margin(softer))
        if like is not None:
            slack_m = rough_slack_m(*thrown, expected + like.aim_off_deg)
            return LandedSlack(slack_m, like.aim_off_deg)
        found = landing_of(*thrown, minimum)
        return LandedSlack(found.slack_m, found.aim_deg - expected)
