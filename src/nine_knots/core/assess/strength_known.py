"""How surely it is known what a leader holds, and by what: label, material's law, or pulls."""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.domain.knots.own import PulledKnot
from nine_knots.core.domain.leader import Leader
from nine_knots.core.strength.elements import Hold, tested_as

LABEL_OFF, LAW_OFF, PULLED_OFF = 0.08, 0.12, 0.04  # one standard deviation [M: labels vary ±15 %]
ENOUGH_PULLS = 3
By = Literal["label", "law", "pulls"]


@dataclass(frozen=True, slots=True)
class StrengthKnown:
    """How far off the hold may be, as a share; by what it is known; of which piece's strand."""

    off: float
    by: By
    piece: int


def strength_known(leader: Leader, hold: Hold, own: tuple[PulledKnot, ...] = ()) -> StrengthKnown:
    """By what goes first: its strand's label or law, unless its knot was pulled often enough."""
    weakest = hold.break_element
    piece = min(weakest.index, len(leader.pieces) - 1)
    if weakest.what == "joint":
        joint = leader.joints[weakest.index]
        sides = [n for n in (weakest.index - 1, weakest.index) if 0 <= n < len(leader.pieces)]
        piece = min(sides, key=lambda n: leader.pieces[n].breaking_at_n(0.0))
        family = leader.pieces[piece].strand.substance.family
        keys = [key for key in (joint.knot, joint.upper_knot) if key is not None]
        pulled = [found for key in keys if (found := tested_as(key, family, own)) is not None]
        if pulled and max(knot.tests for knot in pulled) >= ENOUGH_PULLS:
            return StrengthKnown(PULLED_OFF, "pulls", piece)
    labelled = leader.pieces[piece].strand.strength_n is not None
    return StrengthKnown(LABEL_OFF if labelled else LAW_OFF, "label" if labelled else "law", piece)
