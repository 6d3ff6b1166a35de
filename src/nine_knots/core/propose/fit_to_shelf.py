"""Fitting a plan to the shelf: pieces of owned spools and packets, the joints between them."""

from dataclasses import dataclass
from itertools import pairwise
from math import inf

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
    packet_shortages,
    shortages_of,
    tip_shortages,
)
from nine_knots.core.propose.spool_index import IndexedSpool, spool_index_of
from nine_knots.core.propose.spools import Spools, choose_for_less
from nine_knots.core.schools.school import Plan, School, SchoolBrief

MISS_COST = 4.0  # of a thing that the shelf lacks, against what is a little off


class Proposal(Frozen):
    """A leader built by a school from the shelf, with reasons and what the shelf lacks; ``cut``
    says what of a bought taper is cut off, if the angler will have it so, ``buys`` what is not
    owned of a leader that the shelf alone does not make."""

    leader: Leader
    reasons: tuple[str, ...]
    shortfalls: tuple[Shortage, ...]
    cut: str = ""
    buys: tuple[str, ...] = ()

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

    def reasons(self, leader: Leader) -> tuple[str, ...]:
        """Words on the leader tied of it."""
        said = []
        if self.bought is not None and not self.bought.cuts:
            said.append(f"The whole {self.bought.packet.title}, as it is sold.")
        if self.school.line_leads:
            said.append(_butt_reason(leader.pieces[0], self.brief, self.units))
        return tuple(said)

    @property
    def cut(self) -> str:
        """``Of the taper, 3 ft off its butt``; nothing where it is used whole."""
        if self.bought is None or not self.bought.cuts:
            return ""
        cuts = " and ".join(
            f"{self.units.length(cut_m).text} off its {end}" for end, cut_m in self.bought.cuts
        )
        return f"Of the {self.bought.packet.title}, {cuts}"


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
            packet_shortages(bought.packet, taper.length_m, bought.taper.length_m, units),
            tip_shortages(bought.packet, taper.tip_m, bought.taper.lower_diameter_m, units),
        )
        shortfalls += [shortage for shortage in found if shortage is not None]
    so_far = (bought.cost if bought else 0.0) + MISS_COST * len(shortfalls)
    if so_far + shelf.spools.least_cost(plan) >= most:
        return None
    chosen = choose_for_less(plan, shelf.spools, most - so_far)
    if chosen is None:
        return None
    plan, spools, merged = merge_same_spool(plan, chosen.spools, units)
    shortfalls += merged
    for number, (planned, taken) in enumerate(zip(plan.pieces, spools, strict=True)):
        shortfalls += shortages_of(number + plan.above, planned, taken, shelf.spools.held, units)
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


def _butt_reason(piece: LevelSection | TaperedSection, brief: SchoolBrief, units: Units) -> str:
    bend = piece.strand.bend_nm2(piece.upper_diameter_m) / brief.line.match_bend_nm2
    title = piece.strand.substance.title
    return (
        f"Butt of {title}, {units.diameter(piece.upper_diameter_m).text}: "
        f"{bend:.1f} times as stiff as the line's tip."
    )
