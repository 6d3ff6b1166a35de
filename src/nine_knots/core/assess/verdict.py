"""Match, hold and length: the measures that need neither a cast nor water."""

from dataclasses import dataclass
from math import inf, log

import numpy as np

from nine_knots.core.assess.failure_report import Break, break_of, pull_tests
from nine_knots.core.assess.joint_match import (
    HINGE_STEP,
    LINE_HINGE,
    LINE_KICK,
    REVERSAL_STEP,
    Flag,
    JointMatch,
    match_joints,
)
from nine_knots.core.base.score import Finding, Reason, Score, position_in_band
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.knots.own import PulledKnot
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.need import Need, need_of
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.strand import Strand, TaperedStrand
from nine_knots.core.domain.tackle import line_profile
from nine_knots.core.domain.tippet import thou_by_hook
from nine_knots.core.schools import built_by, line_leads
from nine_knots.core.schools.by_water import fished_span, span_by_water
from nine_knots.core.strength.elements import Hold, hold_of

ENOUGH, PLENTY = 1.0, 6.0  # 5 % low value over need: less breaks, more is stouter than it must be
GOOD_LINE_STEP, GOOD_INNER_STEP = 1.6, 0.5
# Mono that a rasping mouth does not wear through: 40 lb fluorocarbon for fish of up to so many kg,
# 60 lb for the largest; and what teeth that cut do not bite through, 60 lb [P].
UNWORN_M, UNWORN_KG, UNBITTEN_M = (22.8 * THOU_M, 29.0 * THOU_M), (10.0, 30.0), 29.0 * THOU_M
# Thousandths finer than a fly asks for, beyond which it spins the tippet and snaps it [P]: foam 10
# on 6X, a size 8 streamer on 5X.
MOST_FINER_THOU: dict[str, float] = {"foam": 2.5, "streamer": 3.5, "predator": 3.5}
EDGE = 0.95  # of the way to the edge of the band, where what is right but unusual is put
ROUNDED_M = 0.02  # beyond a span of lengths, that is no more than rounding


class MatchReason(Reason):
    """What the worst joint does to the loop; codes are those of a joint's flags."""

    FITS = "fits", "right"
    TRACE = "trace", "right"
    PARTED = "parted", "right"
    LED = "led", "right"
    SOFT = "soft", "right"
    FIRM = "firm", "right"
    HINGE = "hinge", "too little"
    KICK = "kick", "too much"
    REVERSAL = "reversal", "too much"
    FLAT_SPOT = "flat spot", "too much"


class HoldReason(Reason):
    """Whether the leader holds what the day may ask."""

    HOLDS = "holds", "right"
    BREAKS = "breaks", "too little"
    STOUTER_THAN_NEEDED = "stouter than needed", "too much"
    CUT_BY_TEETH = "cut by teeth", "too little"
    WORN_BY_MOUTH = "worn through by its mouth", "too little"
    TOO_FINE_FOR_FLY = "too fine for this fly", "too little"


class LengthReason(Reason):
    """How long the leader is beside what is usual; only what nobody fishes is a fault."""

    USUAL = "usual", "right"
    SHORTER_THAN_MOST = "shorter than most", "right"
    LONGER_THAN_MOST = "longer than most", "right"
    TOO_SHORT = "shorter than anybody fishes", "too little"
    TOO_LONG = "longer than anybody fishes", "too much"


@dataclass(frozen=True, slots=True)
class MatchFinding(Finding):
    """The joint that decides, its bend step, and the diameters in metres above it (None at the
    line) and below it; ``weight_leads`` where the joint to the line is not judged."""

    joint: int
    bend_step: float
    above_m: float | None
    below_m: float
    weight_leads: bool


@dataclass(frozen=True, slots=True)
class HoldFinding(Finding):
    """Where it most likely breaks and how often there, the mean load in N at which it does, what
    the day may ask in N and whether that is a strike's; own pull tests that tell, the fish, and
    whether it is far stouter than it must be (``stout``), teeth aside; the diameter in metres that
    the fly asks for."""

    broken: Break
    chance: float
    mean_n: float
    need_n: float
    by_strike: bool
    tests: int
    fish: str
    stout: bool
    advised_m: float


