"""What a knot keeps, how it is wound, what it uses and how big it comes out."""

from math import pi

from nine_knots.core.domain.knots.table import HEAVY_M, STOUT_M, Knot
from nine_knots.core.domain.materials import Material

FLUOROCARBON_LOSS = 0.07  # [M: 5 to 10 points]
UNLIKE_LOSS = 0.05  # fluorocarbon tied straight to nylon [G]
WIRE_LOSS = 0.18  # soft wire and mono knotted together: the wire kinks and cuts in [G]
LIKE_RATIO = 1.18  # a step of .003 in at .018 in and finer ones count as like sizes [G]
LOOP_M = 0.012  # length of a loop as tied [G]
SNUG = 1.25  # of the thickness of its coils, the length of a barrel [G]


def knot_efficiency(knot: Knot, side: Material, other: Material | None, ratio: float) -> float:
    """Mean share of a side's strength that the knot keeps.

    ``side`` is the material of that side, ``other`` that of the other strand (None at an eye or
    a loop), ``ratio`` thicker over thinner diameter (1 at an eye).
    """
    efficiency = knot.efficiency - knot.size_step_loss * max(0.0, ratio - LIKE_RATIO)
    if side.family == "fluorocarbon":
        efficiency -= FLUOROCARBON_LOSS
    if other is not None and {side.family, other.family} == {"nylon", "fluorocarbon"}:
        efficiency -= UNLIKE_LOSS
    if other is not None and (side.family == "wire") != (other.family == "wire"):
        efficiency -= WIRE_LOSS
    return max(0.3, efficiency)


def turns(knot: Knot, upper_m: float, lower_m: float | None = None) -> tuple[int, int]:
    """Turns to make with the upper and the lower strand, of diameters in metres.

    A blood knot takes 4+4 in 30/25 lb stuff (.027/.024 in), 4+5 and 5+6 as it gets finer, 6+7 in
    tippet sizes [P].
    """
    if upper_m >= HEAVY_M:
        count = knot.turns_heavy
    elif upper_m >= STOUT_M:
        count = (knot.turns_heavy + knot.turns_fine) // 2
    else:
        count = knot.turns_fine
    if knot.one_more_below and lower_m is not None:
        return count, knot.turns_heavy if lower_m >= HEAVY_M else count + 1
    return count, count


def line_used_m(
    knot: Knot, own_turns: int, own_m: float, other_m: float, handiness: float
) -> float:
    """Line in metres that a knot takes from one piece.

    n turns of pitch pi (d1 + d2), and what is held and trimmed, which ``handiness`` scales:
    1 for a usual hand, less for a practised one.
    """
    return own_turns * pi * (own_m + other_m) + handiness * knot.tag_allowance_m


def finished_m(knot: Knot, own_turns: tuple[int, int], upper_m: float, lower_m: float) -> float:
    """Length of the finished knot in metres: its coils side by side, and its loop."""
    barrel = SNUG * (own_turns[0] * upper_m + own_turns[1] * lower_m)
    return barrel + (LOOP_M if knot.loops else 0.0)
