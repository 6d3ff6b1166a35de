"""Which spool for which planned piece: the chain that comes nearest to what the rule wants.

A shortest path over (piece, spool): a spool costs what it misses in label, diameter or stiffness
and in material; a step costs where it goes flat or leaps; thicker or stronger below thinner or
weaker is not allowed but for a bite piece, nor is wire for mono.
"""

from collections.abc import Callable, Iterable
from dataclasses import dataclass
from math import inf, log
from operator import attrgetter, itemgetter

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.materials import MATERIALS
from nine_knots.core.propose.spool_index import IndexedSpool, SpoolIndex, SpoolKind, is_base
from nine_knots.core.schools.school import Plan, PlannedSection

SPARE_M = 0.25  # what a piece's two knots take of a spool
FLAT_COST, LEAP_COST, HINGE_COST, FAMILY_COST = 5.0, 1.0, 40.0, 1.5
OVER_COST, OVER = 40.0, log(1.6)  # of a step in thickness beyond which a spool lies between [P]
UNWANTED_COST, BOUND_COST, RANK_COST = 5.0, 400.0, 0.5
MUCH_WEAKER = 0.8  # of a label
TWICE_COST = 7.0  # one spool knotted to itself
STOUTER_WEIGHT = 0.1  # of a piece that may be stouter than it must be
WEAKER_COST = 100.0  # than a trace may be
SUITED = 10  # spools that are tried for a piece, those that suit it best
LABEL_STEP = 0.14  # of the logarithm of a label, as far off as a thousandth of an inch
TIPPET_WEIGHT = 30.0  # what was advised or asked is had, where it is there
SAME_M, NEARLY_M = 0.3 * THOU_M, 0.6 * THOU_M

_log_breaking, _log_bend, _across_m = map(attrgetter, ("log_breaking", "log_bend", "across_m"))
_cost = itemgetter(0)


@dataclass(frozen=True, slots=True)
class ChosenSpools:
    """A spool for each planned piece, and how far all of it is from what was wanted."""

    spools: tuple[IndexedSpool, ...]
    cost: float


Suiting = list[tuple[float, IndexedSpool]]
"""Spools that would do for a piece at all, each with its cost, the best first."""


class Spools:
    """The spools of a shelf, weighed once for all pieces that are wanted alike."""

    def __init__(self, rack: SpoolIndex) -> None:
        self.held = rack.held
        self._rack = rack
        self._suiting: dict[PlannedSection, Suiting] = {}

    def suiting(self, planned: PlannedSection) -> Suiting:
        """Those with enough left for a piece."""
        found = self._suiting.get(planned)
        if found is None:
            wanted = WantedSection(planned)
            found = self._suiting[planned] = wanted.suiting(self._rack.of_kind(wanted.kind))
        return found

    def least_cost(self, plan: Plan) -> float:
        """What a plan's pieces cost at least, each by itself."""
        return sum(row[0][0] for row in map(self.suiting, plan.pieces) if row)


def choose_spools(plan: Plan, shelf: Spools) -> ChosenSpools:
    """A spool for each planned piece; CannotCompute where the shelf has no such chain.

    A spool that would run out over several pieces is left for another.
    """
    chosen = choose_for_less(plan, shelf, inf)
    assert chosen is not None
    return chosen


def choose_for_less(plan: Plan, shelf: Spools, most: float) -> ChosenSpools | None:
    """The same where it costs less than ``most``, which may be infinite; None where it does not."""
    if not plan.pieces:
        return ChosenSpools((), 0.0)
    own = [shelf.suiting(planned) for planned in plan.pieces]
    spools = list(shelf.held)
    while True:
        chain, cost = _cheapest(plan, own, most)
        if cost >= most and most < inf:
            return None
        if not chain:
            raise CannotCompute(
                "The shelf can't make this leader.",
                where="spools",
                hint=_what_lacks(plan, spools),
            )
        lengths = (planned.length_m for planned in plan.pieces)
        need = needed_m(zip((indexed.spool.spool_id for indexed in chain), lengths, strict=True))
        short = [spool for spool in spools if need.get(spool.spool.spool_id, 0.0) > spool.left_m]
        if not short:
            return ChosenSpools(tuple(chain), cost)
        spools = [spool for spool in spools if spool not in short]
        own = [[weighed for weighed in row if weighed[1] not in short] for row in own]


