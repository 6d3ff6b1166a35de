"""A stretch at today's level: how deep and how fast, from what was noted at other levels.

Depth goes with the level by a straight line whose slope is about one: the water stands so much
higher over the same bed, a little more or less where the stretch widens or shelves. Pace goes with
depth by a power, two thirds in a wide stretch of even fall [S: Manning1891]. Both are what is known
before anything was noted; notes move them, and say how sure it is (linear regression with normal
priors [S: Gelman2013]).
"""

from dataclasses import dataclass
from math import exp, log

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.assess.tide import Tide
from nine_knots.core.domain.places import LevelNote, Place, RiverStretch
from nine_knots.core.domain.situation import Water

SLOPE, SLOPE_OFF = 1.0, 0.3  # of depth with level [G]
POWER, POWER_OFF = 2.0 / 3.0, 0.25  # of pace with depth [S: Manning1891; its spread G]
LEAST_OFF_M, DEPTH_OFF = 0.04, 0.08  # of a depth as it is noted: a hand, and a share of it [M]
PACE_OFF = 0.15  # of the logarithm of a pace as it is noted [M]
VAGUE = 1e3
SHALLOW_M, DEEP_M = 0.05, 30.0
FASTEST_M_S = 4.0
SEEN_M = 0.05  # beyond what was seen by less is as good as seen


@dataclass(frozen=True, slots=True)
class AtLevel:
    """Depth in metres and pace in m/s at a level, each with its standard deviation (the pace's as a
    share); how many notes each is of; the levels between which any were made, and by how much this
    one lies beyond them (0 within)."""

    depth_m: float
    depth_off_m: float
    depth_notes: int
    pace_m_s: float
    pace_off: float
    pace_notes: int
    seen_m: tuple[float, float]
    beyond_m: float


def at_level(stretch: RiverStretch, level_m: float) -> AtLevel | None:
    """What the notes say of a stretch at a level; None where nothing was noted at any."""
    notes = stretch.levels
    if not notes:
        return None
    depth_m, depth_off_m = _depth(notes, level_m)
    paced = tuple(note for note in notes if note.pace_m_s)
    if paced:
        pace, pace_off = _pace(paced, depth_m, depth_off_m)
    else:
        pace, pace_off = stretch.water.pace_m_s, 2.0 * PACE_OFF
    levels = [note.level_m for note in notes]
    low, high = min(levels), max(levels)
    beyond = max(0.0, low - level_m, level_m - high)
    return AtLevel(
        depth_m=min(DEEP_M, max(SHALLOW_M, depth_m)),
        depth_off_m=depth_off_m,
        depth_notes=len(notes),
        pace_m_s=min(FASTEST_M_S, pace),
        pace_off=pace_off,
        pace_notes=len(paced),
        seen_m=(low, high),
        beyond_m=beyond if beyond > SEEN_M else 0.0,
    )


def water_at(
    place: Place, stretch: RiverStretch, level_m: float | None, tide: Tide | None = None
) -> Water:
    """A stretch's water at a level (m; None as it usually is) with the rules that hold there; by
    the sea at a tide, where the usual pace is that of the strongest current."""
    found = at_level(stretch, level_m) if level_m is not None else None
    depth_m = found.depth_m if found else stretch.water.depth_m
    pace = found.pace_m_s if found else stretch.water.pace_m_s
    pace *= tide.strength if tide is not None else 1.0
    return stretch.water.evolve(depth_m=depth_m, pace_m_s=pace, rules=place.rules_of(stretch))


def _depth(notes: tuple[LevelNote, ...], level_m: float) -> tuple[float, float]:
    middle = sum(note.level_m for note in notes) / len(notes)
    levels = np.array([note.level_m - middle for note in notes])
    depths = np.array([note.depth_m for note in notes])
    off = np.maximum(LEAST_OFF_M, DEPTH_OFF * depths)
    mean, spread = _line(levels, depths, off, (SLOPE, SLOPE_OFF), level_m - middle)
    return mean, spread


def _pace(notes: tuple[LevelNote, ...], depth_m: float, depth_off_m: float) -> tuple[float, float]:
    middle = sum(log(note.depth_m) for note in notes) / len(notes)
    depths = np.array([log(note.depth_m) - middle for note in notes])
    paces = np.array([log(note.pace_m_s or FASTEST_M_S) for note in notes])
    off = np.full(len(notes), PACE_OFF)
    at = log(max(SHALLOW_M, depth_m)) - middle
    mean, spread = _line(depths, paces, off, (POWER, POWER_OFF), at)
    by_depth = POWER * depth_off_m / max(SHALLOW_M, depth_m)
    return exp(mean), float(np.hypot(spread, by_depth))


def _line(
    x: NDArray[np.float64],
    y: NDArray[np.float64],
    off: NDArray[np.float64],
    slope: tuple[float, float],
    at: float,
) -> tuple[float, float]:
    """Mean and standard deviation, at ``at``, of a line through points that are off by ``off``,
    with a normal prior of its slope and next to none of its height."""
    design = np.column_stack([np.ones_like(x), x]) / off[:, None]
    prior = np.diag([1.0 / VAGUE**2, 1.0 / slope[1] ** 2])
    precision = design.T @ design + prior
    known = design.T @ (y / off) + prior @ np.array([0.0, slope[0]])
    covariance = np.linalg.inv(precision)
    row = np.array([1.0, at])
    return float(row @ covariance @ known), float(np.sqrt(row @ covariance @ row))
