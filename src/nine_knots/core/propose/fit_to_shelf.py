"""Fitting a plan to the shelf: pieces of owned spools and packets, the joints between them."""

from dataclasses import dataclass
from itertools import pairwise
from math import inf
from typing import Literal

from nine_knots.core.base.units import Units
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.leader import (
    Connection,
    Leader,
    LevelSection,
    TaperedSection,
    eye_knot,
    joint_between,
    line_joint,
)
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.strand import Packet, Stock, packets_of
from nine_knots.core.propose.bought_tapers import BoughtTaper, choose_packet
from nine_knots.core.propose.merge_same_spool import merge_same_spool
from nine_knots.core.propose.rigged import rigged
from nine_knots.core.propose.shortages import (
    Shortage,
    Wanted,
    packet_shortages,
    shortages_of,
    tip_shortages,
)
from nine_knots.core.propose.spool_index import IndexedSpool, spool_index_of
from nine_knots.core.propose.spools import Spools, choose_for_less
from nine_knots.core.schools.school import Plan, School, SchoolBrief, SchoolNote

MISS_COST = 4.0  # of a thing that the shelf lacks, against what is a little off


TippetBy = Literal["asked", "labels", "school", "advice"]


class TippetReason(Frozen):
    """What called for a tippet: what was asked; the labels usual here, ``low_n`` to ``high_n`` in
    N; the school's own rule; or ``advice``. ``nearest_to_m`` is the diameter in m that an owned
    tippet came nearest to."""

    by: TippetBy
    advice: str = ""
    low_n: float = 0.0
    high_n: float = 0.0
    nearest_to_m: float | None = None


class TippetUse(Frozen):
    """The tippet of a leader and what called for it: its diameter in m and, where the school goes
    by labels, its strength in N; what was wanted, where that is another."""

    reason: TippetReason
    across_m: float
    strength_n: float | None = None
    wanted_m: float | None = None
    wanted_n: float | None = None


class TaperUse(Frozen):
    """The bought taper of a leader, and what is cut off its ends, in m."""

    title: str
    cuts: tuple[tuple[str, float], ...] = ()


class ButtUse(Frozen):
    """A butt: its material, its diameter in m, how many times as stiff as the line's tip it is."""

    material: str
    across_m: float
    times: float


class Proposal(Frozen):
    """A leader built by a school from the shelf: why it is tied so, and what the shelf lacks.

    ``butt`` where the line leads, ``estimated`` where a diameter is known only from a label;
    ``buys`` is what is not owned of a leader that the shelf alone does not make.
    """

    leader: Leader
    tippet: TippetUse
    notes: tuple[SchoolNote, ...]
    taper: TaperUse | None
    butt: ButtUse | None
    estimated: bool
    shortfalls: tuple[Shortage, ...]
    buys: tuple[Wanted, ...] = ()

    @property
    def lacking(self) -> tuple[Shortage, ...]:
        """Those for which another spool stands in, without pieces made one."""
        return tuple(miss for miss in self.shortfalls if not miss.merged)


@dataclass(frozen=True, slots=True)
class Shelf:
    """What is owned, as plans are weighed against it."""

    spools: Spools
    packets: tuple[Packet, ...]


def shelf_of(stock: tuple[Stock, ...]) -> Shelf:
    """A shelf with its spools' figures worked out."""
    return Shelf(Spools(spool_index_of(stock)), tuple(packets_of(stock)))


@dataclass(frozen=True, slots=True)
class FittedPlan:
    """What a plan is made of, out of what is owned, and how far that is from what was wanted."""

    school: School
    plan: Plan
    brief: SchoolBrief
    units: Units
    bought: BoughtTaper | None
    spools: tuple[IndexedSpool, ...]
    shortfalls: tuple[Shortage, ...]
    cost: float

    def leader(self) -> Leader:
        """The leader tied of it; ValidationError where a piece of it would have no length."""
        units, plan, bought = self.units, self.plan, self.bought
        lengths = [units.snap_length(planned.length_m) for planned in plan.pieces]
        if bought is None:
            # the butt takes up what the others lost or gained by rounding
            lengths[0] = units.snap_length(self.brief.length_m) - sum(lengths[1:])
        pieces: list[LevelSection | TaperedSection] = [] if bought is None else [bought.taper]
        pieces += [
            LevelSection(role=planned.role, strand=spool.spool.strand, length_m=length)
            for planned, spool, length in zip(plan.pieces, self.spools, lengths, strict=True)
        ]
        joints = usual_joints(pieces, self.brief.situation)
        return rigged(Leader(pieces=tuple(pieces), joints=joints, school=self.school.key), plan)

    @property
    def taper(self) -> TaperUse | None:
        """How its bought taper is used, if it has one."""
        if self.bought is None:
            return None
        return TaperUse(title=self.bought.packet.title, cuts=self.bought.cuts)

    def butt(self, leader: Leader) -> ButtUse | None:
        """The butt of the leader tied of it, beside the line's tip; None where the fly leads."""
        if not self.school.line_leads:
            return None
        piece = leader.pieces[0]
        bend = piece.strand.bend_nm2(piece.upper_diameter_m)
        return ButtUse(
            material=piece.strand.substance.title,
            across_m=piece.upper_diameter_m,
            times=bend / self.brief.line.match_bend_nm2,
        )


def usual_joints(
    pieces: list[LevelSection | TaperedSection], situation: Situation
) -> tuple[Connection, ...]:
    """The usual joints from the line's tip to the fly, one more than pieces."""
    between = [joint_between(a, b) for a, b in pairwise(pieces)]
    return (line_joint(situation.line, pieces[0]), *between, eye_knot(pieces[-1], situation.fly))


def fit_to_shelf(
    school: School, plan: Plan, brief: SchoolBrief, shelf: Shelf, units: Units, most: float = inf
) -> FittedPlan | None:
    """Level spools, below a bought taper where the plan has one; None where any would cost
    ``most`` or more.

    CannotCompute where the shelf allows none.
    """
    shortfalls: list[Shortage] = []
    bought: BoughtTaper | None = None
    if plan.taper is not None:
        following = plan.pieces[0] if plan.pieces else None
        bought = choose_packet(plan.taper, following, shelf.packets, units)
        taper = plan.taper
        found = (
            packet_shortages(bought.packet, taper.length_m, bought.taper.length_m),
            tip_shortages(bought.packet, taper.tip_m, bought.taper.lower_diameter_m),
        )
        shortfalls += [shortage for shortage in found if shortage is not None]
    so_far = (bought.cost if bought else 0.0) + MISS_COST * len(shortfalls)
    if so_far + shelf.spools.least_cost(plan) >= most:
        return None
    chosen = choose_for_less(plan, shelf.spools, most - so_far)
    if chosen is None:
        return None
    plan, spools, merged = merge_same_spool(plan, chosen.spools)
    shortfalls += merged
    for number, (planned, taken) in enumerate(zip(plan.pieces, spools, strict=True)):
        shortfalls += shortages_of(number + plan.above, planned, taken, shelf.spools.held)
    return FittedPlan(
        school=school,
        plan=plan,
        brief=brief,
        units=units,
        bought=bought,
        spools=spools,
        shortfalls=tuple(shortfalls),
        cost=chosen.cost + (bought.cost if bought else 0.0) + MISS_COST * len(shortfalls),
    )
