"""What the shelf lacks for a leader: each miss by what it is, with what comes nearest."""

from math import log

from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.label_sizes import sold_label_n
from nine_knots.core.domain.materials import MATERIALS, Material
from nine_knots.core.domain.strand import Packet
from nine_knots.core.mechanics.section import diameter_of_bend_stiffness_m
from nine_knots.core.propose.spool_index import IndexedSpool
from nine_knots.core.propose.spools import LABEL_STEP, WantedSection
from nine_knots.core.schools.school import PlannedSection

NEAR, NEAR_TIPPET = 1.6, 0.6  # thousandths: further from what was wanted is named
A_STEP = 1.2  # times as thick, from which two pieces taper
FAR = 1.6  # times as thick or thin as was wanted
FAR_BASE = 1.3  # the same of mono cast as a line, which the fly has to pull
WEAKER_BY = 0.13  # of the logarithm of a label, from which a weaker one is named
NEAR_LENGTH = 0.25  # of a bought taper's length, within which it is as wanted
SHORTER = 2.0  # what is left is named where the spool passed over costs so much less


class WantedStrand(Frozen):
    """Stuff of a thickness in m, or of a strength in N where it goes by its label (so much ``or
    more``); a tippet's thickness has an X. ``sold`` where it is a size that shops have."""

    material: str
    across_m: float | None = None
    strength_n: float | None = None
    or_more: bool = False
    tippet: bool = False
    sold: bool = False


class WantedSighter(Frozen):
    """Two-colour sighter of about a thickness, in m."""

    across_m: float


class WantedMore(Frozen):
    """So much of a spool, in m, that has less left."""

    title: str
    length_m: float
    left_m: float


class WantedTaper(Frozen):
    """A knotless taper of a length or to a tip, in m, as far as each matters."""

    length_m: float | None = None
    tip_m: float | None = None


class WantedTwo(Frozen):
    """Two pieces that were to differ, each by its label in N or its thickness in m."""

    first: WantedStrand | WantedSighter
    second: WantedStrand | WantedSighter


class WantedFly(Frozen):
    """A fly that a rig hangs above the point, by its title."""

    title: str


Wanted = WantedStrand | WantedSighter | WantedMore | WantedTaper | WantedTwo | WantedFly


class Nearest(Frozen):
    """What is taken for it, and the figure in which it differs: thickness, strength (and by how
    much it is weaker, in N), the length of a taper that is left, or its tip."""

    title: str
    across_m: float | None = None
    strength_n: float | None = None
    weaker_n: float = 0.0
    length_m: float | None = None
    tip_m: float | None = None


class Shortage(Frozen):
    """A spool that the shelf lacks for a piece, and what was taken for it; ``merged`` where one
    serves for two pieces that were to differ, ``far`` where it is no stand-in but another leader.
    """

    piece: int
    wanted: Wanted
    nearest: Nearest
    merged: bool = False
    far: bool = False


def shortages_of(
    index: int, planned: PlannedSection, taken: IndexedSpool, shelf: tuple[IndexedSpool, ...]
) -> tuple[Shortage, ...]:
    """What is amiss with the spool taken for a piece: nothing, or the gravest."""
    wanted = WantedSection(planned)
    emptier = _emptier(wanted, taken, shelf)
    if emptier is not None:
        return (Shortage(piece=index, wanted=emptier, nearest=Nearest(title=taken.spool.title)),)
    right_kind = taken.material in planned.prefer
    material = MATERIALS[taken.material if right_kind else planned.prefer[0]]
    colour = planned.role == "sighter" and not taken.sighter
    if right_kind and not colour and not _misses(wanted, taken):
        return ()
    if any(_serves(wanted, other) for other in shelf):
        return ()  # what was wanted is owned: the chain steps better with another
    lacks: Wanted = _lacks(planned, taken, material)
    if colour:
        lacks = WantedSighter(across_m=planned.diameter_m)
    far = _is_far(planned, taken)
    return (Shortage(piece=index, wanted=lacks, nearest=_nearest(planned, taken), far=far),)


def far_shortage(
    index: int, planned: tuple[PlannedSection, ...], taken: IndexedSpool, alone: bool
) -> Shortage | None:
    """What lacks where one spool makes one piece of several that were to taper: the size that it
    is furthest from. None where they were to differ by less than a leap, or, where that piece is
    the whole leader (``alone``), by less than a step."""
    sizes = [section.diameter_m for section in planned]
    if max(sizes) < (A_STEP if alone else FAR) * min(sizes):
        return None
    worst = max(planned, key=lambda section: abs(log(taken.across_m / section.diameter_m)))
    material = MATERIALS[worst.prefer[0]]
    lacks = _lacks(worst, taken, material)
    return Shortage(piece=index, wanted=lacks, nearest=_nearest(worst, taken), far=True)