@dataclass(frozen=True, slots=True)
class LengthFinding(Finding):
    """Its length in metres, and the least, usual and most of its ``school``, or of this water and
    line (None)."""

    length_m: float
    low_m: float
    usual_m: float
    high_m: float
    school: str | None


def joint_deviation(match: JointMatch) -> float:
    """How far a joint is from the best step: -1 at a hinge, +1 at a kick or reversal."""
    step = match.bend_step
    if match.flag in ("trace", "parted", "led"):
        return 0.0
    if match.joint == 0:
        edge = LINE_KICK if step > GOOD_LINE_STEP else LINE_HINGE
        return log(step / GOOD_LINE_STEP) / abs(log(edge / GOOD_LINE_STEP))
    if step < GOOD_INNER_STEP:
        return -log(GOOD_INNER_STEP / step) / log(GOOD_INNER_STEP / HINGE_STEP)
    if step > 1.0:
        return log(step) / log(REVERSAL_STEP)
    return 0.0


_GRAVITY: tuple[Flag, ...] = ("hinge", "reversal", "kick", "flat spot", "soft", "firm")
_REASONS = {reason.code: reason for reason in MatchReason}


def _worst(matches: tuple[JointMatch, ...]) -> JointMatch:
    def badness(match: JointMatch) -> tuple[int, float]:
        rank = _GRAVITY.index(match.flag) if match.flag in _GRAVITY else len(_GRAVITY)
        return -rank, abs(joint_deviation(match))

    return max(matches, key=badness)


def match_score(matches: tuple[JointMatch, ...], leader: Leader) -> Score:
    """The worst joint, by kind and then by size."""
    worst = _worst(matches)
    reason, deviation = _REASONS[worst.flag], joint_deviation(worst)
    if reason.status == "too little":
        deviation = min(deviation, -1.05)
    elif reason is MatchReason.FLAT_SPOT:
        deviation = 1.05
    elif reason.status == "too much":
        deviation = max(deviation, 1.05)
    else:
        deviation = max(-0.95, min(0.95, deviation))
    finding = MatchFinding(
        reason=reason,
        joint=worst.joint,
        bend_step=worst.bend_step,
        above_m=leader.pieces[worst.joint - 1].lower_diameter_m if worst.joint else None,
        below_m=leader.pieces[worst.joint].upper_diameter_m,
        weight_leads=matches[0].flag == "led",
    )
    marginal = reason in (MatchReason.SOFT, MatchReason.FIRM)
    return Score("match", finding, position_in_band(deviation), marginal)


def is_guarded(leader: Leader) -> bool:
    """Whether it ends in wire or in a bite piece."""
    last = leader.pieces[-1]
    return last.role == "bite" or last.strand.substance.family == "wire"


def hold_score(
    hold: Hold,
    need: Need,
    leader: Leader,
    situation: Situation,
    own: tuple[PulledKnot, ...] = (),
) -> Score:
    """The 5 % low breaking load over what the fish and the strike may ask."""
    fish, broken = situation.quarry.fish, hold.break_element
    ratio = hold.low_n / need.most_n
    edge = (ENOUGH * PLENTY) ** 0.5
    deviation = log(ratio / edge) / log(PLENTY / edge)
    reason = HoldReason.HOLDS
    if ratio < ENOUGH:
        reason = HoldReason.BREAKS
    elif ratio > PLENTY:
        long = situation.fly.is_long  # which a fine tippet would not throw
        reason = HoldReason.HOLDS if long else HoldReason.STOUTER_THAN_NEEDED
        deviation = min(deviation, EDGE) if long else deviation
    lasts = lasts_in_mouth(leader.pieces[-1].strand, leader.pieces[-1].lower_diameter_m, situation)
    if fish.bites_through and not lasts:
        reason, deviation = HoldReason.CUT_BY_TEETH, min(deviation, -1.4)
    elif _too_fine(leader, situation):
        reason, deviation = HoldReason.TOO_FINE_FOR_FLY, min(deviation, -1.2)
    elif fish.wears_through and not lasts:
        reason, deviation = HoldReason.WORN_BY_MOUTH, min(deviation, -1.4)
    finding = HoldFinding(
        reason=reason,
        broken=break_of(broken, leader),
        chance=hold.chance_of(broken.what, broken.index),
        mean_n=hold.mean_n,
        need_n=need.most_n,
        by_strike=need.strike_n >= need.pull_n,
        tests=pull_tests(leader.joints[broken.index], leader, own) if broken.what == "joint" else 0,
        fish=fish.title,
        stout=ratio > PLENTY and not is_guarded(leader),
        advised_m=thou_by_hook(situation) * THOU_M,
    )
    marginal = reason is HoldReason.HOLDS and ratio < 1.3
    return Score("hold", finding, position_in_band(deviation), marginal)


