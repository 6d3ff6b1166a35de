"""Demands that no search could meet, known before one begins."""

from collections.abc import Iterator
from dataclasses import dataclass

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.verdict import lasting_m, lasts_in_mouth
from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.domain.label_sizes import sold_label_n, usual_label_n
from nine_knots.core.domain.need import need_of
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.strand import Packet, Spool, packets_of, spools_of
from nine_knots.core.propose.spools import SPARE_M
from nine_knots.core.search.demands import Demands

SHORTEST_M = FOOT_M


@dataclass(frozen=True, slots=True)
class EmptyShelf:
    """Nothing is owned to tie a leader of."""


@dataclass(frozen=True, slots=True)
class TooWeak:
    """The strongest that is owned breaks, without a knot, under what the fish may ask, in N."""

    title: str
    breaks_n: float
    need_n: float


@dataclass(frozen=True, slots=True)
class NoBite:
    """Nothing that is owned lasts in the mouth of the fish; mono of so many newtons would."""

    label_n: float


@dataclass(frozen=True, slots=True)
class TooManyFlies:
    """More flies are asked for than the water's rules allow."""

    asked: int
    allowed: int


@dataclass(frozen=True, slots=True)
class TooShort:
    """Shorter, in m, than any leader."""

    longest_m: float


@dataclass(frozen=True, slots=True)
class TooLong:
    """Longer, in m, than all that is left on the spools makes."""

    asked_m: float
    owned_m: float


Infeasible = EmptyShelf | TooWeak | NoBite | TooManyFlies | TooShort | TooLong


def infeasible_demands(day: Situation, angler: Angler, demands: Demands) -> tuple[Infeasible, ...]:
    """Each demand that cannot be met with this shelf; none where a search may."""
    return tuple(_found(demands.day(day), angler, demands))


def _found(day: Situation, angler: Angler, demands: Demands) -> Iterator[Infeasible]:
    spools = [spool for spool in spools_of(angler.stock) if spool.remaining_m > 0.0]
    tapers = [] if demands.bought == "none" else packets_of(angler.stock)
    if not spools and not tapers:
        yield EmptyShelf()
        return
    need_n = need_of(day).most_n
    breaks_n, title = _strongest(spools, tapers)
    if breaks_n < need_n:
        yield TooWeak(title, breaks_n, need_n)
    ends = [lasts_in_mouth(spool.strand, spool.strand.diameter_m, day) for spool in spools]
    ends += [
        lasts_in_mouth(packet.strand, packet.strand.profile.tip_diameter_m, day)
        for packet in tapers
    ]
    if not any(ends):
        yield NoBite(sold_label_n(usual_label_n(lasting_m(day)), at_least=True))
    allowed = day.water.rules.most_flies
    if demands.flies is not None and allowed is not None and demands.flies > allowed:
        yield TooManyFlies(demands.flies, allowed)
    low, high = demands.shortest_m, demands.longest_m
    if high is not None and high < SHORTEST_M:
        yield TooShort(high)
    owned_m = sum(max(0.0, spool.remaining_m - SPARE_M) for spool in spools)
    owned_m += max((packet.strand.profile.length_m for packet in tapers), default=0.0)
    if low is not None and low > owned_m:
        yield TooLong(low, owned_m)


def _strongest(spools: list[Spool], tapers: list[Packet]) -> tuple[float, str]:
    """The strongest that is owned, in N, and what it is called."""
    found = [(spool.strand.breaking_n, spool.title) for spool in spools]
    found += [
        (packet.strand.breaking_at_n(packet.strand.profile.butt_diameter_m), packet.title)
        for packet in tapers
    ]
    return max(found)
