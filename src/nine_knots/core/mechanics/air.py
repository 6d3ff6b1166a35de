"""Drag of thin line in air, across and along it.

Air at 1.20 kg/m³ and a kinematic viscosity of 1.5e-5 m²/s [M: any handbook, about 18 °C].
"""

from typing import NamedTuple

from nine_knots.core.base.kernel import row_kernel
from nine_knots.core.mechanics.power import power

AIR_KG_M3 = 1.20
AIR_M2_S = 1.5e-5


class Air(NamedTuple):
    """Wind along the cast in m/s, from behind positive, and a gust that begins at a time."""

    wind_m_s: float = 0.0
    gust_m_s: float = 0.0
    gust_at_s: float = 1e9


@row_kernel
def across_coefficient(speed_m_s: float, diameter_m: float) -> float:
    """Drag coefficient of a cylinder across the flow, C_d = 1 + 10 Re^(-2/3).

    ``speed_m_s`` is the part of the relative velocity normal to the line. Valid for Re of 1 to
    2e5; held at Re = .1 below, where the force is nothing [S: White1974].

    >>> round(across_coefficient(10.0, 0.3e-3), 2)  # Re = 200
    1.29
    """
    reynolds = max(0.1, speed_m_s * diameter_m / AIR_M2_S)
    return 1.0 + 10.0 * power(reynolds, -2.0 / 3.0)


@row_kernel
def along_coefficient(speed_m_s: float, diameter_m: float) -> float:
    """Friction coefficient of a moving thread along itself, C_f = .37 Re^(-.61), on π d l.

    ``speed_m_s`` is the part of the relative velocity along the line. Held between .004 and 1
    [S: Matsui1976, on spinning threads; figures M].

    >>> round(along_coefficient(10.0, 0.3e-3), 4)  # Re = 200
    0.0146
    """
    reynolds = max(1e-3, speed_m_s * diameter_m / AIR_M2_S)
    return min(1.0, max(0.004, 0.37 * power(reynolds, -0.61)))
