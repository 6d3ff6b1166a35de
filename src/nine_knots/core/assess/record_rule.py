"""The record rule for class and bite tippets, checked when the angler asks for it.

Class tippet: at least 15 in (38.1 cm) between its knots. Bite tippet: at most 12 in (30.48 cm) from
the hook's eye to the single strand of the class tippet, knots included [S: IGFA2023, figures M].
The rules in force decide; this is a reminder.
"""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.base.units.factors import INCH_M
from nine_knots.core.domain.knots import KNOTS, finished_m, turns
from nine_knots.core.domain.leader import Leader

LEAST_CLASS_M = 15.0 * INCH_M
MOST_BITE_M = 12.0 * INCH_M


@dataclass(frozen=True, slots=True)
class RecordCheck:
    """One length in metres against the rule's least or most; None where no piece is of the kind."""

    piece: Literal["class", "bite"]
    length_m: float | None
    limit_m: float
    passes: bool


def bite_m(leader: Leader) -> float | None:
    """Length in metres of the bite tippet with its knots; None where there is none."""
    last = len(leader.pieces) - 1
    bite = leader.pieces[last]
    if bite.role != "bite":
        return None
    upper, eye = leader.joints[last], leader.joints[-1]
    above = leader.pieces[last - 1] if last > 0 else bite
    knot = KNOTS[upper.knot]
    upper_m, lower_m = above.lower_diameter_m, bite.upper_diameter_m
    total = bite.length_m + finished_m(knot, turns(knot, upper_m, lower_m), upper_m, lower_m)
    thick_m = bite.lower_diameter_m
    wound, _ = turns(KNOTS[eye.knot], thick_m)
    return total + finished_m(KNOTS[eye.knot], (wound, 0), thick_m, thick_m)


def class_m(leader: Leader) -> float | None:
    """Length in metres of the class tippet between its knots; None where no piece is one."""
    lengths = [piece.length_m for piece in leader.pieces if piece.role == "tippet"]
    return lengths[-1] if lengths else None


def record_checks(leader: Leader) -> tuple[RecordCheck, ...]:
    """What the record rule asks of this leader, and whether it is so."""
    found = class_m(leader)
    passes = found is not None and found >= LEAST_CLASS_M - 1e-6
    checks = [RecordCheck("class", found, LEAST_CLASS_M, passes)]
    bite = bite_m(leader)
    if bite is not None:
        checks.append(RecordCheck("bite", bite, MOST_BITE_M, bite <= MOST_BITE_M + 1e-6))
    return tuple(checks)
