"""Knots to an eye, a ring or a swivel: the eye at the right, the line from the left."""

from math import cos, pi, sin

from nine_knots.drawing.figure import Build, DrawnStrand, Figure, KnotPath, strand
from nine_knots.drawing.overhand import doubled_overhand, overhand
from nine_knots.drawing.path import Path, between, smooth

REACH = 62.0
EYE_X, EYE_R = 52.0, 5.0


def eye(x: float, y: float = 0.0, radius: float = EYE_R) -> DrawnStrand:
    """A ring seen nearly from the front, its left side before the line that passes through."""
    ring = Path(x + radius, y, -1.0)
    ring.to(
        *(
            (x + radius * cos(a), y + radius * sin(a), -1.0)
            for a in (i * pi / 10 for i in range(1, 21))
        )
    )
    return strand("eye", ring, fixed=True)


def through_the_eye(path: Path, x: float, back_y: float) -> None:
    """In at the front, round behind the ring's left side and back at ``back_y``."""
    path.to((x - EYE_R - 4.0, 0.6, 1.5), (x - EYE_R, 0.4, 2.5), (x - 1.5, -0.2, 1.0))
    path.to((x - 0.5, -1.4, -2.0), (x - EYE_R + 0.6, -2.6, -3.5), (x - EYE_R - 4.0, back_y, -1.0))


def _clinch(improved: bool) -> Build:
    turns = 5.0

    def build(k: float) -> Figure:
        x = between(EYE_X, 22.0, k)
        first, last = x - between(15.0, 9.0, k), x - between(50.0, 27.0, k)
        radius, low = between(5.4, 3.2, k), between(17.0, 6.5, k)
        path = Path(-REACH, 0.0)
        path.to((last - 6.0, 0.0, 0.0), (first, 0.0, 0.0))
        through_the_eye(path, x, -5.0)
        path.mark().tag()
        path.coil(first, last, 0.0, radius, turns)
        path.mark()
        path.to((last - 2.0, -0.7 * low, 1.0), (last + 9.0, -low, 0.0), (first - 6.0, -low, 0.0))
        gap = first + between(4.0, 2.0, k)
        path.to((gap - 0.5, -0.6 * low, 1.0), (gap, -4.0, 3.0), (gap, -1.5, 0.0), (gap, 1.5, -3.0))
        if improved:
            path.to((gap - 1.0, between(9.0, 5.0, k), -2.0)).mark()
            path.to((gap - 6.0, between(14.0, 6.5, k), -4.0), (gap - 13.0, radius + 2.0, -8.0))
            path.to((gap - 14.0, -radius - 1.0, -6.0), (gap - 13.0, -low, 4.0))
            path.to((gap - 11.0, -low - between(9.0, 6.0, k), 2.0)).mark()
        else:
            path.to((gap + 1.0, between(14.0, 8.0, k), 0.0)).mark()
        return Figure((eye(x), strand("upper", path)))

    return build


def _uni(k: float) -> Figure:
    x = between(EYE_X, 22.0, k)
    first, last = x - between(16.0, 9.0, k), x - between(52.0, 27.0, k)
    radius, high = between(6.5, 3.8, k), between(17.0, 5.0, k)
    path = Path(-REACH, 1.6)
    path.to((last - 6.0, 1.6, 0.0), (first, 1.6, 0.0))
    through_the_eye(path, x, -2.4)
    path.to((first, -2.0, 0.0), (last + 4.0, -2.0, 0.0)).mark()
    path.to(
        (last - 6.0, 0.4 * high, -3.0), (last, high, 0.0), (first - 4.0, high, 0.0)
    ).mark().tag()
    path.to((first + 2.0, 0.6 * high, 2.0))
    path.coil(first, last + 6.0, 0.0, radius, 4.0, pi)
    path.to((last + 1.0, -0.3 * high, 1.0), (last - 7.0, -0.6 * high, 0.0)).mark()
    return Figure((eye(x), strand("upper", path)))


def _palomar(k: float) -> Figure:
    """The eye hangs on the arc of an overhand tied in the doubled line."""
    strands = doubled_overhand(
        3, k, between(34.0, 17.0, k), between(16.0, 9.0, k), -between(44.0, 28.0, k)
    )
    deep = min(float(item.curve.points[:, 1].min()) for item in strands)
    return Figure((eye(0.0, deep - EYE_R + 3.5), *strands))