def _serves(wanted: WantedSection, other: IndexedSpool) -> bool:
    """Whether a spool is what was wanted, with enough left."""
    planned = wanted.planned
    kind = wanted.kind.takes(other) and other.material in planned.prefer
    colour = planned.role == "sighter" and not other.sighter
    enough = other.left_m >= wanted.least_m
    return kind and not colour and enough and not _misses(wanted, other)


def _is_far(planned: PlannedSection, taken: IndexedSpool) -> bool:
    wanted_m, wanted_n = planned.diameter_m, planned.strength_n
    off = log(taken.across_m / wanted_m)
    if wanted_n is not None:
        off = 0.5 * log(taken.breaking_n / wanted_n)
        off = min(off, 0.0) if planned.floor else off
    return abs(off) > log(FAR_BASE if planned.base else FAR)


def _misses(wanted: WantedSection, taken: IndexedSpool) -> bool:
    planned, miss = wanted.planned, wanted.miss(taken)
    if planned.strength_n is None:
        return abs(miss) > (NEAR_TIPPET if planned.role == "tippet" else NEAR)
    if planned.floor:
        return miss < -WEAKER_BY / LABEL_STEP
    return abs(miss) > (1.0 if planned.role == "tippet" else NEAR)


def _lacks(planned: PlannedSection, taken: IndexedSpool, material: Material) -> WantedStrand:
    tippet = planned.role == "tippet"
    if planned.strength_n is not None:
        by_shops = material.family != "wire"  # of which every size is had
        label_n = planned.strength_n
        return WantedStrand(
            material=material.title,
            strength_n=sold_label_n(label_n, planned.floor) if by_shops else label_n,
            or_more=planned.floor,
            tippet=tippet,
        )
    wanted_m = planned.diameter_m
    if planned.bend_nm2 is not None:
        strand = taken.spool.strand
        same = material is strand.substance
        modulus = strand.stiffness_pa if same else material.wet_modulus_pa
        wanted_m = diameter_of_bend_stiffness_m(planned.bend_nm2, modulus)
    return WantedStrand(material=material.title, across_m=wanted_m, tippet=tippet)


def _nearest(planned: PlannedSection, taken: IndexedSpool) -> Nearest:
    """How far off it is, in the figure that was wanted."""
    title, breaks_n = taken.spool.title, taken.breaking_n
    if planned.strength_n is None:
        return Nearest(title=title, across_m=taken.across_m)
    weaker = log(breaks_n / planned.strength_n) < -WEAKER_BY
    weaker_n = planned.strength_n - breaks_n if weaker else 0.0
    return Nearest(title=title, strength_n=breaks_n, weaker_n=weaker_n)


def _emptier(
    wanted: WantedSection, taken: IndexedSpool, shelf: tuple[IndexedSpool, ...]
) -> WantedMore | None:
    """A better spool that was passed over because too little is left on it."""
    dear = wanted.cost(taken) - SHORTER
    for other in shelf:
        if other.left_m >= wanted.least_m:
            continue
        if wanted.cost(other) < dear and abs(wanted.miss(other)) < 1.0:
            length_m = wanted.planned.length_m
            return WantedMore(title=other.spool.title, length_m=length_m, left_m=other.left_m)
    return None


def packet_shortages(packet: Packet, wanted_m: float, length_m: float) -> Shortage | None:
    """A taper of another length than was wanted, where it is far from it."""
    if abs(length_m - wanted_m) <= NEAR_LENGTH * wanted_m:
        return None
    nearest = Nearest(title=packet.title, length_m=length_m)
    return Shortage(piece=0, wanted=WantedTaper(length_m=wanted_m), nearest=nearest)


def tip_shortages(packet: Packet, wanted_m: float, tip_m: float) -> Shortage | None:
    """A taper that ends in another thickness than was wanted."""
    if abs(tip_m - wanted_m) <= 1.3 * THOU_M:
        return None
    nearest = Nearest(title=packet.title, tip_m=tip_m)
    return Shortage(piece=0, wanted=WantedTaper(tip_m=wanted_m), nearest=nearest)
