"""Which spool for which planned piece: the chain that comes nearest to what the rule wants.

A shortest path over (piece, spool): a spool costs what it misses in label, diameter or stiffness
and in material; a step costs where it goes flat or leaps; thicker or stronger below thinner or
weaker is not allowed but for a bite piece, nor is wire for mono.
"""

from collections.abc import Iterable
from dataclasses import dataclass
from math import inf, log

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.judge.match import soft_below
from nine_knots.core.trade.materials import MATERIALS
from nine_knots.core.trade.schools.school import Plan, PlannedPiece
from nine_knots.core.trade.strand import Spool, Stock

SPARE_M = 0.25  # what a piece's two knots take of a spool
FLAT_COST, LEAP_COST, HINGE_COST, FAMILY_COST = 5.0, 1.0, 40.0, 1.5
UNWANTED_COST, BOUND_COST, RANK_COST = 5.0, 400.0, 0.5
TWICE_COST = 7.0  # one spool knotted to itself
WEAKER_COST = 100.0  # than a trace may be
SUITED = 10  # spools that are tried for a piece, those that suit it best
LABEL_STEP = 0.14  # of the logarithm of a label, as far off as a thousandth of an inch
TIPPET_WEIGHT = 30.0  # what was advised or asked is had, where it is there
SAME_M, NEARLY_M = 0.3 * THOU_M, 0.6 * THOU_M


@dataclass(frozen=True, slots=True)
class Chosen:
    """A spool for each planned piece, and how far all of it is from what was wanted."""

    spools: tuple[Spool, ...]
    cost: float


def choose_spools(plan: Plan, stock: tuple[Stock, ...]) -> Chosen:
    """A spool for each planned piece; CannotCompute where the shelf has no such chain.

    A spool that would run out over several pieces is left for another.
    """
    if not plan.pieces:
        return Chosen((), 0.0)
    spools = [item for item in stock if isinstance(item, Spool)]
    while True:
        chain, cost = _cheapest(plan, spools)
        if not chain:
            raise CannotCompute(
                "The shelf has no set of spools from which this leader could be tied.",
                where="spools",
                mend=_what_lacks(plan, spools),
            )
        lengths = (planned.length_m for planned in plan.pieces)
        need = needed_m(zip((spool.spool_id for spool in chain), lengths, strict=True))
        short = [s for s in spools if need.get(s.spool_id, 0.0) > s.remaining_m]
        if not short:
            return Chosen(tuple(chain), cost)
        spools = [s for s in spools if s not in short]


def needed_m(pieces: Iterable[tuple[str, float]]) -> dict[str, float]:
    """What pieces take of each spool, in metres with what their knots use, out of their spools and
    lengths."""
    need: dict[str, float] = {}
    for spool_id, length_m in pieces:
        need[spool_id] = need.get(spool_id, 0.0) + length_m + SPARE_M
    return need


def _what_lacks(plan: Plan, spools: list[Spool]) -> str:
    for planned in plan.pieces:
        family = MATERIALS[planned.prefer[0]].family
        held = [spool for spool in spools if spool.strand.substance.family == family]
        if family == "wire" and not held:
            return f"Add a spool of {MATERIALS[planned.prefer[0]].title} first."
        if held and all(one.remaining_m < planned.length_m + SPARE_M for one in held):
            return "What is left on the spools is too short for its pieces: add a fuller one."
    return "Add spools of nylon or fluorocarbon from butt to tippet, or ask for a shorter leader."


def miss_of(planned: PlannedPiece, spool: Spool) -> float:
    """How far a spool is from the label, stiffness or diameter wanted, in thousandths of an inch;
    negative where it is weaker or thinner."""
    strand = spool.strand
    if planned.strength_n is not None:
        return log(strand.breaking_n / planned.strength_n) / LABEL_STEP
    if planned.bend_nm2 is not None:
        # stiffness goes as d⁴: a fourth of its logarithm is that of the diameter
        off = log(strand.bend_nm2(strand.diameter_m) / planned.bend_nm2) / 4.0
        return off * planned.diameter_m / THOU_M
    return (strand.diameter_m - planned.diameter_m) / THOU_M


