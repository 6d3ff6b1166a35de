"""Drag of thin line square to the stream and along it, and the sinking that follows from it.

C_d = 1.18 + 6.8 Re^-0.89 + 1.96 Re^-0.5 - 0.0004 Re / (1 + 3.64e-7 Re²)
[S: SuckerBrauer1975, figures M], Re on the diameter, 1e-4 < Re < 2e5.
"""

from math import exp, log, pi, sqrt

import scipy

from nine_knots.core.base.kernel import kernel
from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.mechanics.fresh_water import density_kg_m3, viscosity_pa_s

_FRESH_10_C = Fluid(density_kg_m3(10.0), viscosity_pa_s(10.0))


@kernel
def drag_coefficient(reynolds: float) -> float:
    """Drag coefficient of a cylinder across the stream.

    >>> round(drag_coefficient(100.0), 2)
    1.45
    """
    re = max(reynolds, 1e-4)
    slow = 6.8 * exp(-0.89 * log(re))  # quicker than a power
    return slow + 1.18 + 1.96 / sqrt(re) - 0.0004 * re / (1.0 + 3.64e-7 * re * re)


@kernel
def across_resistance_kg_m2(diameter_m: float, speed_m_s: float, fluid: Fluid) -> float:
    """Drag of a metre of line square to a stream over the square of its speed, ½ρ d C_d.

    >>> round(across_resistance_kg_m2(0.2e-3, 0.1, Fluid(999.7, 1.306e-3)), 3)
    0.227
    """
    reynolds = fluid.rho * speed_m_s * diameter_m / fluid.mu
    return 0.5 * fluid.rho * diameter_m * drag_coefficient(reynolds)


@kernel
def along_resistance_pa_s(diameter_m: float, speed_m_s: float, fluid: Fluid) -> float:
    """Drag of a metre of line along itself over its speed, 4πμ/7 + ½ρ·.005·πd v.

    [G, hardly acts]

    >>> round(1e3 * along_resistance_pa_s(0.2e-3, 0.1, Fluid(999.7, 1.306e-3)), 2)
    2.5
    """
    return 4.0 * pi * fluid.mu / 7.0 + 0.5 * fluid.rho * 0.005 * pi * diameter_m * speed_m_s


@kernel
def normal_drag_n_m(diameter_m: float, speed_m_s: float, fluid: Fluid) -> float:
    """Drag in N per metre of line square to a stream of ``speed_m_s`` (m/s).

    >>> round(1e3 * normal_drag_n_m(0.2e-3, 0.1, Fluid(999.7, 1.306e-3)), 2)  # mN/m
    2.27
    """
    return across_resistance_kg_m2(diameter_m, speed_m_s, fluid) * speed_m_s * speed_m_s


@kernel
def along_drag_n_m(diameter_m: float, speed_m_s: float, fluid: Fluid) -> float:
    """Drag in N per metre of line along itself, at ``speed_m_s`` (m/s).

    >>> round(1e3 * along_drag_n_m(0.2e-3, 0.1, Fluid(999.7, 1.306e-3)), 2)  # mN/m
    0.25
    """
    return along_resistance_pa_s(diameter_m, speed_m_s, fluid) * speed_m_s


def sinking_density_kg_m3(diameter_m: float, sink_m_s: float) -> float:
    """Density in kg/m³ of a level line that sinks at ``sink_m_s`` in still water of 10 °C.

    >>> round(sinking_density_kg_m3(1.1e-3, 0.102))  # 4 in a second
    1912
    """
    drag = normal_drag_n_m(diameter_m, sink_m_s, _FRESH_10_C)
    return _FRESH_10_C.rho + drag / (GRAVITY_M_S2 * pi * diameter_m**2 / 4.0)


def sink_speed_m_s(diameter_m: float, line_density_kg_m3: float) -> float:
    """Speed in m/s at which level line sinks, lying flat, in still fresh water of 10 °C.

    >>> round(sink_speed_m_s(1.1e-3, 1912.0), 3)
    0.102
    """
    excess = line_density_kg_m3 - _FRESH_10_C.rho
    weight = excess * GRAVITY_M_S2 * pi * diameter_m**2 / 4.0
    return float(
        scipy.optimize.brentq(
            lambda v: normal_drag_n_m(diameter_m, v, _FRESH_10_C) - weight, 1e-6, 5.0, xtol=1e-9
        )
    )