def _non_slip(k: float) -> Figure:
    x = between(EYE_X + 6.0, 44.0, k)
    path = overhand(3, between(0.25, 0.9, k), -REACH, 24.0)
    deep = -float(smooth(path).points[:, 1].min())
    path.marks = [path.marks[-1]]
    path.tag_from = None
    low = -0.45 * deep
    path.to((x - EYE_R - 2.0, 1.0, 1.5), (x - EYE_R + 1.0, 0.4, 2.5), (x - 1.5, -0.6, 0.5))
    path.to((x - 1.5, -2.0, -2.5), (x - EYE_R, -4.5, -3.0), (30.0, low, 0.0)).mark().tag()
    # in through the overhand's loop, over the near side and under the far one
    path.to((18.0, low, 4.0), (8.0, low, 1.0), (-8.0, low, -1.0), (-18.0, low, -4.0))
    path.to((-23.0, low, 0.0)).mark()
    start, end = -25.0, between(-50.0, -38.0, k)
    path.coil(start, end, 3.0, between(5.5, 3.4, k), 4.0)
    path.mark()
    path.to((end - 2.0, -5.0, 1.0), (end + 5.0, low - 6.5, 0.0), (-24.0, low - 6.0, -2.0))
    path.to((-15.0, low - 5.5, -4.0), (0.0, low - 5.0, 0.0), (14.0, low - 5.5, 4.0))
    path.to((26.0, low - 9.5, 0.0)).mark()
    return Figure((eye(x), strand("upper", path)))


def _two_overhands(k: float) -> Figure:
    """An overhand in the line, the end back through it, and an overhand of the end round the
    line."""
    x = between(EYE_X + 6.0, 44.0, k)
    path = overhand(3, between(0.25, 0.9, k), -REACH, 24.0)
    deep = -float(smooth(path).points[:, 1].min())
    path.marks = [path.marks[-1]]
    path.tag_from = None
    low = -0.45 * deep
    path.to((x - EYE_R - 2.0, 1.0, 1.5), (x - EYE_R + 1.0, 0.4, 2.5), (x - 1.5, -0.6, 0.5))
    path.to((x - 1.5, -2.0, -2.5), (x - EYE_R, -4.5, -3.0), (30.0, low, 0.0))
    path.to((18.0, low, 4.0), (8.0, low, 1.0), (-8.0, low, -1.0), (-18.0, low, -4.0))
    path.to((-23.0, low, 0.0)).mark().tag()
    near, far = -26.0, between(-44.0, -36.0, k)
    high = between(11.0, 5.0, k)
    # over the line, round behind it, and out through its own loop
    path.to((near - 4.0, -0.5 * high, 4.0), (far + 4.0, high, 4.0), (far - 3.0, 0.7 * high, 0.0))
    path.to((far - 2.0, -0.4 * high, -4.0), (far + 4.0, -high, -2.0))
    path.to((near - 8.0, -0.5 * high, 1.0), (near - 3.0, 0.5 * high, -4.0))
    path.to((near + 2.0, high + 2.0, 0.0)).mark()
    return Figure((eye(x), strand("upper", path)))


EYES = {
    "two-overhand-loop": KnotPath(
        (
            "Tie a loose overhand in the line, a finger's length up.",
            "Through the eye, and back in through the overhand.",
            "With the end, an overhand round the line above the first.",
            "Wet it, draw each overhand tight, then the one down on the other.",
        ),
        _two_overhands,
    ),
    "clinch": KnotPath(
        (
            "Through the eye, and back along the line.",
            "Wind the end round the line, away from the eye.",
            "Bring it back and through the small loop beside the eye.",
            "Wet it, draw by the line until the coils lie close, slide it down.",
        ),
        _clinch(False),
    ),
    "improved-clinch": KnotPath(
        (
            "Through the eye, and back along the line.",
            "Wind the end round the line, away from the eye.",
            "Bring it back and through the small loop beside the eye.",
            "Then through the big loop that this has made.",
            "Wet it, draw by the line, the tag held, until the coils lie close.",
        ),
        _clinch(True),
    ),
    "uni": KnotPath(
        (
            "Through the eye, and back along the line for a finger's length.",
            "Turn the end back towards the eye, to make a loop over both.",
            "Wind it round both strands, inside the loop.",
            "Wet it, draw the end until the coils close, slide it to the eye.",
        ),
        _uni,
    ),
    "palomar": KnotPath(
        (
            "Double the line; pass the doubled end through the eye.",
            "Lay an overhand with it, the fly hanging from the doubled line.",
            "Bring the loop's end through the overhand.",
            "Pass the loop over the whole fly, wet it, draw both strands.",
        ),
        _palomar,
    ),
    "non-slip-loop": KnotPath(
        (
            "Tie a loose overhand in the line, a finger's length up.",
            "Through the eye, and back to the overhand.",
            "In through the overhand the way the line came out.",
            "Wind it round the line above: three times if heavy, seven if fine.",
            "Back through the overhand the way it went in.",
            "Wet it, draw the end snug, then the line against the loop.",
        ),
        _non_slip,
    ),
}
