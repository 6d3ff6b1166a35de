"""Where strands of a figure cross in the plane, and which lies over."""

from dataclasses import dataclass
from itertools import combinations_with_replacement

import numpy as np

from nine_knots.drawing.path import Array, Curve

NEIGHBOURS = 3  # segments of one strand this close to one another do not cross
EDGE = 1e-9


@dataclass(frozen=True, slots=True)
class Crossing:
    """One crossing: strand and place along it (samples) of what lies over and what lies under."""

    over: tuple[int, float]
    under: tuple[int, float]
    at: tuple[float, float]


def crossings(curves: tuple[Curve, ...]) -> tuple[Crossing, ...]:
    """All crossings of the strands, with themselves too, by segment pairs."""
    found: list[Crossing] = []
    for a, b in combinations_with_replacement(range(len(curves)), 2):
        found += _pair(curves[a].points, curves[b].points, a, b)
    return tuple(found)


def _pair(first: Array, second: Array, a: int, b: int) -> list[Crossing]:
    p, r = first[:-1, None, :2], np.diff(first[:, :2], axis=0)[:, None, :]
    q, s = second[None, :-1, :2], np.diff(second[:, :2], axis=0)[None, :, :]
    across = _cross(r, s)
    flat = np.abs(across) < EDGE
    safe = np.where(flat, 1.0, across)
    t, u = _cross(q - p, s) / safe, _cross(q - p, r) / safe
    hit = ~flat & (t >= 0) & (t < 1) & (u >= 0) & (u < 1)
    if a == b:
        i, j = np.indices(hit.shape)
        hit &= j - i > NEIGHBOURS
    return [
        _crossing(first, second, (a, i, float(t[i, j])), (b, j, float(u[i, j])))
        for i, j in np.argwhere(hit)
    ]


def _crossing(
    first: Array, second: Array, pair: tuple[int, int, float], two: tuple[int, int, float]
) -> Crossing:
    (a, i, t), (b, j, u) = pair, two
    on_first = first[i] + t * (first[i + 1] - first[i])
    on_second = second[j] + u * (second[j + 1] - second[j])
    places = (a, float(i + t)), (b, float(j + u))
    over, under = places if on_first[2] >= on_second[2] else places[::-1]
    return Crossing(over, under, (float(on_first[0]), float(on_first[1])))


def _cross(array: Array, other: Array) -> Array:
    return np.asarray(array[..., 0] * other[..., 1] - array[..., 1] * other[..., 0])
