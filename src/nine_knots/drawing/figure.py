"""A knot as a figure: its strands, the steps of its work, and the pieces to draw in their order."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal

import numpy as np

from nine_knots.drawing.crossings import crossings
from nine_knots.drawing.path import Array, Curve, Path, smooth

StrandName = Literal["upper", "lower", "line", "eye"]
CHUNK = 5  # samples of a piece
NEAR = 1.6  # samples either side of a crossing that leave a gap to what lies under
THICK = {"upper": 2.6, "lower": 2.2, "line": 4.2, "eye": 2.6}
STEPS_TO_TIGHT = 5  # pictures between loose and tight


@dataclass(frozen=True)
class DrawnStrand:
    """One strand of a figure: which, and its way; a fixed one stands from the beginning."""

    part: StrandName
    curve: Curve
    fixed: bool = False


@dataclass(frozen=True)
class Figure:
    """A knot at one moment of drawing it up."""

    strands: tuple[DrawnStrand, ...]


Build = Callable[[float], Figure]


@dataclass(frozen=True)
class KnotPath:
    """How a knot is drawn: the captions of its steps, and its figure from loose (0) to tight (1).

    Each strand that is not fixed has a mark for each step but the last, which draws it up.
    """

    captions: tuple[str, ...]
    build: Build


@dataclass(frozen=True, slots=True)
class DrawnPiece:
    """A short piece of a strand, in drawing order: it shows from ``since`` steps on.

    ``over`` says that it crosses over another, so that a gap is left to either side of it.
    """

    part: StrandName
    tag: bool
    over: bool
    since: float
    width: float
    path: str


@dataclass(frozen=True, slots=True)
class Drawing:
    """A knot to scrub: the work on the loose knot, then pictures of it being drawn up."""

    captions: tuple[str, ...]
    box: tuple[float, float, float, float]
    work: tuple[DrawnPiece, ...]
    drawn_up: tuple[tuple[DrawnPiece, ...], ...]


def strand(part: StrandName, path: Path, fixed: bool = False) -> DrawnStrand:
    """A strand from its path."""
    return DrawnStrand(part, smooth(path), fixed)


def drawing_of(recipe: KnotPath) -> Drawing:
    """All strokes of a recipe, low ones first."""
    steps = len(recipe.captions) - 1
    figures = [recipe.build(k / STEPS_TO_TIGHT) for k in range(STEPS_TO_TIGHT + 1)]
    loose = np.concatenate([s.curve.points for f in figures for s in f.strands])
    low, high = loose[:, :2].min(axis=0) - 5.0, loose[:, :2].max(axis=0) + 5.0
    return Drawing(
        captions=recipe.captions,
        box=(float(low[0]), float(-high[1]), float(high[0] - low[0]), float(high[1] - low[1])),
        work=_strokes(figures[0], steps),
        drawn_up=tuple(_strokes(figure, 0) for figure in figures[1:]),
    )


def since(drawn_strand: DrawnStrand, steps: int) -> Array:
    """For each sample of a strand, the step (0 to ``steps``) at which the work reaches it."""
    count = len(drawn_strand.curve.points)
    if drawn_strand.fixed or steps == 0:
        return np.zeros(count)
    if len(drawn_strand.curve.marks) != steps:
        raise ValueError(f"a strand has {len(drawn_strand.curve.marks)} marks for {steps} steps")
    at = np.array([0, *drawn_strand.curve.marks])
    # what lies before the first mark is there when the work begins
    return np.asarray(np.interp(np.arange(count), at, [0.0, *range(steps)]))


def _strokes(figure: Figure, steps: int) -> tuple[DrawnPiece, ...]:
    pieces: list[tuple[float, DrawnPiece]] = []
    lies_over = [set[int]() for _ in figure.strands]
    for crossing in crossings(tuple(item.curve for item in figure.strands)):
        number, place = crossing.over
        for near in (place - NEAR, place + NEAR):
            lies_over[number].add(int(near) // (CHUNK - 1))
    for number, item in enumerate(figure.strands):
        points = item.curve.points
        reached = since(item, steps)
        for start in range(0, len(points) - 1, CHUNK - 1):
            chunk = points[start : start + CHUNK]
            path = "M" + "L".join(f"{x:.1f} {-y:.1f}" for x, y, _ in chunk)
            stroke = DrawnPiece(
                part=item.part,
                tag=item.curve.tag[0] <= start < item.curve.tag[1],
                over=start // (CHUNK - 1) in lies_over[number],
                since=float(reached[min(start + CHUNK - 1, len(points) - 1)]),
                width=THICK[item.part],
                path=path,
            )
            pieces.append((float(chunk[:, 2].mean()), stroke))
    return tuple(stroke for _, stroke in sorted(pieces, key=lambda piece: piece[0]))
