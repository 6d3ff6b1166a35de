"""The nail knot on a line's tip, and the haywire twist in wire."""

from math import pi

from nine_knots.drawing.figure import Figure, KnotPath, strand
from nine_knots.drawing.knots.eyes import EYE_R, eye
from nine_knots.drawing.path import Path, between

REACH = 62.0


def _nail(k: float) -> Figure:
    left, right = between(-24.0, -12.0, k), between(20.0, 10.0, k)
    radius = between(9.0, 6.2, k)
    line = Path(-REACH, 0.0)
    line.to((0.0, 0.0, 0.0), (right + between(16.0, 10.0, k), 0.0, 0.0))
    path = Path(REACH, -4.2)
    path.to((right, -4.2, 0.0), (left, -4.2, 0.0), (left - 6.0, -4.2, 0.0)).mark()
    path.to((left - between(14.0, 9.0, k), 0.0, 2.0), (left - 7.0, radius + 1.0, 3.0)).tag()
    path.coil(left, right, 0.0, radius, 5.0, pi)
    path.mark()
    path.to((right + 5.0, radius - 1.0, 0.0), (right + 2.0, 4.6, 0.0), (right - 6.0, 4.2, 0.0))
    path.to((left, 4.2, 0.0), (left - between(12.0, 8.0, k), between(9.0, 7.0, k), 0.0)).mark()
    return Figure((strand("line", line, fixed=True), strand("upper", path)))


def _haywire(k: float) -> Figure:
    x = 52.0
    near, middle, far = 30.0, between(-4.0, 2.0, k), between(-24.0, -14.0, k)
    radius = between(4.4, 2.6, k)
    turns = 4.0
    path = Path(-REACH, 0.0)
    path.to((far - 8.0, 0.0, 0.0), (far, 0.0, 0.0), (middle - 3.0, 0.0, 0.0))
    path.coil(middle, near, 0.0, -radius, turns)
    path.to((near + 8.0, radius + 3.0, 0.0), (x - EYE_R, radius + 2.5, 1.0), (x - 1.0, 2.0, 2.0))
    path.to((x - 0.5, -1.0, -2.0), (x - EYE_R, -radius - 2.5, -2.0)).mark().tag()
    path.to((near + 8.0, -radius - 3.0, 0.0))
    twist = Path(0.0, 0.0).coil(middle, near, 0.0, -radius, turns, pi)
    path.to(*twist.points[:0:-1]).mark()
    path.coil(middle - 4.0, far, 0.0, between(4.6, 3.2, k), 5.0, pi)
    path.mark()
    path.to((far - 2.0, 9.0, 3.0), (far - 2.5, 16.0, 0.0)).mark()
    return Figure((eye(x), strand("upper", path)))


WRAPS = {
    "nail": KnotPath(
        (
            "Lay the butt along the line's tip, a tube or nail beside them.",
            "Wind the end back over line, butt and nail, close and even.",
            "Draw the nail out and pass the end through where it was.",
            "Wet it, draw both ends until the wraps bite into the line, trim both.",
        ),
        _nail,
    ),
    "haywire": KnotPath(
        (
            "Through the eye, and back: a loop of wire.",
            "Cross the two wires over one another, eight times, both bending alike.",
            "Then wind the end square round the wire, close barrel wraps.",
            "Bend the end into a crank.",
            "Turn the crank until it breaks off flush. Never cut it: a cut end is sharp.",
        ),
        _haywire,
    ),
}
