"""The screen: a formula for how fast the fly arrives, in a fraction of a millisecond.

The loop has all the energy of what still flies beyond it, E = ½ M(s) v², and loses it to the air:

    d ln E / ds = -(2ρ / M) [π Σ + C_d d R / 6 + C_d A],   Σ = ∫ C_f d beyond s,
    v(s) = v₀ √(E M₀ / (E₀ M)),

R the loop's radius as it closes. It reads low in speed (docs/model.md) but sorts leaders as the
simulation does, so it serves to sort thousands of candidates before the best are cast.
"""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.base.kernel import kernel
from nine_knots.core.casting.rig import Rig
from nine_knots.core.casting.stroke import LOWER_LEG_M, Stroke
from nine_knots.core.casting.throw import loop_length_m
from nine_knots.core.mechanics.air import AIR_KG_M3, across_coefficient, along_coefficient

Array = NDArray[np.float64]

LOOP_RADIUS_M = 0.12  # of a loop that has tightened on its way [G]


@dataclass(frozen=True, slots=True)
class ScreenResult:
    """Speed of the fly as the loop comes to it, in m/s, and the time the unrolling takes, in s."""

    arrival_m_s: float
    time_s: float


@kernel
def unroll(rest: Array, mass: Array, thick: Array, body: float, speed: float, first: int) -> Array:
    """March the loop from link ``first`` to the fly; answers the arrival in m/s and the time in s.

    ``mass`` are nodes (n,), ``rest`` and ``thick`` links (n - 1,), ``body`` the fly's drag area.
    """
    links = rest.size
    beyond = 0.0
    for i in range(first + 1, mass.size):
        beyond += mass[i]
    start, log_energy, time, v = beyond, 0.0, 0.0, speed
    rubbed = 0.0
    for j in range(first, links):
        rubbed += along_coefficient(v, thick[j]) * thick[j] * rest[j]
    for j in range(first, links - 1):
        beyond -= mass[j + 1]
        rubbed = max(0.0, rubbed - along_coefficient(speed, thick[j]) * thick[j] * rest[j])
        swept = across_coefficient(v, thick[j]) * thick[j] * LOOP_RADIUS_M / 6.0
        loss = 2.0 * AIR_KG_M3 / beyond * (np.pi * rubbed + swept + body)
        log_energy -= loss * rest[j]
        v = speed * np.sqrt(np.exp(log_energy) * start / beyond)
        time += 2.0 * rest[j] / max(v, 0.05)
    return np.array([v, time])


def screen(rig: Rig, stroke: Stroke) -> ScreenResult:
    """Arrival and time of a rig under a stroke, by the formula."""
    along = np.cumsum(rig.rest)
    first = int(np.searchsorted(along, LOWER_LEG_M + loop_length_m(stroke)))
    first = min(first, len(along) - 2)
    v, time = unroll(rig.rest, rig.mass, rig.thick, float(rig.body[-1]), stroke.speed_m_s, first)
    return ScreenResult(arrival_m_s=float(v), time_s=float(time))