def needed_m(pieces: Iterable[tuple[str, float]]) -> dict[str, float]:
    """What pieces take of each spool, in metres with what their knots use, out of their spools and
    lengths."""
    need: dict[str, float] = {}
    for spool_id, length_m in pieces:
        need[spool_id] = need.get(spool_id, 0.0) + length_m + SPARE_M
    return need


def _what_lacks(plan: Plan, spools: list[IndexedSpool]) -> str:
    for planned in plan.pieces:
        family = MATERIALS[planned.prefer[0]].family
        like = [spool for spool in spools if spool.family == family]
        if planned.base and not any(map(is_base, spools)):
            return "Add a spool of level mono to cast with: coloured, or at least 60 ft of it."
        if family == "wire" and not like:
            return f"Add a spool of {MATERIALS[planned.prefer[0]].title} first."
        if like and all(indexed.left_m < planned.length_m + SPARE_M for indexed in like):
            return "The spools have too little line left for its pieces: add a fuller one."
    return "Add spools of nylon or fluorocarbon from butt to tippet, or ask for a shorter leader."


class WantedSection:
    """A planned piece as spools are weighed for it; ``least_m`` is what must be left on them."""

    def __init__(self, planned: PlannedSection) -> None:
        self.planned, self.least_m = planned, planned.length_m + SPARE_M
        wire = any(MATERIALS[key].family == "wire" for key in planned.prefer)
        self.kind = SpoolKind(wire, planned.role == "sighter", planned.base)
        self._ranks = {key: RANK_COST * rank for rank, key in enumerate(planned.prefer)}
        self._other = BOUND_COST if planned.bound else UNWANTED_COST
        self._weight = TIPPET_WEIGHT if planned.role == "tippet" else 1.0
        self._floor = planned.floor
        # what is compared of a spool, what it should be, and how much of it is one miss
        self._figure: Callable[[IndexedSpool], float] = _across_m
        self._aim, self._per = planned.diameter_m, THOU_M
        if planned.strength_n is not None:
            self._figure, self._aim, self._per = _log_breaking, log(planned.strength_n), LABEL_STEP
        elif planned.bend_nm2 is not None:
            # stiffness goes as d⁴: a fourth of its logarithm is that of the diameter
            self._figure, self._aim = _log_bend, log(planned.bend_nm2)
            self._per = 4.0 * THOU_M / planned.diameter_m

    def miss(self, indexed_spool: IndexedSpool) -> float:
        """How far a spool is from the label, stiffness or diameter wanted, in thousandths of an
        inch; negative where it is weaker or thinner."""
        return (self._figure(indexed_spool) - self._aim) / self._per

    def cost(self, indexed_spool: IndexedSpool) -> float:
        """What it costs to take a spool for the piece, whatever is left on it."""
        return self._cost(indexed_spool) if self.kind.takes(indexed_spool) else inf

    def _cost(self, indexed_spool: IndexedSpool) -> float:
        miss = self.miss(indexed_spool)
        weight = STOUTER_WEIGHT if self._floor and miss > 0.0 else self._weight
        cost = weight * miss * miss + self._ranks.get(indexed_spool.material, self._other)
        if self._floor and miss < -0.5:
            cost += WEAKER_COST
        return cost + (BOUND_COST if self.kind.sighter and not indexed_spool.sighter else 0.0)

    def suiting(self, shelf: Iterable[IndexedSpool]) -> Suiting:
        """Of spools of its kind those with enough left, each with its cost; those that cost the
        same in the order in which they come."""
        enough = (indexed for indexed in shelf if indexed.left_m >= self.least_m)
        return sorted([(self._cost(indexed), indexed) for indexed in enough], key=_cost)


