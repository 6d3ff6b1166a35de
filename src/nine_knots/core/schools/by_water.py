"""How long a leader the water and the line call for, whatever the school [P]."""

from math import log2

from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.school import Span

SHALLOW_M = 0.6
BIG_FLIES = ("foam", "streamer", "predator")
FAST_SINKING = ("sink-4", "sink-5", "sink-6", "sink-7")


def feet(low: float, usual: float, high: float) -> Span:
    """A span given in feet."""
    return Span(low_m=low * FOOT_M, usual_m=usual * FOOT_M, high_m=high * FOOT_M)


def span_by_water(situation: Situation) -> Span:
    """9 ft is the standard; shorter for small water and sunk lines, longer for wary fish."""
    water, fly = situation.water, situation.fly
    if situation.line.sinking in FAST_SINKING:
        return feet(2.0, 3.5, 5.0)
    if situation.line.sinking != "floating":
        return feet(3.5, 6.0, 8.0)
    shy = situation.quarry.temper == "very wary" or (
        situation.quarry.temper == "wary" and water.clarity == "clear"
    )
    if water.kind == "flats":
        return feet(9.0, 10.5, 13.0)
    if situation.wish == "strip" or fly.kind in BIG_FLIES:
        return feet(8.0, 9.5, 11.0) if shy and water.depth_m < SHALLOW_M else feet(6.0, 7.5, 10.0)
    if water.kind == "pocket water" and water.depth_m <= SHALLOW_M:
        return feet(7.0, 9.0, 10.0) if shy else feet(6.5, 7.5, 9.5)
    if shy and water.kind in ("glide", "lake", "pool"):
        return feet(10.0, 12.0, 16.0)
    return feet(7.5, 9.0, 12.0)


def fished_span(situation: Situation) -> tuple[float, float]:
    """The shortest and the longest leader in m that anybody fishes with this line and fly: for
    information is what most use, these are the edges [P]."""
    if situation.line.sinking in FAST_SINKING:
        low, high = 1.0, 10.0
    elif situation.line.sinking != "floating":
        low, high = 1.5, 12.0
    elif situation.wish == "strip" or situation.fly.kind in BIG_FLIES:
        low, high = 3.0, 16.0
    else:
        low, high = 5.0, 22.0
    return low * FOOT_M, high * FOOT_M


def beyond_most(length_m: float, situation: Situation) -> float:
    """Doublings by which a leader of so many metres is longer than most tie here, below 0 where it
    is shorter.

    Of dry flies, where schools disagree; and of what is longer on a line that sinks, above which a
    fly lags on a long leader [P]. 0 for others, whose schools differ more than waters do.
    """
    span = span_by_water(situation)
    longer = max(0.0, log2(length_m / span.high_m))
    if situation.floats:
        return longer + min(0.0, log2(length_m / span.low_m))
    return longer if situation.line.sinking not in ("floating", "intermediate") else 0.0
