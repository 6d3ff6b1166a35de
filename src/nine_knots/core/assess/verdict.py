"""The verdict: a few measures, each where it stands in its band, with one line of why."""

from dataclasses import dataclass, replace
from math import log

from nine_knots.core.assess.failure_report import place_of_break, pulls_of, what_is_lost
from nine_knots.core.assess.joint_match import (
    HINGE_STEP,
    LINE_HINGE,
    LINE_KICK,
    REVERSAL_STEP,
    Flag,
    JointMatch,
    match_joints,
)
from nine_knots.core.base.score import Score, Status, position_in_band
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.knots.own import PulledKnot
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.need import Need, need_of
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tackle import line_profile
from nine_knots.core.schools import built_by
from nine_knots.core.schools.by_water import span_by_water
from nine_knots.core.strength.elements import Hold, hold_of

ENOUGH, PLENTY = 1.0, 6.0  # 5 % low value over need: less breaks, more is stouter than it must be
GOOD_LINE_STEP, GOOD_INNER_STEP = 1.6, 0.5


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


_FLAG_FIGURE: dict[Flag, str] = {
    "fits": "steps evenly",
    "soft": "a little soft",
    "hinge": "hinges",
    "firm": "a little stiff",
    "kick": "kicks",
    "flat spot": "flat spot",
    "reversal": "runs backwards",
    "trace": "steps evenly",
    "parted": "steps evenly",
    "led": "steps evenly",
}
_GRAVITY: tuple[Flag, ...] = ("hinge", "reversal", "kick", "flat spot", "soft", "firm")


def _worst(matches: tuple[JointMatch, ...]) -> JointMatch:
    def badness(match: JointMatch) -> tuple[int, float]:
        rank = _GRAVITY.index(match.flag) if match.flag in _GRAVITY else len(_GRAVITY)
        return -rank, abs(joint_deviation(match))

    return max(matches, key=badness)


def _times(step: float) -> str:
    factor = max(step, 1.0 / step)
    return f"{factor:.1f}" if factor < 10 else f"{factor:.0f}"


def _match_why(worst: JointMatch, leader: Leader, units: Units) -> str:
    place = "the line" if worst.joint == 0 else f"joint {worst.joint}"
    below = leader.pieces[worst.joint]
    to = units.diameter(below.upper_diameter_m).text
    since = "the line's tip"
    if worst.joint:
        since = units.diameter(leader.pieces[worst.joint - 1].lower_diameter_m).text
    step = f"from {since} to {to}"
    times = _times(worst.bend_step)
    if worst.flag == "hinge":
        return f"At {place}, {step}, it gets {times} times softer: the loop folds there."
    if worst.flag == "soft":
        return f"Softest step at {place}, {step}: {times} times softer, near a hinge."
    if worst.flag == "reversal":
        return f"At {place}, {step}, a thicker piece follows a thinner one."
    if worst.flag == "kick":
        return f"At {place}, {step}, it gets {times} times stiffer: it kicks."
    if worst.flag == "firm":
        return f"At {place}, {step}, the butt is {times} times as stiff: near a kick."
    if worst.flag == "flat spot":
        return f"Two joints around {place} have no step between them: you could save a knot."
    if worst.flag == "trace":
        return "The bite piece is thick or stiff because of teeth, so its step isn't judged."
    if worst.flag == "parted":
        return f"At {place} a ring or swivel joins the two sizes, so the step isn't judged."
    if worst.flag == "led":
        return "Flies or weight lead the part below, so its steps aren't judged."
    softness = "softer" if worst.bend_step < 1 else "stiffer"
    return f"The greatest step, at {place}, {step}, turns {times} times {softness}: no joint folds."


