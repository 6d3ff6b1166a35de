"""A strand's way through a knot: smooth in the plane, with a height that says over or under.

Coordinates are the drawing's own: x to the right, y up, z towards the eye.
"""

from dataclasses import dataclass
from math import ceil, hypot, pi

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]
Point = tuple[float, float, float]
PER_TURN = 12  # way points of a coil's turn
SPACING = 1.1  # between samples of the smooth curve


def between(loose: float, tight: float, drawn_up: float) -> float:
    """A measure of a knot as it is drawn up, from loose (0) to tight (1)."""
    return loose + (tight - loose) * drawn_up


class Path:
    """Way points one after another; ``mark`` remembers how far the work has come."""

    def __init__(self, x: float, y: float, z: float = 0.0) -> None:
        self.points: list[Point] = [(x, y, z)]
        self.marks: list[int] = []
        self.tag_from: int | None = None

    def to(self, *points: Point) -> "Path":
        """Straight or curved on through these points."""
        self.points += points
        return self

    def coil(
        self,
        start_x: float,
        end_x: float,
        axis_y: float,
        radius: float,
        turns: float,
        phase: float = 0.0,
    ) -> "Path":
        """Round an axis along x: up and over it first with phase 0, under it with phase pi."""
        count = max(2, ceil(turns * PER_TURN))
        for i in range(count + 1):
            angle = phase + 2.0 * pi * turns * i / count
            x = start_x + (end_x - start_x) * i / count
            self.points.append(
                (x, axis_y - radius * float(np.cos(angle)), radius * float(np.sin(angle)))
            )
        return self

    def mark(self) -> "Path":
        """One step of the work ends here."""
        self.marks.append(len(self.points) - 1)
        return self

    def tag(self) -> "Path":
        """From here on it is the tag, the end that works."""
        self.tag_from = len(self.points) - 1
        return self


@dataclass(frozen=True)
class Curve:
    """A sampled strand: points (n, 3), the steps' ends and the tag's two ends as sample numbers."""

    points: Array
    marks: tuple[int, ...]
    tag: tuple[int, int]


def smooth(path: Path) -> Curve:
    """The path as a Catmull-Rom curve through its points, evenly sampled."""
    way = np.array(path.points)
    padded = np.concatenate([[2 * way[0] - way[1]], way, [2 * way[-1] - way[-2]]])
    samples: list[Array] = []
    at = [0]
    for i in range(len(way) - 1):
        p0, p1, p2, p3 = padded[i : i + 4]
        count = max(1, ceil(hypot(*(p2 - p1)[:2]) / SPACING))
        t = (np.arange(count) / count)[:, None]
        samples.append(
            0.5
            * (
                2 * p1
                + (p2 - p0) * t
                + (2 * p0 - 5 * p1 + 4 * p2 - p3) * t**2
                + (3 * p1 - p0 - 3 * p2 + p3) * t**3
            )
        )
        at.append(at[-1] + count)
    points = np.concatenate([*samples, way[-1:]])
    last = len(points) - 1
    marks = tuple(at[mark] for mark in path.marks)
    return Curve(points, marks, (last if path.tag_from is None else at[path.tag_from], last))


def offset(curve: Curve, by: float) -> Curve:
    """The same way beside the first, for strands that are worked together."""
    tangent = np.gradient(curve.points[:, :2], axis=0)
    length = np.maximum(1e-9, np.hypot(tangent[:, 0], tangent[:, 1]))[:, None]
    normal = np.stack([-tangent[:, 1], tangent[:, 0]], axis=1) / length
    moved = curve.points.copy()
    moved[:, :2] += by * normal
    return Curve(moved, curve.marks, curve.tag)