def lasts_in_mouth(strand: Strand | TaperedStrand, end_m: float, situation: Situation) -> bool:
    """Whether an end so thick, in m, is neither cut nor worn through by the mouth of the fish."""
    return strand.substance.family == "wire" or end_m >= lasting_m(situation)


def lasting_m(situation: Situation) -> float:
    """The diameter in m from which mono lasts in the mouth of the fish; 0 where any does."""
    fish = situation.quarry.fish
    if fish.bites_through:
        return UNBITTEN_M
    known_kg = [log(mass_kg) for mass_kg in UNWORN_KG]
    worn_m = float(np.interp(log(situation.quarry.mass_kg), known_kg, UNWORN_M))
    return worn_m if fish.wears_through else 0.0


def _too_fine(leader: Leader, situation: Situation) -> bool:
    """Whether a bulky or heavy fly spins and snaps so fine a tippet on the cast."""
    finer = thou_by_hook(situation) - leader.tippet_diameter_m / THOU_M
    return finer > MOST_FINER_THOU.get(situation.fly.kind, inf)


def length_score(leader: Leader, situation: Situation) -> Score:
    """The whole length against what the school, or anybody, ties for this water and line."""
    school = built_by(leader)
    span = school.span(situation) if school else span_by_water(situation)
    least_m, most_m = fished_span(situation)
    least_m, most_m = min(least_m, span.low_m), max(most_m, span.high_m)
    length_m, mono = leader.length_m, not line_leads(leader)
    edge_m = span.low_m if length_m < span.usual_m else span.high_m
    deviation = (length_m - span.usual_m) / abs(edge_m - span.usual_m)
    reason = LengthReason.USUAL
    if length_m < span.low_m - ROUNDED_M:
        short = length_m < least_m - ROUNDED_M
        reason = LengthReason.TOO_SHORT if short else LengthReason.SHORTER_THAN_MOST
    elif length_m > span.high_m + ROUNDED_M:
        long = length_m > most_m + ROUNDED_M and not mono
        reason = LengthReason.TOO_LONG if long else LengthReason.LONGER_THAN_MOST
    if reason.status == "right":
        deviation = max(-EDGE, min(EDGE, deviation))
    finding = LengthFinding(
        reason=reason,
        length_m=length_m,
        low_m=span.low_m,
        usual_m=span.usual_m,
        high_m=span.high_m,
        school=school.title if school else None,
    )
    return Score("length", finding, position_in_band(deviation))


@dataclass(frozen=True, slots=True)
class AssessmentInputs:
    """What a verdict rests on: every joint's match, the hold, what the day asks."""

    matches: tuple[JointMatch, ...]
    hold: Hold
    need: Need


def assessment_inputs(design: Design, own: tuple[PulledKnot, ...] = ()) -> AssessmentInputs:
    """Matches, hold and need; ``own`` is what knots keep in the angler's hands, by pull tests."""
    leader, situation = design.leader, design.situation
    return AssessmentInputs(
        matches=match_joints(leader, line_profile(situation.line), situation.fly),
        hold=hold_of(leader, own=own),
        need=need_of(situation),
    )


def verdict_of(
    design: Design, inputs: AssessmentInputs, own: tuple[PulledKnot, ...] = ()
) -> tuple[Score, ...]:
    """Match, hold and length."""
    leader, situation = design.leader, design.situation
    return (
        match_score(inputs.matches, leader),
        hold_score(inputs.hold, inputs.need, leader, situation, own),
        length_score(leader, situation),
    )