def match_score(matches: tuple[JointMatch, ...], leader: Leader, units: Units) -> Score:
    """The worst joint, by kind and then by size; a mono rig's line joint does not count."""
    school = built_by(leader)
    judged = matches
    note = ""
    if school is not None and not school.line_leads:
        judged = matches[1:] or (replace(matches[0], flag="led"),)
        note = " The fly leads here, so the joint to the line isn't judged."
    worst = _worst(judged)
    deviation = joint_deviation(worst)
    status: Status = "right"
    if worst.flag == "hinge":
        status, deviation = "too little", min(deviation, -1.05)
    elif worst.flag in ("kick", "reversal"):
        status, deviation = "too much", max(deviation, 1.05)
    elif worst.flag == "flat spot":
        status, deviation = "too much", 1.05
    else:
        deviation = max(-0.95, min(0.95, deviation))
    return Score(
        key="match",
        title="Match",
        question="Does the loop run on, or fold at a joint?",
        status=status,
        marginal=worst.flag in ("soft", "firm"),
        position=position_in_band(deviation),
        figure=_FLAG_FIGURE[worst.flag],
        why=_match_why(worst, leader, units) + note,
    )


def hold_score(
    hold: Hold,
    need: Need,
    leader: Leader,
    situation: Situation,
    units: Units,
    own: tuple[PulledKnot, ...] = (),
) -> Score:
    """The 5 % low breaking load over what the fish and the strike may ask."""
    fish = situation.quarry.fish
    ratio = hold.low_n / need.most_n
    edge = (ENOUGH * PLENTY) ** 0.5
    deviation = log(ratio / edge) / log(PLENTY / edge)
    chance = hold.chance_of(hold.break_element.what, hold.break_element.index)
    asked = "a strike" if need.strike_n >= need.pull_n else "the fish"
    why = (
        f"Breaks first {place_of_break(hold.break_element, leader)} ({chance:.0%}): you lose "
        f"{what_is_lost(hold.break_element, leader, units)}. "
        f"Here {asked} may ask {units.load(need.most_n).text}."
    )
    broken = hold.break_element
    if broken.what == "joint":
        said = pulls_of(leader.joints[broken.index], leader, own)
        why += f" Its knot strength is{said.removeprefix(',')}." if said else ""
    status: Status = "right"
    if ratio < ENOUGH:
        status = "too little"
    elif ratio > PLENTY:
        status = "too much"
        why += " Finer tippet would still hold."
    guarded = leader.pieces[-1].role == "bite" or leader.pieces[-1].strand.substance.family == (
        "wire"
    )
    if fish.bites_through and not guarded:
        status, deviation = "too little", min(deviation, -1.4)
        why = (
            f"A {fish.title} cuts plain tippet: end the leader in wire or a heavy bite piece. {why}"
        )
    return Score(
        key="hold",
        title="Hold",
        question="Does it hold this fish in this water?",
        status=status,
        marginal=status == "right" and ratio < 1.3,
        position=position_in_band(deviation),
        figure=f"breaks at {units.load(hold.mean_n).text}",
        why=why,
    )


def length_score(leader: Leader, situation: Situation, units: Units) -> Score:
    """The whole length against what the school ties for this water and line."""
    school = built_by(leader)
    span = school.span(situation) if school else span_by_water(situation)
    whose = school.title if school else "This water and line"
    length_m = leader.length_m
    if length_m < span.usual_m:
        deviation = (length_m - span.usual_m) / (span.usual_m - span.low_m)
    else:
        deviation = (length_m - span.usual_m) / (span.high_m - span.usual_m)
    status: Status = "right"
    slack_m = 0.02
    if length_m < span.low_m - slack_m:
        status = "too little"
    elif length_m > span.high_m + slack_m:
        status = "too much"
    low, high = units.length(span.low_m).text, units.length(span.high_m).text
    return Score(
        key="length",
        title="Length",
        question="Is it a usual length here?",
        status=status,
        marginal=False,
        position=position_in_band(deviation),
        figure=units.length(length_m).text,
        why=f"{whose}: {low} to {high} here, usually {units.length(span.usual_m).text}.",
    )


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
        matches=match_joints(leader, line_profile(situation.line)),
        hold=hold_of(leader, own=own),
        need=need_of(situation),
    )


def verdict_of(
    design: Design, inputs: AssessmentInputs, units: Units, own: tuple[PulledKnot, ...] = ()
) -> tuple[Score, ...]:
    """Match, hold and length: the measures that need neither a cast nor water."""
    leader, situation = design.leader, design.situation
    return (
        match_score(inputs.matches, leader, units),
        hold_score(inputs.hold, inputs.need, leader, situation, units, own),
        length_score(leader, situation, units),
    )
