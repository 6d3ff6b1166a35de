"""Match, hold and length, in words."""

from nine_knots.core.assess.verdict import (
    HoldFinding,
    HoldReason,
    LengthFinding,
    LengthReason,
    MatchFinding,
    MatchReason,
)
from nine_knots.core.base.score import Reason
from nine_knots.core.base.units import Units
from nine_knots.words.failure_report import break_place, lost_words, pull_tests_words

MATCH_FIGURES = {
    MatchReason.FITS: "steps evenly",
    MatchReason.SOFT: "a little soft",
    MatchReason.HINGE: "hinges",
    MatchReason.FIRM: "a little stiff",
    MatchReason.KICK: "kicks",
    MatchReason.FLAT_SPOT: "flat spot",
    MatchReason.REVERSAL: "runs backwards",
    MatchReason.TRACE: "steps evenly",
    MatchReason.PARTED: "steps evenly",
    MatchReason.LED: "steps evenly",
}
LENGTHS: dict[Reason, str] = {
    LengthReason.SHORTER_THAN_MOST: "Shorter than most use here.",
    LengthReason.LONGER_THAN_MOST: "Longer than most use here.",
    LengthReason.TOO_SHORT: "Shorter than anyone fishes with this line and fly.",
    LengthReason.TOO_LONG: "Longer than anyone fishes with this line and fly.",
}
WEIGHT_LEADS = " Weight leads here, so the joint to the line isn't judged."


def match_why(found: MatchFinding, units: Units) -> str:
    """What the worst joint does, and by how much."""
    return _match_why(found, units) + (WEIGHT_LEADS if found.weight_leads and found.joint else "")


def _match_why(found: MatchFinding, units: Units) -> str:
    place = f"joint {found.joint}" if found.joint else "the line"
    since = "the line's tip" if found.above_m is None else units.diameter(found.above_m).text
    step = f"from {since} to {units.diameter(found.below_m).text}"
    times = _times(found.bend_step)
    softness = "softer" if found.bend_step < 1 else "stiffer"
    said: dict[Reason, str] = {
        MatchReason.HINGE: f"At {place}, {step}, it gets {times} times softer: the loop folds "
        "there.",
        MatchReason.SOFT: f"Softest step at {place}, {step}: {times} times softer, near a hinge.",
        MatchReason.REVERSAL: f"At {place}, {step}, a thicker piece follows a thinner one.",
        MatchReason.KICK: f"At {place}, {step}, it gets {times} times stiffer: it kicks.",
        MatchReason.FIRM: f"At {place}, {step}, the butt is {times} times as stiff: near a kick.",
        MatchReason.FLAT_SPOT: f"Two joints around {place} have no step between them: you could "
        "save a knot.",
        MatchReason.TRACE: "The bite piece is thick or stiff because of teeth, so its step isn't "
        "judged.",
        MatchReason.PARTED: f"At {place} a ring or swivel joins the two sizes, so the step isn't "
        "judged.",
        MatchReason.LED: "Flies or weight lead the part below, so its steps aren't judged.",
        MatchReason.FITS: f"The greatest step, at {place}, {step}, turns {times} times {softness}: "
        "no joint folds.",
    }
    return said[found.reason]


def _times(step: float) -> str:
    factor = max(step, 1.0 / step)
    return f"{factor:.1f}" if factor < 10 else f"{factor:.0f}"


def hold_figure(found: HoldFinding, units: Units) -> str:
    """``breaks at 5.1 lb``."""
    return f"breaks at {units.load(found.mean_n).text}"


def hold_why(found: HoldFinding, units: Units) -> str:
    """Where it breaks first, what is lost, what may be asked."""
    asked = "a strike" if found.by_strike else "the fish"
    why = (
        f"Breaks first {break_place(found.broken)} ({found.chance:.0%}): you lose "
        f"{lost_words(found.broken, units)}. Here {asked} may ask {units.load(found.need_n).text}."
    )
    if found.tests:
        why += f" Its knot strength is{pull_tests_words(found.tests).removeprefix(',')}."
    if found.stout:
        why += " Finer tippet would still hold."
    if found.reason is HoldReason.CUT_BY_TEETH:
        return (
            f"A {found.fish} cuts plain tippet: end the leader in wire or a heavy bite piece. {why}"
        )
    if found.reason is HoldReason.TOO_FINE_FOR_FLY:
        advised = units.tippet(found.advised_m).text
        return (
            f"Too fine for this fly: it spins and snaps off. Use about {advised}, or a smaller "
            f"fly; a small swivel takes out what twist is left. {why}"
        )
    if found.reason is HoldReason.WORN_BY_MOUTH:
        return (
            f"A {found.fish}'s rasping mouth wears through plain tippet: end the leader in a "
            f"short, stout bite piece. {why}"
        )
    return why


def length_figure(found: LengthFinding, units: Units) -> str:
    """Its length."""
    return units.length(found.length_m).text


def length_why(found: LengthFinding, units: Units) -> str:
    """What is usual here, and by whom."""
    low, usual, high = (
        units.length(each).text for each in (found.low_m, found.usual_m, found.high_m)
    )
    spans = f"{found.school or 'This water and line'}: {low} to {high} here, usually {usual}."
    return f"{LENGTHS.get(found.reason, '')} {spans}".strip()
