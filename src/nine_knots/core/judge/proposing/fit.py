"""Fitting a plan to the shelf: the chain of spools that comes nearest to what the rule wants.

A shortest path over (piece, spool): a spool costs what it misses in diameter or stiffness and in
material; a step costs where it goes flat or leaps; thicker after thinner is not allowed.
"""

from itertools import pairwise
from math import inf, log

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.frozen import Frozen
from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.judge.match import SOFT_STEP
from nine_knots.core.judge.proposing.rigged import rigged
from nine_knots.core.physics.section import diameter_of_bend_stiffness_m
from nine_knots.core.trade.leader import (
    Joint,
    Leader,
    LevelPiece,
    TaperedPiece,
    eye_knot,
    joint_between,
    line_joint,
)
from nine_knots.core.trade.materials import MATERIALS
from nine_knots.core.trade.schools.school import Brief, Plan, PlannedPiece, School
from nine_knots.core.trade.situation import Situation
from nine_knots.core.trade.strand import Packet, Spool, Stock

NEAR_M = 1.6 * THOU_M  # further than this from what was wanted is named as a shortfall
SPARE_M = 0.25  # what a piece's two knots take of a spool
FLAT_COST, LEAP_COST, HINGE_COST, FAMILY_COST = 4.0, 1.0, 6.0, 1.5
UNWANTED_COST, RANK_COST = 5.0, 0.5


class Shortfall(Frozen):
    """A spool that the shelf lacks, and what was taken for it."""

    piece: int
    wanted: str
    nearest: str


class Proposal(Frozen):
    """A leader built by a school from the shelf, with reasons and what the shelf lacks."""

    leader: Leader
    reasons: tuple[str, ...]
    shortfalls: tuple[Shortfall, ...]


def _rank(planned: PlannedPiece, material: str) -> float:
    if material in planned.prefer:
        return RANK_COST * planned.prefer.index(material)
    return UNWANTED_COST


def _cost(planned: PlannedPiece, spool: Spool) -> float:
    strand = spool.strand
    wire = strand.substance.family == "wire"
    wanted = any(MATERIALS[key].family == "wire" for key in planned.prefer)
    if wire != wanted or strand.substance.family == "braid":
        return inf
    if spool.remaining_m < planned.length_m + SPARE_M:
        return inf
    if planned.bend_nm2 is not None:
        # stiffness goes as d⁴: a fourth of its logarithm is that of the diameter
        off = log(strand.bend_nm2(strand.diameter_m) / planned.bend_nm2) / 4.0
        miss_m = off * planned.diameter_m
    else:
        miss_m = strand.diameter_m - planned.diameter_m
    sighter = 4.0 if (strand.colour == "sighter") != (planned.role == "sighter") else 0.0
    return (miss_m / THOU_M) ** 2 + _rank(planned, strand.material) + sighter


def _step_cost(above: Spool, below: Spool, wanted_m: float, bite: bool) -> float:
    if bite:
        return 0.0  # thick or stiff for teeth, not for the cast
    step_m = above.strand.diameter_m - below.strand.diameter_m
    if step_m < -1e-9:
        return inf
    cost = 0.0
    if wanted_m > 0.3 * THOU_M and step_m < 0.2 * THOU_M:
        cost += FLAT_COST
    cost += LEAP_COST * max(0.0, (step_m - max(wanted_m, 3.0 * THOU_M)) / THOU_M)
    upper, lower = (s.strand.bend_nm2(s.strand.diameter_m) for s in (above, below))
    cost += HINGE_COST * max(0.0, log(SOFT_STEP * upper / lower))
    if above.strand.substance.family != below.strand.substance.family:
        cost += FAMILY_COST
    return cost


