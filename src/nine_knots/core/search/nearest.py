"""Where nothing does all that is asked: what comes nearest, and which demand must give how much."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from nine_knots.core.search.evaluated import Evaluated

Demand = Literal["opens", "holds", "fishes", "knots", "length"]
DEMANDS: tuple[Demand, ...] = ("opens", "holds", "fishes", "knots", "length")


@dataclass(frozen=True, slots=True)
class BindingDemand:
    """A demand that alone is in the way of a leader, which falls short of it by the least."""

    demand: Demand
    one: Evaluated


@dataclass(frozen=True, slots=True)
class Nearest:
    """The leader nearest to all demands, those it misses, and which single demand could give,
    what gives least first."""

    one: Evaluated
    misses: tuple[Demand, ...]
    gives: tuple[BindingDemand, ...]


def nearest_of(found: Sequence[Evaluated]) -> Nearest | None:
    """The nearest of leaders of which none serves, of those that were cast exactly where any was;
    None where nothing was tried."""
    if not found:
        return None
    exact = [other for other in found if not other.rough]
    one = min(exact or found, key=lambda other: other.falls_short)
    gives = []
    for demand in DEMANDS:
        alone = [
            other
            for other in found
            if other.short[demand] and other.falls_short == other.short[demand]
        ]
        if alone:
            gives.append(BindingDemand(demand, min(alone, key=lambda other: other.short[demand])))
    gives.sort(key=lambda give: give.one.falls_short)
    return Nearest(one, tuple(d for d in DEMANDS if one.short[d]), tuple(gives))
