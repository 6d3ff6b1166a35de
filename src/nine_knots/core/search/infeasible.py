"""Demands that no search could meet, told before one begins."""

from collections.abc import Iterator

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.prose import count_words
from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.domain.need import need_of
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.strand import Packet, Spool, packets_of, spools_of
from nine_knots.core.propose.spools import SPARE_M
from nine_knots.core.search.demands import Demands

SHORTEST_M = FOOT_M


def infeasible_demands(day: Situation, angler: Angler, demands: Demands) -> tuple[str, ...]:
    """Each demand that cannot be met with this shelf, in a sentence; none where a search may."""
    return tuple(_reasons(demands.day(day), angler, demands))


def _reasons(day: Situation, angler: Angler, demands: Demands) -> Iterator[str]:
    units = angler.units
    spools = [spool for spool in spools_of(angler.stock) if spool.remaining_m > 0.0]
    tapers = [] if demands.bought == "none" else packets_of(angler.stock)
    if not spools and not tapers:
        yield (
            "There is nothing on the shelf to tie it of: add spools, or a bought taper, under "
            "Spools."
        )
        return
    yield from _too_weak(day, spools, tapers, units)
    allowed = day.water.rules.most_flies
    if demands.flies is not None and allowed is not None and demands.flies > allowed:
        yield (
            f"Your rules for this water allow {count_words(allowed, 'fly', 'flies')}; "
            f"you ask for {demands.flies}."
        )
    low, high = demands.shortest_m, demands.longest_m
    if high is not None and high < SHORTEST_M:
        yield f"At {units.length(high).text} it is too short for a leader: allow at least a foot."
    owned_m = sum(max(0.0, spool.remaining_m - SPARE_M) for spool in spools)
    owned_m += max((packet.strand.profile.length_m for packet in tapers), default=0.0)
    if low is not None and low > owned_m:
        yield (
            f"All that is left on your spools makes {units.length(owned_m).text}; you ask for "
            f"{units.length(low).text}."
        )


def _too_weak(
    day: Situation, spools: list[Spool], tapers: list[Packet], units: Units
) -> Iterator[str]:
    """Where the strongest spool, tied as well as may be, breaks under what the fish may ask."""
    need_n = need_of(day).most_n
    strongest = [(spool.strand.breaking_n, spool.title) for spool in spools]
    strongest += [
        (packet.strand.breaking_at_n(packet.strand.profile.butt_diameter_m), packet.title)
        for packet in tapers
    ]
    most_n, title = max(strongest)
    if most_n < need_n:
        yield (
            f"A {day.quarry.fish.title} of {units.fish_mass(day.quarry.mass_kg).text} may ask "
            f"{units.load(need_n).text} in {day.water.snags} water; your strongest, {title}, "
            f"breaks at {units.load(most_n).text} without a knot in it."
        )
