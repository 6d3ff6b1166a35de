"""Where nothing does all that is asked: what comes nearest, and which demand must give how much."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from nine_knots.core.judge.finding.tried import Tried

Demand = Literal["opens", "holds", "fishes", "knots", "length"]
DEMANDS: tuple[Demand, ...] = ("opens", "holds", "fishes", "knots", "length")


@dataclass(frozen=True, slots=True)
class Gives:
    """A demand that alone is in the way of a leader, which falls short of it by the least."""

    demand: Demand
    one: Tried


@dataclass(frozen=True, slots=True)
class Nearest:
    """The leader nearest to all demands, those it misses, and which single demand could give,
    what gives least first."""

    one: Tried
    misses: tuple[Demand, ...]
    gives: tuple[Gives, ...]


def nearest_of(found: Sequence[Tried]) -> Nearest | None:
    """The nearest of leaders of which none serves; None where nothing was tried."""
    if not found:
        return None
    one = min(found, key=lambda other: other.falls_short)
    gives = []
    for demand in DEMANDS:
        alone = [
            other
            for other in found
            if other.short[demand] and other.falls_short == other.short[demand]
        ]
        if alone:
            gives.append(Gives(demand, min(alone, key=lambda other: other.short[demand])))
    gives.sort(key=lambda give: give.one.falls_short)
    return Nearest(one, tuple(d for d in DEMANDS if one.short[d]), tuple(gives))