def _step_cost(
    above: IndexedSpool,
    below: IndexedSpool,
    upper: PlannedSection,
    lower: PlannedSection,
    parted: bool,
    ring: bool,
) -> float:
    if lower.role == "bite":
        return 0.0  # thick or stiff for teeth, not for the cast
    step_m = above.across_m - below.across_m
    stronger = below.breaking_n > 1.02 * above.breaking_n
    by_label = upper.strength_n is not None and lower.strength_n is not None
    thicker = NEARLY_M if by_label and not stronger else 1e-9  # as estimated from two labels
    if step_m < -thicker and not parted:
        return inf
    if by_label and stronger:
        return inf
    wanted_m = upper.diameter_m - lower.diameter_m
    twice = above.spool.spool_id == below.spool.spool_id
    if upper.base:  # the fly leads, so no step folds; a snag is to cost the tippet alone
        return 0.0 if step_m > 0.0 and not twice else inf
    if twice and ring and by_label and _weaker(upper, lower):
        return inf  # two sizes are wanted, and one spool has but one
    if twice and (wanted_m > SAME_M or by_label):
        return TWICE_COST
    if parted:
        return 0.0
    cost = HINGE_COST * max(0.0, above.log_soft - below.log_bend)
    cost += OVER_COST * max(0.0, log(above.across_m / below.across_m) - OVER)
    if above.family != below.family:
        return cost + FAMILY_COST
    if by_label:
        return cost
    if wanted_m > SAME_M and step_m < 0.2 * THOU_M:
        cost += FLAT_COST
    if wanted_m <= SAME_M and not twice and lower.role == "tippet":
        cost += FLAT_COST  # one tippet throughout
    cost += LEAP_COST * max(0.0, (step_m - max(wanted_m, 3.0 * THOU_M)) / THOU_M)
    return cost


def _weaker(upper: PlannedSection, lower: PlannedSection) -> bool:
    """Whether the lower piece is to be much weaker than the upper."""
    return (lower.strength_n or 0.0) < MUCH_WEAKER * (upper.strength_n or 0.0)


def _cheapest(plan: Plan, own: list[Suiting], most: float) -> tuple[list[IndexedSpool], float]:
    """The cheapest chain of spools, one a piece, and its cost; nothing where no chain exists, or
    none for less than ``most``.

    Sought first among those that suit each piece best, and among all where these make no chain.
    """
    found = _shortest(plan, [row[:SUITED] for row in own], most)
    if found is None and any(len(row) > SUITED for row in own):
        found = _shortest(plan, own, most)
    return found or ([], inf)


def _shortest(
    plan: Plan, own: list[Suiting], most: float
) -> tuple[list[IndexedSpool], float] | None:
    """The shortest path over each piece's spools, given with what each costs by itself."""
    # joints are numbered from the line; a ring parts two sizes only where weight leads
    rings = {number - plan.above for number in (*plan.rings, *plan.swivels)}
    paths = [(cost, [indexed]) for cost, indexed in own[0]]  # the cheapest first
    least = [row[0][0] if row else 0.0 for row in own]
    after = sum(least[1:])  # what the pieces to come cost, each by itself
    for number, planned in enumerate(plan.pieces[1:], start=1):
        before, ring = plan.pieces[number - 1], number in rings
        parted = ring and plan.weight_leads
        after -= least[number]
        longer = []
        for cost, indexed in own[number]:
            if paths and paths[0][0] + cost + after >= most:
                break
            so_far, best = inf, []
            for done, chain in paths:
                if done >= so_far:
                    break  # no step makes a chain cheaper
                through = done + _step_cost(chain[-1], indexed, before, planned, parted, ring)
                if through < so_far:
                    so_far, best = through, chain
            if so_far < inf:
                longer.append((so_far + cost, [*best, indexed]))
        paths = sorted(longer, key=_cost)
    if not paths:
        return None
    cost, chain = paths[0]
    return chain, cost
