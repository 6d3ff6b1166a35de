"""The droop test: a strand clamped level, and the stiffness its sag tells.

Heavy elastica, EI θ'' = -μ g (l - s) cos θ with θ(0) = 0 and θ'(l) = 0, θ the angle below the
level, s along the strand [S: FrischFay1962]. For small droop the tip
falls by δ = μ g l⁴ / (8 EI) [S: RoarkYoung2012].

Measured from the tip in v = (l - s) (μ g / EI)^(1/3) the equation is θ_vv = -v cos θ with no
parameter left, so that one integration from a chosen tip angle up to where θ comes level
answers the load that bends a strand so far; no boundary value has to be shot for.
"""

from functools import lru_cache
from math import pi

import numpy as np
import scipy
from numpy.typing import NDArray

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units.factors import GRAVITY_M_S2

_LEAST_ANGLE, _MOST_ANGLE = 1e-4, pi / 2 - 1e-4
MOST_LOAD = 150.0


def _slopes(v: float, y: NDArray[np.float64]) -> tuple[float, float, float, float]:
    return y[1], -v * float(np.cos(y[0])), float(np.cos(y[0])), float(np.sin(y[0]))


def _level(_v: float, y: NDArray[np.float64]) -> float:
    return float(y[0])


_level.terminal = True  # type: ignore[attr-defined]


@lru_cache(maxsize=1024)
def _bent_to(tip_angle: float) -> tuple[float, float, float]:
    """Load μ g l³ / EI, tip reach and tip drop over the free length, for a tip angle (rad)."""
    run = scipy.integrate.solve_ivp(
        _slopes, (0.0, 20.0), (tip_angle, 0.0, 0.0, 0.0), events=_level, rtol=1e-9, atol=1e-12
    )
    v_root, end = float(run.t[-1]), run.y[:, -1]
    return v_root**3, float(end[2]) / v_root, float(end[3]) / v_root


def droop_shape(load: float) -> tuple[float, float]:
    """Reach and drop of the tip over the free length, for the load μ g l³ / EI (0.001 to 150).

    >>> reach, drop = droop_shape(0.08)
    >>> round(drop, 4)  # the small-droop formula says .01
    0.01
    """
    if not 0.001 <= load <= MOST_LOAD:
        raise CannotCompute(
            f"The droop model holds for loads of 0.001 to {MOST_LOAD:g}, not {load:.3g}.",
            hint="Clamp another length and measure again.",
        )
    angle = scipy.optimize.brentq(
        lambda a: _bent_to(a)[0] - load, _LEAST_ANGLE, _MOST_ANGLE, xtol=1e-12
    )
    _, reach, drop = _bent_to(angle)
    return reach, drop


def bend_stiffness_from_droop(mass_per_length_kg_m: float, length_m: float, drop_m: float) -> float:
    """Bending stiffness EI in N·m² from a droop test.

    ``mass_per_length_kg_m`` of the strand, free ``length_m`` and tip ``drop_m``. The drop must be
    between 1 and 90 % of the length: less cannot be read, more hardly depends on stiffness.

    >>> round(1e6 * bend_stiffness_from_droop(1e-3, 0.1, 0.002), 1)  # N·mm²
    61.3
    """
    share = drop_m / length_m
    if not 0.01 <= share <= 0.9:
        raise CannotCompute(
            f"A droop of {share:.0%} of the free length is outside what the droop test can "
            "measure.",
            where="drop",
            hint="Choose a free length at which the tip falls by 1 to 90 % of it.",
        )
    angle = scipy.optimize.brentq(
        lambda a: _bent_to(a)[2] - share, _LEAST_ANGLE, _MOST_ANGLE, xtol=1e-12
    )
    return float(mass_per_length_kg_m * GRAVITY_M_S2 * length_m**3 / _bent_to(angle)[0])
