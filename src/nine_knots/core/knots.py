"""Knots: where each belongs, what strength it keeps, how many turns, how much line it uses.

Strength kept is typical for well-tied knots [M; spread matters as much as the mean]; turns are
common practice [P]. Own tests beat tables.
"""

from math import pi
from typing import Literal

from pydantic import Field

from nine_knots.core.materials import Material
from nine_knots.core.units.factors import THOU_M
from nine_knots.core.values import Frozen

KnotKey = Literal[
    "perfection-loop",
    "surgeons-loop",
    "nail",
    "blood",
    "double-surgeons",
    "triple-surgeons",
    "double-uni",
    "albright",
    "bimini",
    "uni",
    "clinch",
    "improved-clinch",
    "palomar",
    "non-slip-loop",
    "haywire",
]
Place = Literal["line", "loop", "between", "eye"]

FLUOROCARBON_LOSS = 0.07  # [M: 5 to 10 points]
UNLIKE_LOSS = 0.05  # fluorocarbon tied straight to nylon [G]
LIKE_RATIO = 1.18  # a step of .003 in at .018 in and finer ones count as like sizes [G]


class Knot(Frozen):
    """One knot as data.

    ``kept`` is the mean share of the strand's strength, ``spread`` its coefficient of variation,
    ``step_loss`` what is lost for each unit of diameter ratio beyond like sizes, ``held_m`` the
    line held and trimmed in one piece besides the wraps.
    """

    key: KnotKey
    title: str
    place: Place
    kept: float = Field(gt=0, le=1)
    spread: float = Field(gt=0, lt=0.5)
    step_loss: float = 0.0
    held_m: float = Field(gt=0, lt=0.6)
    turns_fine: int
    turns_heavy: int
    wire: bool = False
    note: str


_TABLE = (
    Knot(
        key="perfection-loop",
        title="perfection loop",
        place="loop",
        kept=0.80,
        spread=0.06,
        held_m=0.10,
        turns_fine=1,
        turns_heavy=1,
        note="Slim, and stands in line with the leader.",
    ),
    Knot(
        key="surgeons-loop",
        title="surgeon's loop",
        place="loop",
        kept=0.90,
        spread=0.05,
        held_m=0.12,
        turns_fine=3,
        turns_heavy=2,
        note="Stronger than the perfection loop, and bulkier.",
    ),
    Knot(
        key="nail",
        title="nail knot",
        place="line",
        kept=0.87,
        spread=0.05,
        held_m=0.08,
        turns_fine=7,
        turns_heavy=5,
        note="Semi-permanent; slim on a bare line tip.",
    ),
    Knot(
        key="blood",
        title="blood knot",
        place="between",
        kept=0.86,
        spread=0.06,
        step_loss=0.25,
        held_m=0.065,
        turns_fine=6,
        turns_heavy=4,
        note="Tags must leave on opposite sides, or it was wound wrong: retie.",
    ),
    Knot(
        key="double-surgeons",
        title="double surgeon's",
        place="between",
        kept=0.90,
        spread=0.05,
        step_loss=0.06,
        held_m=0.065,
        turns_fine=2,
        turns_heavy=2,
        note="Takes unlike sizes; leaves a bend in thick material.",
    ),
    Knot(
        key="triple-surgeons",
        title="triple surgeon's",
        place="between",
        kept=0.91,
        spread=0.05,
        step_loss=0.06,
        held_m=0.075,
        turns_fine=3,
        turns_heavy=3,
        note="For fluorocarbon and for dropper tags.",
    ),
    Knot(
        key="double-uni",
        title="double uni",
        place="between",
        kept=0.88,
        spread=0.05,
        step_loss=0.10,
        held_m=0.09,
        turns_fine=6,
        turns_heavy=4,
        note="Good with fluorocarbon; slower to tie.",
    ),
    Knot(
        key="albright",
        title="albright",
        place="between",
        kept=0.86,
        spread=0.06,
        held_m=0.09,
        turns_fine=12,
        turns_heavy=10,
        note="For very unlike diameters.",
    ),
    Knot(
        key="bimini",
        title="bimini twist",
        place="loop",
        kept=0.98,
        spread=0.03,
        held_m=0.50,
        turns_fine=20,
        turns_heavy=20,
        note="Near full strength; uses much line.",
    ),
    Knot(
        key="uni",
        title="uni knot",
        place="eye",
        kept=0.90,
        spread=0.05,
        held_m=0.07,
        turns_fine=6,
        turns_heavy=4,
        note="Good with fluorocarbon on rings and swivels.",
    ),
    Knot(
        key="clinch",
        title="clinch",
        place="eye",
        kept=0.80,
        spread=0.07,
        held_m=0.05,
        turns_fine=7,
        turns_heavy=4,
        note="Quick in fine tippet; not in heavy mono.",
    ),
    Knot(
        key="improved-clinch",
        title="improved clinch",
        place="eye",
        kept=0.90,
        spread=0.05,
        held_m=0.05,
        turns_fine=6,
        turns_heavy=4,
        note="The usual fly knot; not in heavy mono.",
    ),
    Knot(
        key="palomar",
        title="palomar",
        place="eye",
        kept=0.94,
        spread=0.04,
        held_m=0.12,
        turns_fine=1,
        turns_heavy=1,
        note="Strong; the fly must pass through the loop.",
    ),
    Knot(
        key="non-slip-loop",
        title="non-slip loop",
        place="eye",
        kept=0.90,
        spread=0.05,
        held_m=0.08,
        turns_fine=7,
        turns_heavy=3,
        note="The fly swings free on stiff tippet.",
    ),
    Knot(
        key="haywire",
        title="haywire twist",
        place="eye",
        kept=0.95,
        spread=0.04,
        held_m=0.10,
        turns_fine=8,
        turns_heavy=8,
        wire=True,
        note="Single-strand wire only; bend the tag off so that no sharp end is left.",
    ),
)

