"""A leader longer or shorter than most tie here: a drawback, and no fault, for schools disagree."""

from dataclasses import dataclass

from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_water import beyond_most, span_by_water

HARDLY = 0.1  # doublings, up to which it makes no difference


@dataclass(frozen=True, slots=True)
class UnusualLength:
    """Whether it is longer than most use (else shorter), and theirs in metres."""

    longer: bool
    low_m: float
    high_m: float


def unusual_length(length_m: float, day: Situation) -> UnusualLength | None:
    """How a length differs from what most use here; None where it is about as long."""
    beyond = beyond_most(length_m, day)
    if abs(beyond) < HARDLY:
        return None
    span = span_by_water(day)
    return UnusualLength(beyond > 0.0, span.low_m, span.high_m)
