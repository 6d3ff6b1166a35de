"""Fitting a plan to the shelf: pieces of owned spools and packets, the joints between them."""

from dataclasses import dataclass
from itertools import pairwise

from nine_knots.core.base.frozen import Frozen
from nine_knots.core.base.units import Units
from nine_knots.core.judge.proposing.misses import Shortfall, misses_of, of_packet, of_tip
from nine_knots.core.judge.proposing.one_spool import without_twins
from nine_knots.core.judge.proposing.packets import Bought, choose_packet
from nine_knots.core.judge.proposing.rigged import rigged
from nine_knots.core.judge.proposing.spools import choose_spools
from nine_knots.core.trade.leader import (
    Joint,
    Leader,
    LevelPiece,
    TaperedPiece,
    eye_knot,
    joint_between,
    line_joint,
)
from nine_knots.core.trade.schools.school import Brief, Plan, School
from nine_knots.core.trade.situation import Situation
from nine_knots.core.trade.strand import Stock

MISS_COST = 4.0  # of a thing that the shelf lacks, against what is a little off


class Proposal(Frozen):
    """A leader built by a school from the shelf, with reasons and what the shelf lacks; ``cut``
    says what of a bought taper is cut off, if the angler will have it so, ``buys`` what is not
    owned of a leader that the shelf alone does not make."""

    leader: Leader
    reasons: tuple[str, ...]
    shortfalls: tuple[Shortfall, ...]
    cut: str = ""
    buys: tuple[str, ...] = ()

    @property
    def lacking(self) -> tuple[Shortfall, ...]:
        """Those for which another spool stands in, without pieces made one."""
        return tuple(miss for miss in self.shortfalls if not miss.merged)


@dataclass(frozen=True, slots=True)
class Fitted:
    """A plan made of what is owned, and how far it is from what was wanted."""

    leader: Leader
    reasons: tuple[str, ...]
    shortfalls: tuple[Shortfall, ...]
    cut: str
    cost: float


def usual_joints(
    pieces: list[LevelPiece | TaperedPiece], situation: Situation
) -> tuple[Joint, ...]:
    """The usual joints from the line's tip to the fly, one more than pieces."""
    between = [joint_between(a, b) for a, b in pairwise(pieces)]
    return (line_joint(situation.line, pieces[0]), *between, eye_knot(pieces[-1], situation.fly))


def fit(
    school: School,
    plan: Plan,
    brief: Brief,
    stock: tuple[Stock, ...],
    units: Units,
) -> Fitted:
    """A leader of level spools, below a bought taper where the plan has one.

    CannotCompute where the shelf allows none.
    """
    shortfalls: list[Shortfall] = []
    bought: Bought | None = None
    pieces: list[LevelPiece | TaperedPiece] = []
    if plan.taper is not None:
        following = plan.pieces[0] if plan.pieces else None
        bought = choose_packet(plan.taper, following, stock, units)
        pieces.append(bought.taper)
        taper = plan.taper
        found = (
            of_packet(bought.packet, taper.length_m, bought.taper.length_m, units),
            of_tip(bought.packet, taper.tip_m, bought.taper.lower_diameter_m, units),
        )
        shortfalls += [one for one in found if one is not None]
    chosen = choose_spools(plan, stock)
    plan, spools, merged = without_twins(plan, chosen.spools, units)
    shortfalls += merged
    lengths = [units.snap_length(planned.length_m) for planned in plan.pieces]
    if bought is None:
        # the butt takes up what the others lost or gained by rounding
        lengths[0] = units.snap_length(brief.length_m) - sum(lengths[1:])
    pieces += [
        LevelPiece(role=planned.role, strand=spool.strand, length_m=length)
        for planned, spool, length in zip(plan.pieces, spools, lengths, strict=True)
    ]
    for number, (planned, spool) in enumerate(zip(plan.pieces, spools, strict=True)):
        shortfalls += misses_of(number + plan.above, planned, spool, stock, units)
    leader = Leader(
        pieces=tuple(pieces), joints=usual_joints(pieces, brief.situation), school=school.key
    )
    return Fitted(
        leader=rigged(leader, plan),
        reasons=_reasons(school, leader, bought, brief, units),
        shortfalls=tuple(shortfalls),
        cut=_cut_words(bought, units),
        cost=chosen.cost + (bought.cost if bought else 0.0) + MISS_COST * len(shortfalls),
    )


def _cut_words(bought: Bought | None, units: Units) -> str:
    """``Of the taper, 3 ft off its butt``; nothing where it is used whole."""
    if bought is None or not bought.cuts:
        return ""
    cuts = " and ".join(f"{units.length(cut_m).text} off its {end}" for end, cut_m in bought.cuts)
    return f"Of the {bought.packet.title}, {cuts}"


def _reasons(
    school: School, leader: Leader, bought: Bought | None, brief: Brief, units: Units
) -> tuple[str, ...]:
    said = []
    if bought is not None and not bought.cuts:
        said.append(f"The whole {bought.packet.title}, as it is sold.")
    if school.line_leads:
        said.append(_butt_reason(leader.pieces[0], brief, units))
    return tuple(said)


def _butt_reason(piece: LevelPiece | TaperedPiece, brief: Brief, units: Units) -> str:
    bend = piece.strand.bend_nm2(piece.upper_diameter_m) / brief.line.match_bend_nm2
    title = piece.strand.substance.title
    return (
        f"Butt of {title}, {units.diameter(piece.upper_diameter_m).text}: "
        f"{bend:.1f} times as stiff as the line's tip."
    )
