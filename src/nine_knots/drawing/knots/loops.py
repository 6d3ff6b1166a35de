"""Loop knots: the line comes from the left, the loop stands at the right."""

from math import pi

from nine_knots.drawing.figure import Figure, KnotPath, strand
from nine_knots.drawing.overhand import doubled_overhand
from nine_knots.drawing.path import Path, between

REACH = 62.0


def _surgeons_loop(k: float) -> Figure:
    """An overhand in the doubled line; its doubled end, turned back on itself, is the loop."""
    return Figure(doubled_overhand(5, k, 30.0, 34.0, -between(46.0, 30.0, k)))


def _perfection(k: float) -> Figure:
    """First loop behind, second in front, the end between them, the second through the first."""
    big, small = between(20.0, 9.0, k), between(13.0, 6.0, k)
    pulled = between(0.0, 26.0, k)
    path = Path(-REACH, 0.0)
    path.to((-12.0, 0.0, 2.0), (0.0, 0.5, 2.0))
    path.to((big, 0.8 * big, 0.0), (0.6 * big, 1.5 * big, 0.0), (-0.5 * big, 1.2 * big, 0.0))
    path.to(
        (-0.5 * big, 0.2 * big, -2.0), (-0.2 * big, -0.3 * big, -4.0), (0.2 * big, -0.5 * big, -2.0)
    )
    path.mark()
    path.to((1.1 * small + pulled, 0.1 * small, 6.0), (1.2 * small + pulled, 1.2 * small, 7.0))
    path.to((0.2 * small + 0.7 * pulled, 1.7 * small, 7.0), (-0.7 * small, 0.8 * small, 6.0))
    path.to((-0.6 * small, -0.35 * small, -6.0), (-0.1 * small, -0.9 * small, -6.0)).mark().tag()
    path.to((0.9 * small, -0.6 * small, -2.0), (1.7 * small, 0.5 * small, 3.0))
    path.to((0.5 * small, 0.9 * small, 3.2))
    path.to((between(-1.6, -0.5, k) * small, between(0.8, 2.6, k) * small, 3.0)).mark()
    return Figure((strand("upper", path),))


def _bimini(k: float) -> Figure:
    crossings = 14
    left, right = between(-26.0, -16.0, k), between(20.0, 14.0, k)
    radius = between(4.2, 2.4, k)
    path = Path(-REACH, radius)
    path.to((left - 8.0, radius, 0.0))
    path.coil(left, right, 0.0, -radius, crossings / 2.0)
    path.to((right + 9.0, radius + 6.0, 0.0), (right + 30.0, 9.0, 0.0), (right + 40.0, 0.0, 0.0))
    path.to((right + 30.0, -9.0, 0.0), (right + 9.0, -radius - 6.0, 0.0)).mark()
    # back through the twist from right to left, half a turn behind the first pass
    twist = Path(0.0, 0.0).coil(left, right, 0.0, -radius, crossings / 2.0, pi)
    path.to(*twist.points[:0:-1]).mark().tag()
    path.to((left - 4.0, -radius - 4.0, 2.0))
    path.coil(left, right - 4.0, 0.0, radius + between(3.6, 2.2, k), 8.0, pi)
    path.mark()
    path.to((right + 2.0, -radius - 6.0, 4.0), (right + 7.0, -radius - 1.0, 4.0))
    path.to((right + 5.0, radius, -4.0), (right + 1.0, radius + 9.0, 0.0)).mark()
    return Figure((strand("upper", path),))


LOOPS = {
    "surgeons-loop": KnotPath(
        (
            "Double the end back on itself for a span.",
            "Make a loop of the doubled line.",
            "Pass the doubled end through the loop, twice or three times.",
            "Wet it, size the loop, draw line and tag together.",
        ),
        _surgeons_loop,
    ),
    "perfection-loop": KnotPath(
        (
            "Turn the end behind the line to make a first loop.",
            "Round once more in front, to make a second, smaller loop, and behind again.",
            "Lay the end between the two loops.",
            "Draw the second loop through the first until it closes. The tag leaves square.",
        ),
        _perfection,
    ),
    "bimini": KnotPath(
        (
            "Double the line into a long loop.",
            "Twist the loop twenty times and more; keep the twists tight.",
            "Spread the loop, so that the end winds back over the twists.",
            "At the foot, half hitches: one leg, then both.",
            "Wet it, draw the hitches tight, trim.",
        ),
        _bimini,
    ),
}
