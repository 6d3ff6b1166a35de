"""What if: another wind along the cast, a harder or softer stroke, another fly; the leader as it
is."""

from dataclasses import dataclass

from pydantic import Field

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.assessor import Assessor
from nine_knots.core.base.prose import capitalised
from nine_knots.core.base.values import Frozen
from nine_knots.core.casting.stroke import FASTEST_M_S, SLOWEST_M_S, Stroke
from nine_knots.core.casting.wind import STEADY, Gust, air_of
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.situation import Wind
from nine_knots.core.domain.tackle import Fly
from nine_knots.words.scores.reading import ScoreReading, score_reading
from nine_knots.words.scores.turnover import stroke_words

STILL_M_S = 0.25


class Supposition(Frozen):
    """What is supposed: a wind along the cast in m/s, in the face positive (None: as it is), the
    stroke times as hard, another fly."""

    head_wind_m_s: float | None = Field(default=None, ge=-15.0, le=15.0)
    times: float = Field(default=1.0, ge=0.4, le=2.5)
    fly: Fly | None = None


@dataclass(frozen=True, slots=True)
class WhatIf:
    """What was supposed, in words, and the turnover it comes to; ``head_wind_m_s`` as it stands,
    to set a slider by."""

    wind: str
    stroke: str
    head_wind_m_s: float
    turnover: ScoreReading


def what_if(
    design: Design, stroke: Stroke, angler: Angler, supposed: Supposition, gust: Gust = STEADY
) -> WhatIf:
    """The turnover under what is supposed; CannotCompute where the cast model refuses."""
    day, units = design.situation, angler.units
    head_m_s = -air_of(day.wind).wind_m_s
    if supposed.head_wind_m_s is not None:
        head_m_s = supposed.head_wind_m_s
        bearing = "in the face" if head_m_s >= 0.0 else "behind"
        wind = Wind.model_validate({"speed_m_s": abs(head_m_s), "bearing": bearing})
        day = day.model_copy(update={"wind": wind})
    day = day.model_copy(update={"fly": supposed.fly or day.fly})
    speed = min(FASTEST_M_S, max(SLOWEST_M_S, supposed.times * stroke.speed_m_s))
    thrown = stroke.model_copy(update={"speed_m_s": speed})
    turnover = Assessor(day, angler, gust).turnover(design.leader, thrown)
    return WhatIf(
        wind=_wind_words(head_m_s, units.wind(abs(head_m_s)).text),
        stroke=f"{capitalised(stroke_words(speed, angler.cast))}, {units.about_speed(speed)}",
        head_wind_m_s=head_m_s,
        turnover=score_reading(turnover, units),
    )


def _wind_words(head_m_s: float, speed: str) -> str:
    if abs(head_m_s) < STILL_M_S:
        return "No wind along the cast"
    return f"{speed} {'in the face' if head_m_s > 0.0 else 'from behind'}"
