"""What the shelf lacks for a leader: each miss by what it is, with what comes nearest."""

from math import log

from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.materials import MATERIALS, Material
from nine_knots.core.domain.strand import Packet
from nine_knots.core.mechanics.section import diameter_of_bend_stiffness_m
from nine_knots.core.propose.spool_index import IndexedSpool
from nine_knots.core.propose.spools import LABEL_STEP, WantedSection
from nine_knots.core.schools.school import PlannedSection

NEAR, NEAR_TIPPET = 1.6, 0.6  # thousandths: further from what was wanted is named
FAR = 1.6  # times as thick or thin as was wanted
WEAKER_BY = 0.13  # of the logarithm of a label, from which a weaker one is named
SHORTER = 2.0  # what is left is named where the spool passed over costs so much less


class Shortage(Frozen):
    """A spool that the shelf lacks, and what was taken for it; ``merged`` where one serves for
    two pieces that were to differ, ``far`` where it is no stand-in but another leader."""

    piece: int
    wanted: str
    nearest: str
    merged: bool = False
    far: bool = False


def shortages_of(
    index: int,
    planned: PlannedSection,
    taken: IndexedSpool,
    shelf: tuple[IndexedSpool, ...],
    units: Units,
) -> tuple[Shortage, ...]:
    """What is amiss with the spool taken for a piece: nothing, or the gravest."""
    title, wanted = taken.spool.title, WantedSection(planned)
    emptier = _emptier(wanted, taken, shelf, units)
    if emptier is not None:
        return (Shortage(piece=index, wanted=emptier, nearest=title),)
    right_kind = taken.material in planned.prefer
    material = MATERIALS[taken.material if right_kind else planned.prefer[0]]
    colour = planned.role == "sighter" and not taken.sighter
    if right_kind and not colour and not _misses(wanted, taken):
        return ()
    lacks = _words_on(planned, taken, material, units)
    if colour:
        lacks = f"two-colour sighter of about {units.diameter(planned.diameter_m).text}"
    nearest = f"{title}{_by(planned, taken, units)}"
    return (Shortage(piece=index, wanted=lacks, nearest=nearest, far=_is_far(planned, taken)),)


def _is_far(planned: PlannedSection, taken: IndexedSpool) -> bool:
    wanted_m, wanted_n = planned.diameter_m, planned.strength_n
    off = log(taken.across_m / wanted_m)
    if wanted_n is not None:
        off = 0.5 * log(taken.breaking_n / wanted_n)
        off = min(off, 0.0) if planned.floor else off
    return abs(off) > log(FAR)


def _misses(wanted: WantedSection, taken: IndexedSpool) -> bool:
    planned, miss = wanted.planned, wanted.miss(taken)
    if planned.strength_n is None:
        return abs(miss) > (NEAR_TIPPET if planned.role == "tippet" else NEAR)
    if planned.floor:
        return miss < -WEAKER_BY / LABEL_STEP
    return abs(miss) > (1.0 if planned.role == "tippet" else NEAR)


def _words_on(
    planned: PlannedSection, taken: IndexedSpool, material: Material, units: Units
) -> str:
    if planned.strength_n is not None:
        least = " or more" if planned.floor else ""
        return f"{units.label(planned.strength_n).text} {material.title}{least}"
    wanted_m = planned.diameter_m
    if planned.bend_nm2 is not None:
        strand = taken.spool.strand
        same = material is strand.substance
        modulus = strand.stiffness_pa if same else material.wet_modulus_pa
        wanted_m = diameter_of_bend_stiffness_m(planned.bend_nm2, modulus)
    said = units.tippet(wanted_m) if planned.role == "tippet" else units.diameter(wanted_m)
    return f"{material.title} of about {said.text}"


def _by(planned: PlannedSection, taken: IndexedSpool, units: Units) -> str:
    """How far off it is, in the figure that was wanted."""
    if planned.strength_n is None:
        return f" ({units.diameter(taken.across_m).text})"
    if log(taken.breaking_n / planned.strength_n) < -WEAKER_BY:
        weaker = units.label(planned.strength_n - taken.breaking_n).text
        return f" ({units.label(taken.breaking_n).text}: {weaker} weaker)"
    return f" ({units.label(taken.breaking_n).text})"


def _emptier(
    wanted: WantedSection, taken: IndexedSpool, shelf: tuple[IndexedSpool, ...], units: Units
) -> str | None:
    """Words on a better spool that was passed over because too little is left on it."""
    dear = wanted.cost(taken) - SHORTER
    for other in shelf:
        if other.left_m >= wanted.least_m:
            continue
        if wanted.cost(other) < dear and abs(wanted.miss(other)) < 1.0:
            asked, left = units.length(wanted.planned.length_m), units.length(other.left_m)
            return f"{asked.text} of {other.spool.title}, which has {left.text} left"
    return None


def packet_shortages(
    packet: Packet, wanted_m: float, length_m: float, units: Units
) -> Shortage | None:
    """A taper of another length than was wanted, where it is far from it."""
    if abs(length_m - wanted_m) <= 0.15 * wanted_m:
        return None
    return Shortage(
        piece=0,
        wanted=f"a knotless taper of {units.length(wanted_m).text}",
        nearest=f"{packet.title}, {units.length(length_m).text} of it",
    )


def tip_shortages(packet: Packet, wanted_m: float, tip_m: float, units: Units) -> Shortage | None:
    """A taper that ends in another thickness than was wanted."""
    if abs(tip_m - wanted_m) <= 1.3 * THOU_M:
        return None
    return Shortage(
        piece=0,
        wanted=f"a knotless taper to about {units.tippet(wanted_m).text}",
        nearest=f"{packet.title}, which ends at {units.diameter(tip_m).text}",
    )
