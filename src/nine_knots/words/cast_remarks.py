"""What is said of a cast beside its margin: balance, the pick-up, what decides it."""

from nine_knots.core.assess.balance import BalanceKind
from nine_knots.core.assess.dominant_uncertainty import DominantUncertainty, Doubt
from nine_knots.core.assess.pick_up import PickUp

BALANCE: dict[BalanceKind, str] = {
    "agree": "",
    "too much fly": "Too much fly for this line and leader: use a smaller fly, or a shorter, "
    "stouter leader.",
    "too much leader": "The leader takes too much energy: it is too long and fine for this line.",
    "no life": "So small a fly has no life on so stout a tippet: go finer, or longer.",
}
PICK_UPS: dict[PickUp, str] = {
    "line is sunk": "The line is sunk: strip in to its head and roll it up before you cast again.",
    "fly floats": "The fly floats: it comes off the water easily.",
    "easy": "The fly comes out of the water easily.",
    "steady draw": "The fly lifts out on a steady draw: rod low, line straight, no hurry.",
    "grips": "The fly grips the water: roll cast it up first.",
}
DOUBTS: dict[Doubt, str] = {
    "fly's drag": "this fly's air resistance (±40 %): a drop test indoors would settle it",
    "line's stiffness": "your line's stiffness: measure the droop of its {parts}",
    "own speed": "how fast you throw: record how a few of your casts landed",
}


def uncertainty_words(found: DominantUncertainty | None) -> str:
    """What a turnover depends on most, in a sentence; nothing where nothing decides it."""
    if found is None:
        return ""
    parts = " and its ".join(found.parts)
    said = [DOUBTS[doubt].format(parts=parts) for doubt in found.doubts]
    return f"It depends most on {'; and on '.join(said)}."
