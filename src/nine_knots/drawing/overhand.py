"""Multiple overhands: two passes twisted round each other, joined by an arc below.

With three crossings it is the overhand, with five the double, with seven the triple: the free end
has gone through the loop once, twice, three times.
"""

from math import pi

import numpy as np

from nine_knots.drawing.figure import DrawnStrand
from nine_knots.drawing.path import Curve, Path, between, offset, smooth

REACH = 62.0


def overhand(crossings: int, k: float, from_x: float, to_x: float) -> Path:
    """From the left at ``from_x`` through the knot to the right at ``to_x``, in three steps.

    It is laid along; the loop is made below; the end goes through it.
    """
    half = between(3.4 * crossings, 1.5 * crossings, k)
    radius = between(4.6, 2.6, k)
    deep = between(26.0, 6.5, k)
    wide = between(half + 13.0, half + 3.5, k)
    path = Path(from_x, radius)
    path.to((-half - 8.0, radius, 0.0)).mark()
    _pass(path, crossings, half, radius, 0.0)
    path.to((wide, -0.45 * deep, 0.0), (0.55 * wide, -deep, 0.0), (-0.55 * wide, -deep, 0.0))
    path.to((-wide, -0.45 * deep, 0.0))
    path.mark().tag()
    _pass(path, crossings, half, radius, pi)
    path.to((half + 8.0, radius, 0.0), (to_x, radius, 0.0))
    path.mark()
    return path


def _pass(path: Path, crossings: int, half: float, radius: float, phase: float) -> None:
    """One of the two passes: half a turn for each crossing, beginning above with phase 0."""
    path.coil(-half, half, 0.0, -radius, crossings / 2.0, phase)


def doubled_overhand(
    crossings: int, k: float, to_x: float, loop: float, tag_x: float
) -> tuple[DrawnStrand, DrawnStrand]:
    """An overhand in the doubled line, whose doubled end is a loop of length ``loop``.

    The standing part comes from the edge of the drawing, the tag lies beside it from ``tag_x``.
    """
    beside = between(1.9, 1.4, k)
    status = offset(smooth(overhand(crossings, k, -REACH, to_x)), beside)
    tag = offset(smooth(overhand(crossings, k, tag_x, to_x)), -beside)
    x, y, _ = status.points[-1]
    turn = Path(float(x), float(y))
    turn.to((x + 0.4 * loop, y + 0.2 * loop, 0.0), (x + loop, y - beside, 0.0))
    turn.to((x + 0.4 * loop, y - 2 * beside - 0.2 * loop, 0.0), (x, y - 2 * beside, 0.0))
    points = np.concatenate([status.points, smooth(turn).points[1:]])
    last = len(points) - 1
    whole = Curve(points, (*status.marks[:2], last), (last, last))
    tag = Curve(tag.points, tag.marks, (0, tag.marks[0]))
    return DrawnStrand("upper", whole), DrawnStrand("upper", tag)