def _cheapest(plan: Plan, spools: list[Spool]) -> list[Spool] | None:
    """The cheapest chain of spools, one a piece, or None where no chain exists."""
    costs = [_cost(plan.pieces[0], spool) for spool in spools]
    came_from: list[list[int]] = []
    for number, planned in enumerate(plan.pieces[1:], start=1):
        wanted_m = plan.pieces[number - 1].diameter_m - planned.diameter_m
        row: list[tuple[float, int]] = []
        bite = planned.role == "bite"
        for spool in spools:
            own = _cost(planned, spool)
            row.append(
                min(
                    (costs[i] + _step_cost(above, spool, wanted_m, bite) + own, i)
                    for i, above in enumerate(spools)
                )
            )
        costs = [cost for cost, _ in row]
        came_from.append([source for _, source in row])
    if not costs or min(costs) == inf:
        return None
    place = costs.index(min(costs))
    chain = [place]
    for sources in reversed(came_from):
        place = sources[place]
        chain.append(place)
    return [spools[i] for i in reversed(chain)]


def choose_spools(plan: Plan, stock: tuple[Stock, ...]) -> list[Spool]:
    """A spool for each planned piece; CannotCompute where the shelf has no such chain.

    A spool that would run out over several pieces is left for another.
    """
    spools = [item for item in stock if isinstance(item, Spool)]
    while True:
        chain = _cheapest(plan, spools)
        if chain is None:
            raise CannotCompute(
                "The shelf has no set of spools from which this leader could be tied.",
                where="spools",
                mend="Add spools of nylon or fluorocarbon from butt to tippet, or ask for a "
                "shorter leader.",
            )
        need: dict[str, float] = {}
        for planned, spool in zip(plan.pieces, chain, strict=True):
            need[spool.spool_id] = need.get(spool.spool_id, 0.0) + planned.length_m + SPARE_M
        short = [s for s in spools if need.get(s.spool_id, 0.0) > s.remaining_m]
        if not short:
            return chain
        spools = [s for s in spools if s not in short]


def _shortfall(index: int, planned: PlannedPiece, spool: Spool, units: Units) -> Shortfall | None:
    strand = spool.strand
    right_kind = strand.material in planned.prefer
    material = strand.substance if right_kind else MATERIALS[planned.prefer[0]]
    wanted_m = planned.diameter_m
    if planned.bend_nm2 is not None:
        modulus = strand.stiffness_pa if right_kind else material.wet_modulus_pa
        wanted_m = diameter_of_bend_stiffness_m(planned.bend_nm2, modulus)
    if right_kind and abs(strand.diameter_m - wanted_m) <= NEAR_M:
        return None
    return Shortfall(
        piece=index,
        wanted=f"{material.title} of about {units.diameter(wanted_m).text}",
        nearest=f"{spool.title} ({units.diameter(strand.diameter_m).text})",
    )


def usual_joints(
    pieces: list[LevelPiece | TaperedPiece], situation: Situation
) -> tuple[Joint, ...]:
    """The usual joints from the line's tip to the fly, one more than pieces."""
    between = [joint_between(a, b) for a, b in pairwise(pieces)]
    return (line_joint(situation.line), *between, eye_knot(pieces[-1], situation.fly))


def _butt_reason(piece: LevelPiece | TaperedPiece, brief: Brief, units: Units) -> str:
    bend = piece.strand.bend_nm2(piece.upper_diameter_m) / brief.line.tip_bend_nm2
    title = piece.strand.substance.title
    return (
        f"Butt of {title}, {units.diameter(piece.upper_diameter_m).text}: "
        f"{bend:.1f} times as stiff as the line's tip."
    )


def fit_tied(
    school: School,
    plan: Plan,
    brief: Brief,
    stock: tuple[Stock, ...],
    units: Units,
    reasons: tuple[str, ...],
) -> Proposal:
    """A hand-tied leader of level spools; CannotCompute where the shelf allows none."""
    chain = choose_spools(plan, stock)
    lengths = [units.snap_length(planned.length_m) for planned in plan.pieces]
    # the butt takes up what the others lost or gained by rounding
    lengths[0] = units.snap_length(brief.length_m) - sum(lengths[1:])
    pieces: list[LevelPiece | TaperedPiece] = [
        LevelPiece(role=planned.role, strand=spool.strand, length_m=length)
        for planned, spool, length in zip(plan.pieces, chain, lengths, strict=True)
    ]
    found = (
        _shortfall(i, planned, spool, units)
        for i, (planned, spool) in enumerate(zip(plan.pieces, chain, strict=True))
    )
    if school.line_leads:
        reasons = (*reasons, _butt_reason(pieces[0], brief, units))
    leader = Leader(
        pieces=tuple(pieces), joints=usual_joints(pieces, brief.situation), school=school.key
    )
    return Proposal(
        leader=rigged(leader, plan),
        reasons=reasons,
        shortfalls=tuple(s for s in found if s is not None),
    )