def cost_of(planned: PlannedPiece, spool: Spool) -> float:
    """What it costs to take a spool for a piece, whatever is left on it."""
    strand = spool.strand
    wire = strand.substance.family == "wire"
    wanted = any(MATERIALS[key].family == "wire" for key in planned.prefer)
    if wire != wanted or strand.substance.family == "braid":
        return inf
    coloured = strand.colour == "sighter"
    if coloured and planned.role != "sighter":
        return inf
    miss = miss_of(planned, spool)
    weight = TIPPET_WEIGHT if planned.role == "tippet" else 1.0
    cost = weight * miss**2
    if planned.floor and miss < -0.5:
        cost += WEAKER_COST
    if strand.material in planned.prefer:
        cost += RANK_COST * planned.prefer.index(strand.material)
    else:
        cost += BOUND_COST if planned.bound else UNWANTED_COST
    return cost + (BOUND_COST if planned.role == "sighter" and not coloured else 0.0)


def _own_cost(planned: PlannedPiece, spool: Spool) -> float:
    if spool.remaining_m < planned.length_m + SPARE_M:
        return inf
    return cost_of(planned, spool)


def _step_cost(
    above: Spool, below: Spool, upper: PlannedPiece, lower: PlannedPiece, parted: bool
) -> float:
    if lower.role == "bite":
        return 0.0  # thick or stiff for teeth, not for the cast
    step_m = above.strand.diameter_m - below.strand.diameter_m
    stronger = below.strand.breaking_n > 1.02 * above.strand.breaking_n
    by_label = upper.strength_n is not None and lower.strength_n is not None
    thicker = NEARLY_M if by_label and not stronger else 1e-9  # as estimated from two labels
    if step_m < -thicker and not parted:
        return inf
    if by_label and stronger:
        return inf
    if above.strand.substance.family != below.strand.substance.family and not parted:
        return FAMILY_COST
    wanted_m = upper.diameter_m - lower.diameter_m
    if above.spool_id == below.spool_id and (wanted_m > SAME_M or by_label):
        return TWICE_COST
    if parted:
        return 0.0
    soft, stiff = (s.strand.bend_nm2(s.strand.diameter_m) for s in (below, above))
    hinge = max(0.0, log(soft_below(above.strand.diameter_m) * stiff / soft))
    cost = HINGE_COST * hinge
    if by_label:
        return cost
    if wanted_m > SAME_M and step_m < 0.2 * THOU_M:
        cost += FLAT_COST
    if wanted_m <= SAME_M and above.spool_id != below.spool_id and lower.role == "tippet":
        cost += FLAT_COST  # one tippet throughout
    cost += LEAP_COST * max(0.0, (step_m - max(wanted_m, 3.0 * THOU_M)) / THOU_M)
    return cost


def _cheapest(plan: Plan, spools: list[Spool]) -> tuple[list[Spool], float]:
    """The cheapest chain of spools, one a piece, and its cost; nothing where no chain exists.

    Sought first among those that suit each piece best, and among all where these make no chain.
    """
    own = [
        sorted(
            ((_own_cost(planned, spool), spool) for spool in spools),
            key=lambda one: (one[0], one[1].spool_id),
        )
        for planned in plan.pieces
    ]
    own = [[one for one in row if one[0] < inf] for row in own]
    found = _shortest(plan, [row[:SUITED] for row in own])
    if found is None and any(len(row) > SUITED for row in own):
        found = _shortest(plan, own)
    return found or ([], inf)


def _shortest(plan: Plan, own: list[list[tuple[float, Spool]]]) -> tuple[list[Spool], float] | None:
    """The shortest path over each piece's spools, given with what each costs by itself."""
    # joints are numbered from the line
    parted = {number - plan.above for number in (*plan.rings, *plan.swivels)}
    paths = [(cost, [spool]) for cost, spool in own[0]]  # the cheapest first
    for number, planned in enumerate(plan.pieces[1:], start=1):
        before, ring = plan.pieces[number - 1], number in parted
        longer = []
        for cost, spool in own[number]:
            so_far, best = inf, []
            for done, chain in paths:
                if done >= so_far:
                    break  # no step makes a chain cheaper
                through = done + _step_cost(chain[-1], spool, before, planned, ring)
                if through < so_far:
                    so_far, best = through, chain
            if so_far < inf:
                longer.append((so_far + cost, [*best, spool]))
        paths = sorted(longer, key=lambda one: one[0])
    if not paths:
        return None
    cost, chain = paths[0]
    return chain, cost