KNOTS: dict[str, Knot] = {knot.key: knot for knot in _TABLE}

HEAVY_M = 22.5 * THOU_M  # 4 turns from here up [P]
STOUT_M = 16.5 * THOU_M  # 5 turns from here up [P]


def strength_kept(knot: Knot, side: Material, other: Material | None, ratio: float) -> float:
    """Mean share of a side's strength that the knot keeps.

    ``side`` is the material of that side, ``other`` that of the other strand (None at an eye or
    a loop), ``ratio`` thicker over thinner diameter (1 at an eye).
    """
    kept = knot.kept - knot.step_loss * max(0.0, ratio - LIKE_RATIO)
    if side.family == "fluorocarbon":
        kept -= FLUOROCARBON_LOSS
    if other is not None and {side.family, other.family} == {"nylon", "fluorocarbon"}:
        kept -= UNLIKE_LOSS
    return max(0.3, kept)


def turns(knot: Knot, upper_m: float, lower_m: float | None = None) -> tuple[int, int]:
    """Turns to make with the upper and the lower strand, of diameters in metres.

    A blood knot takes 4+4 in 30/25 lb stuff (.027/.024 in), 4+5 and 5+6 as it gets finer, 6+7 in
    tippet sizes [P].
    """
    if knot.key == "blood" and lower_m is not None:
        above = 4 if upper_m >= HEAVY_M else 5 if upper_m >= STOUT_M else 6
        return above, 4 if lower_m >= HEAVY_M else above + 1
    if upper_m >= HEAVY_M:
        count = knot.turns_heavy
    elif upper_m >= STOUT_M:
        count = (knot.turns_heavy + knot.turns_fine) // 2
    else:
        count = knot.turns_fine
    return count, count


def line_used_m(
    knot: Knot, own_turns: int, own_m: float, other_m: float, handiness: float
) -> float:
    """Line in metres that a knot takes from one piece.

    n turns of pitch pi (d1 + d2), and what is held and trimmed, which ``handiness`` scales:
    1 for a usual hand, less for a practised one.
    """
    return own_turns * pi * (own_m + other_m) + handiness * knot.held_m