def fit_knotless(
    school: School,
    plan: Plan,
    brief: Brief,
    stock: tuple[Stock, ...],
    units: Units,
    reasons: tuple[str, ...],
) -> Proposal:
    """A knotless taper from a packet, cut back to length, and a level tippet tied to it.

    The packet's taper is cut at the tip to the wanted length, or further where its tip would be
    thinner than the tippet; CannotCompute where there is no packet.
    """
    wanted, tippet = plan.pieces
    packets = [item for item in stock if isinstance(item, Packet) and item.count > 0]
    if not packets:
        raise CannotCompute(
            "There is no knotless taper on the shelf.",
            where="spools",
            mend=f"Add a packet with a butt of about {units.diameter(wanted.diameter_m).text}, "
            "or choose the tied form of this school.",
        )
    cut = {p.spool_id: _cut_to(p, wanted, tippet.diameter_m) for p in packets}
    packet = min(packets, key=lambda p: _packet_cost(p, cut[p.spool_id], wanted, tippet))
    taper = cut[packet.spool_id]
    chain = choose_spools(Plan(pieces=(tippet,)), stock)
    level = LevelPiece(
        role="tippet", strand=chain[0].strand, length_m=units.snap_length(tippet.length_m)
    )
    shortfalls = [_shortfall(1, tippet, chain[0], units)]
    if abs(taper.length_m - wanted.length_m) > 0.15 * wanted.length_m:
        shortfalls.append(
            Shortfall(
                piece=0,
                wanted=f"a knotless taper of {units.length(wanted.length_m).text}",
                nearest=f"{packet.title}, {units.length(taper.length_m).text} of it",
            )
        )
    pieces: list[LevelPiece | TaperedPiece] = [taper, level]
    tip = units.diameter(taper.lower_diameter_m).text
    return Proposal(
        leader=Leader(
            pieces=tuple(pieces), joints=usual_joints(pieces, brief.situation), school=school.key
        ),
        reasons=(
            *reasons,
            _butt_reason(taper, brief, units),
            f"Cut back, the taper ends at {tip}, which takes that tippet.",
        ),
        shortfalls=tuple(s for s in shortfalls if s is not None),
    )


def _cut_to(packet: Packet, wanted: PlannedPiece, tippet_m: float) -> TaperedPiece:
    """Cut the tip back to the wanted length, and on to where it is as thick as the tippet."""
    profile = packet.strand.profile
    keep_m = min(profile.length_m, wanted.length_m)
    if profile.diameter_at_m(keep_m) < tippet_m and profile.butt_diameter_m > tippet_m:
        span_m = profile.butt_diameter_m - profile.tip_diameter_m
        share = (profile.butt_diameter_m - tippet_m) / span_m
        keep_m = min(keep_m, profile.butt_length_m + share * profile.taper_length_m)
    return TaperedPiece(
        role="butt", strand=packet.strand, cut_tip_m=max(0.0, profile.length_m - keep_m)
    )


def _packet_cost(
    packet: Packet, taper: TaperedPiece, wanted: PlannedPiece, tippet: PlannedPiece
) -> float:
    bend = packet.strand.bend_nm2(taper.upper_diameter_m) / (wanted.bend_nm2 or 1.0)
    butt = (log(bend) / 4.0 * wanted.diameter_m / THOU_M) ** 2
    tip = ((taper.lower_diameter_m - tippet.diameter_m) / THOU_M - 1.0) ** 2
    length = (10.0 * (taper.length_m / wanted.length_m - 1.0)) ** 2
    return butt + tip + length
