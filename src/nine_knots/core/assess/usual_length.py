"""A leader longer or shorter than most tie here: a drawback, and no fault, for schools disagree."""

from nine_knots.core.base.units import Units
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_water import beyond_most, span_by_water

HARDLY = 0.1  # doublings, up to which no word is lost on it


def longer_or_shorter(length_m: float, day: Situation, units: Units) -> str:
    """``Longer than most tie here, 7 ft to 10 ft.``; nothing where it is about as long as they."""
    beyond = beyond_most(length_m, day)
    if abs(beyond) < HARDLY:
        return ""
    span, how = span_by_water(day), "Longer" if beyond > 0.0 else "Shorter"
    low, high = units.length(span.low_m).text, units.length(span.high_m).text
    return f"{how} than most use here, {low} to {high}."
