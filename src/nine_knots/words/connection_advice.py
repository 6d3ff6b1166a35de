"""Advice at a joint in words: what to tie and why, and what is wrong with what is tied."""

from collections.abc import Callable
from dataclasses import dataclass

from nine_knots.core.domain.knots import KNOTS
from nine_knots.core.domain.leader.connection_advice import ConnectionAdvice
from nine_knots.core.domain.leader.connection_faults import ConnectionFault, ConnectionFlaw
from nine_knots.core.domain.leader.connection_titles import choice_title, with_article
from nine_knots.core.domain.leader.connections import ConnectionReason
from nine_knots.core.domain.leader.joints import Connection
from nine_knots.core.domain.materials import MATERIALS

Why, Flaw = ConnectionReason, ConnectionFlaw
REASONS: dict[ConnectionReason, str] = {
    Why.LOOP_TO_LOOP: "changed in a minute, and the welded loop helps the line tip float; two "
    "loops make a thicker, looser hinge.",
    Why.LOOP_MAY_SAW: "changed in a minute, but a loop this thin saws into the line's coated loop "
    "in time: check it, or loop a short butt of 40 lb (.024 in, 0.6 mm) between.",
    Why.COMES_LOOPED: "a bought leader comes looped, so there is nothing to tie here.",
    Why.NAIL_AT_THE_LINE: "slimmer, and runs through the guides; each renewal costs about two "
    "inches of the line's taper, and a cut tip floats less well.",
    Why.THIN_LOOP: "so thin a loop would cut the line's loop; a knot to it can't saw.",
    Why.NAIL_FOR_THE_LOOP: "slimmest, tied straight to the line tip with its loop cut off.",
    Why.SINGLE_WIRE: "the only knot for single-strand wire.",
    Why.SNAP: "flies can be changed without cutting the wire; adds a little weight at the fly's "
    "nose.",
    Why.SWINGS_ON_WIRE: "the fly swings free on the wire.",
    Why.SWINGS_FREE: "the fly swings free on stiff tippet.",
    Why.TRACKS_STRAIGHTER: "snugged on the eye it tracks straighter and tangles less.",
    Why.SEATS_IN_HEAVY_MONO: "seats in heavy mono, where a clinch does not.",
    Why.LETS_THE_FLY_SWING: "lets the fly swing, for those who want it to.",
    Why.QUICK_IN_FINE_TIPPET: "quick, small, and strong in fine tippet.",
    Why.STRONGEST_AT_THE_EYE: "the strongest, if you don't mind the line it uses.",
    Why.SWIVEL_TO_WIRE: "joins wire to mono and takes out twist.",
    Why.SWIVEL_TO_SOFT_WIRE: "joins wire to mono and takes out twist.",
    Why.RING_TO_WIRE: "lighter than a swivel, but doesn't take out twist.",
    Why.SURGEONS_TO_SOFT_WIRE: "no metal in between, for soft stranded wire: it keeps less "
    "strength and kinks the wire permanently.",
    Why.BRAID_LOOPED_ON: "a braided loop is looped on, not knotted.",
    Why.SLIMMER_LOOPS: "slimmer in line, a little weaker.",
    Why.RING_OF_TWO_MATERIALS: "fluorocarbon straight to nylon is a weak spot; use a ring between "
    "them.",
    Why.THREE_TURNS_OF_TWO_MATERIALS: "between fluorocarbon and nylon, three turns hold a little "
    "more than two.",
    Why.NO_METAL_OF_TWO_MATERIALS: "no metal in the leader; a little weaker than the ring.",
    Why.RING_FOR_A_SEASON: "the other school joins them with a ring and keeps the leader for a "
    "season.",
    Why.LIKE_SIZES: "similar sizes: slim and straight at any thickness.",
    Why.EASY_IN_THE_DARK: "the easiest with numb fingers or no light.",
    Why.EASY_BUT_BULKY: "the easiest with numb fingers or no light; in stout mono it is bulky and "
    "leaves a bend.",
    Why.TOO_UNLIKE: "too unlike for one knot: a ring joins any two sizes.",
    Why.NO_RINGS_CARRIED: "no metal, if you carry no rings; weaker at such a step.",
    Why.VERY_UNLIKE_AND_HEAVY: "very unlike sizes in heavy mono.",
    Why.STRONGER_AT_SMALL_STEPS: "stronger where the step is not too great.",
    Why.UNLIKE_AND_STOUT: "unlike sizes in stout mono: each half seats separately.",
    Why.TAKES_ANY_STEP: "slimmer, and takes any step; needs patience.",
    Why.UNLIKE_TO_STOUT: "joins unlike sizes; bulky in stout mono, with a bend.",
    Why.SLOWER_AND_STRAIGHTER: "each half seats separately; slower and straighter.",
    Why.UNLIKE_SIZES: "joins unlike sizes, and is easy to tie in the dark.",
    Why.RING_OF_ANY_SIZES: "joins any two sizes, and the leader above lasts the season.",
    Why.RING_SET: "joins any two sizes, and the leader above it lasts the season.",
    Why.SWIVEL_SET: "joins any two sizes, takes out twist, and stops shot from slipping.",
    Why.FROM_THE_BEND: "from the bend: simplest, and it tangles least.",
    Why.FROM_THE_EYE: "from the eye: leaves the bend free to hook, and lets the fly swing.",
    Why.TAG_FOR_A_DROPPER: "its tag, the end of the upper piece that points to the fly, carries "
    "the dropper.",
}
# What is wrong, and what to do: with the knot at the start of a sentence or within it, what it is
# tied in, and what is usually tied there.
FLAWS: dict[ConnectionFlaw, tuple[str, str]] = {
    Flaw.NO_LOOP_ON_THE_LINE: ("This line tip has no loop.", "Nail the butt on."),
    Flaw.THIN_LOOP: (
        "So thin a loop cuts into the line's coated loop.",
        "Knot it to the loop, or loop a short butt of 40 lb (.024 in, 0.6 mm) between.",
    ),
    Flaw.SLIPS_IN_WIRE: ("{Knot} doesn't hold in {material}.", "Tie {usual}."),
    Flaw.FOR_WIRE_ONLY: ("{Knot} is for wire only.", "Tie {usual}."),
    Flaw.TOO_HEAVY: ("{Knot} doesn't seat in mono this heavy.", "Tie {usual}."),
    Flaw.STEP_TOO_GREAT: (
        "The step is too great for {knot}: the thinner strand slips or cuts.",
        "Tie {usual}.",
    ),
    Flaw.SLIPS_BETWEEN_MATERIALS: (
        "{Knot} from fluorocarbon to nylon slips more than it needs to.",
        "Tie {usual}.",
    ),
    Flaw.NO_TAG: (
        "{Knot} leaves no tag for a dropper.",
        "Tie {usual} and use the tag pointing to the fly.",
    ),
    Flaw.RUNS_BACKWARDS: ("Thicker material follows thinner.", "Swap the two, or step down here."),
}


