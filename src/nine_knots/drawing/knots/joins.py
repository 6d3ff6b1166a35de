"""Knots that join two strands: the upper comes from the left, the lower from the right."""

from dataclasses import replace
from math import pi

from nine_knots.drawing.figure import Build, DrawnStrand, Figure, KnotPath, strand
from nine_knots.drawing.overhand import overhand
from nine_knots.drawing.path import Path, between, offset, smooth

REACH = 66.0  # where a strand leaves the drawing
BESIDE = 1.9  # between strands that are worked together


def _blood_half(k: float, side: float, turns: float) -> Path:
    """One half of a blood knot; ``side`` 1 for the upper strand, -1 for the lower, turned about."""
    near, far = between(8.0, 4.0, k), between(46.0, 20.0, k)
    radius, out = between(5.5, 3.2, k), between(14.0, 6.0, k)
    gap, tag = between(3.2, 1.6, k), between(19.0, 11.0, k)

    def at(x: float, y: float, z: float = 0.0) -> tuple[float, float, float]:
        return side * x, side * y, z

    path = Path(*at(-REACH, 0.0))
    path.to(at(-far - 4.0, 0.0), at(-near, 0.0), at(0.0, gap), at(near - 2.0, 1.0)).mark()
    wound = Path(0.0, 0.0)
    wound.coil(near, far, 0.0, radius, turns, pi / 2.0)
    path.to(*(at(x, y, z) for x, y, z in wound.points[1:]))
    path.mark().tag()
    path.to(at(far + 3.0, 0.5 * out, 1.0), at(far - 5.0, out, 0.0), at(near, out, 0.0))
    path.to(at(2.0, 0.6 * out + 1.0, 3.0), at(1.2, gap, 4.0), at(1.0, 0.0, 0.0))
    path.to(at(1.0, -gap, -4.0), at(1.4, -tag, 0.0)).mark()
    return path


def _blood(k: float) -> Figure:
    upper, lower = _blood_half(k, 1.0, 5.25), _blood_half(k, -1.0, 5.25)
    # the lower is wound and brought through after the upper
    upper.marks = [upper.marks[0], upper.marks[1], upper.marks[2], upper.marks[2], upper.marks[2]]
    lower.marks = [lower.marks[0], lower.marks[0], lower.marks[0], lower.marks[1], lower.marks[2]]
    return Figure((strand("upper", upper), strand("lower", lower)))


def _surgeons(crossings: int) -> Build:
    def build(k: float) -> Figure:
        beside = between(BESIDE, 1.4, k)
        tag = between(44.0, 26.0, k)
        upper = offset(smooth(overhand(crossings, k, -REACH, tag)), beside)
        lower = offset(smooth(overhand(crossings, k, -tag, REACH)), -beside)
        # the new piece comes from the right: its tag is the end at the left
        lower = replace(lower, tag=(0, lower.marks[0]))
        return Figure((DrawnStrand("upper", upper), DrawnStrand("lower", lower)))

    return build


def _uni_half(k: float, side: float, turns: float) -> Path:
    """One half of a double uni: back along both strands, then round them inside its own loop."""
    near, far = between(5.0, 2.0, k), between(44.0, 19.0, k)
    radius, high = between(6.0, 3.4, k), between(15.0, 4.6, k)

    def at(x: float, y: float, z: float = 0.0) -> tuple[float, float, float]:
        return side * x, side * y, z

    path = Path(*at(-REACH, -1.4))
    path.to(at(-far, -1.4), at(0.0, -1.4), at(far - 4.0, -1.4)).mark()
    path.to(at(far + 5.0, 0.3 * high), at(far - 2.0, high), at(near + 6.0, high)).mark().tag()
    path.to(at(near - 1.0, 0.55 * high, 2.0))
    wound = Path(0.0, 0.0)
    wound.coil(near + 2.0, far - 5.0, 0.0, radius, turns, pi)
    path.to(*(at(x, y, z) for x, y, z in wound.points[1:]))
    path.to(at(far - 1.0, 0.35 * high, 0.0), at(far + 6.0, 0.5 * high, 0.0)).mark()
    return path


def _double_uni(k: float) -> Figure:
    upper, lower = _uni_half(k, 1.0, 4.0), _uni_half(k, -1.0, 4.0)
    upper.marks = [*upper.marks, upper.marks[2]]
    lower.marks = [lower.marks[0], lower.marks[0], lower.marks[0], lower.marks[2]]
    return Figure((strand("upper", upper), strand("lower", lower)))


def _albright(k: float) -> Figure:
    back, near = between(-30.0, -17.0, k), between(34.0, 13.0, k)
    radius, half = between(8.0, 5.2, k), between(3.6, 2.2, k)
    heavy = Path(REACH, half)
    heavy.to((0.0, half, 0.0), (back + 5.0, half, 0.0), (back, 0.0, 0.0))
    heavy.to((back + 5.0, -half, 0.0), (0.0, -half, 0.0), (near + 14.0, -half, 0.0))
    thin = Path(-REACH, 1.2)
    thin.to((back - 9.0, 1.2, 3.0), (back, 0.8, 4.5), (back + 9.0, 0.4, 1.0)).mark()
    thin.to((0.0, 0.3, 0.0), (near + 3.0, 0.3, 0.0)).mark().tag()
    thin.coil(near, back + 8.0, 0.0, radius, 6.0)
    thin.mark()
    thin.to((back + 6.0, -1.2, 2.0), (back, -1.4, 4.5), (back - 14.0, -7.0, 2.0)).mark()
    return Figure((strand("lower", heavy, fixed=True), strand("upper", thin)))


JOINS = {
    "blood": KnotPath(
        (
            "Lay the two ends side by side, overlapped by a hand's breadth or two.",
            "Wind the first round the other; keep the wraps open and even.",
            "Bring its end back and through the middle, between the two.",
            "Wind the other the other way, as often or once more.",
            "Bring its end through the same middle, from the other side.",
            "Wet it and draw by the long ends. The tags leave on opposite sides.",
        ),
        _blood,
    ),
    "double-surgeons": KnotPath(
        (
            "Lay the leader and the new piece side by side, overlapped by a hand's breadth.",
            "Make a loop of both together.",
            "Pass the leader's end and the whole new piece through the loop, twice.",
            "Wet it and draw all four ends together, evenly.",
        ),
        _surgeons(5),
    ),
    "triple-surgeons": KnotPath(
        (
            "Lay the leader and the new piece side by side, overlapped by a span.",
            "Make a loop of both together.",
            "Pass the leader's end and the whole new piece through the loop, three times.",
            "Wet it and draw all four ends together. The lower tag may carry a dropper.",
        ),
        _surgeons(7),
    ),
    "double-uni": KnotPath(
        (
            "Lay the two ends side by side, overlapped by a span.",
            "Turn the first back over both, to make a loop along them.",
            "Wind its end round both strands, inside its own loop.",
            "Do the same with the other, the other way.",
            "Wet it, draw each half up, then slide them together by the long ends.",
        ),
        _double_uni,
    ),
    "albright": KnotPath(
        (
            "Fold the heavy end into a narrow loop; bring the thin one up through it.",
            "Lay the thin one along the two legs, a finger's length.",
            "Wind it back over itself and both legs, ten times or more, towards the fold.",
            "Pass it out through the fold, the same side it came in.",
            "Wet it, slide the wraps to the fold, draw up by the long ends.",
        ),
        _albright,
    ),
}
