"""How surely a rig reaches the zone, in words."""

from dataclasses import dataclass

from nine_knots.core.assess.reach import (
    FALLS_OFF,
    GUESSED_OFF,
    JARRED_OFF,
    LANDS_OFF,
    Reach,
    Unsure,
)
from nine_knots.core.base.score import Status
from nine_knots.core.base.units import Units
from nine_knots.words.facts import Fact

SURE = 0.6  # of the tries, below which it is told as missing the zone
SOURCES: dict[Unsure, tuple[str, str]] = {
    "pace": ("how fast the stream is", "Time a stick over a few steps."),
    "depth": ("how deep it is", "Sound it with a weight on the line."),
    "fly": ("how fast the flies fall", "Time one falling in a jar of water."),
    "landing": ("where the cast lands", "Only practice helps: it can't be measured away."),
}
SUPPOSED = (
    f"Each trial varies the water's speed and depth by {GUESSED_OFF:.0%}, the flies' sink rate "
    f"by {FALLS_OFF:.0%} ({JARRED_OFF:.0%}, or the spread of your jar test), and the cast's "
    f"distance by {LANDS_OFF:.0%} of the distance."
)


@dataclass(frozen=True, slots=True)
class ReachReading:
    """How often it is where it should be, what would make that surer, and what was tried."""

    fact: Fact
    settle: str
    supposed: str


def reach_reading(found: Reach | None, units: Units) -> ReachReading:
    """The reading of what was found; a fly on top has no zone to reach, and is told so."""
    if found is None:
        return ReachReading(Fact("Zone", "no zone to reach: the fly stays on top."), "", "")
    status: Status = "right"
    if found.right < SURE * found.tries:
        status = "too little" if found.high >= found.deep else "too much"
    least, most = (units.depth(depth).text for depth in found.between_m)
    swims = f"at {least}" if least == most else f"between {least} and {most}"
    text = f"{found.right} of {found.tries} tries {_where(found)}. Four in five fish {swims}."
    return ReachReading(Fact("Zone", text, status), _settle(found), SUPPOSED)


def _where(found: Reach) -> str:
    right = "reach the depth you asked for" if found.wanted else "fish in the zone"
    if found.any_depth:
        right = "keep clear of the bed"
    missed = [(found.high, "too high"), (found.deep, "too deep" if found.wanted else "on the bed")]
    said = [f"{count} {where}" for count, where in missed if count]
    return ", ".join([right, *said])


def _settle(found: Reach) -> str:
    if found.right == 0:
        return "It isn't a question of certainty: the Water stage shows what would fix it."
    if found.right == found.tries or not found.shares:
        return ""
    source, share = found.shares[0]
    what, hint = SOURCES[source]
    return f"Most of what moves it, {share:.0%}, is {what}. {hint}"