@dataclass(frozen=True, slots=True)
class ChoiceReading:
    """A way to tie a joint, what it is called and why, and what it holds."""

    joint: Connection
    title: str
    reason: str
    holds: str


@dataclass(frozen=True, slots=True)
class FaultReading:
    """What is poor about a joint as it is tied, and what to do; ``instead`` where a knot does."""

    what: str
    hint: str
    instead: Connection | None


@dataclass(frozen=True, slots=True)
class AdviceReading:
    """The best choice at a joint, the other school's, and the faults of the one that is tied."""

    best: ChoiceReading
    other: ChoiceReading
    faults: tuple[FaultReading, ...]


def advice_reading(advice: ConnectionAdvice, holds: Callable[[Connection], str]) -> AdviceReading:
    """Advice in words; ``holds`` says what a joint holds."""
    faults = tuple(fault_reading(fault) for fault in advice.faults)
    best, other = (
        ChoiceReading(
            choice.joint, choice_title(choice.joint), REASONS[choice.reason], holds(choice.joint)
        )
        for choice in (advice.best, advice.other)
    )
    return AdviceReading(best, other, faults)


def fault_reading(fault: ConnectionFault) -> FaultReading:
    """A fault in words."""
    name = KNOTS[fault.knot].title
    told = {
        "Knot": with_article(name),
        "knot": with_article(name, False),
        "material": MATERIALS[fault.material].title if fault.material else "",
        "usual": with_article(choice_title(fault.usual), False) if fault.usual else "",
    }
    what, hint = (text.format(**told) for text in FLAWS[fault.flaw])
    return FaultReading(what, hint, fault.instead)
