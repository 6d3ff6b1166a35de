"""The wind of the day along the cast, and a gust on top of it."""

from pydantic import Field

from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.situation import Wind
from nine_knots.core.mechanics.air import Air

# The part of a wind that blows along the cast, from behind positive: a caster faces upstream more
# often than down, and a wind across counts for nothing in a vertical plane [G].
ALONG = {"behind": 1.0, "in the face": -1.0, "upstream": 0.5, "downstream": -0.5, "across": 0.0}
GUST_AT_S = 0.3  # after the stop of the rod: the loop is on its way


class Gust(Frozen):
    """A gust along the cast, from behind positive, that comes in while the line unrolls."""

    speed_m_s: float = Field(default=0.0, ge=-20.0, le=20.0)


STEADY = Gust()


def air_of(wind: Wind, gust: Gust = STEADY) -> Air:
    """The wind of the day along the cast, and a gust on top of it."""
    return Air(
        wind_m_s=ALONG[wind.bearing] * wind.speed_m_s,
        gust_m_s=gust.speed_m_s,
        gust_at_s=GUST_AT_S,
    )
