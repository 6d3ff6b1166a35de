"""Drag of thin line square to the stream and along it, and the sinking that follows from it.

C_d = 1.18 + 6.8 Re^-0.89 + 1.96 Re^-0.5 - 0.0004 Re / (1 + 3.64e-7 Re²)
[S: Sucker and Brauer 1975, figures from memory], Re on the diameter, 1e-4 < Re < 2e5.
"""

from math import pi

from scipy.optimize import brentq

from nine_knots.core.base.kernel import kernel
from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.physics.fluid import Fluid
from nine_knots.core.physics.fresh_water import density_kg_m3, viscosity_pa_s

_FRESH_10_C = Fluid(density_kg_m3(10.0), viscosity_pa_s(10.0))


@kernel
def drag_coefficient(reynolds: float) -> float:
    """Drag coefficient of a cylinder across the stream.

    >>> round(drag_coefficient(100.0), 2)
    1.45
    """
    re = max(reynolds, 1e-4)
    return float(1.18 + 6.8 * re**-0.89 + 1.96 / re**0.5 - 0.0004 * re / (1.0 + 3.64e-7 * re * re))


@kernel
def across_resistance_kg_m2(diameter_m: float, speed_m_s: float, fluid: Fluid) -> float:
    """Drag of a metre of line square to a stream over the square of its speed, ½ρ d C_d."""
    reynolds = fluid.rho * speed_m_s * diameter_m / fluid.mu
    return 0.5 * fluid.rho * diameter_m * drag_coefficient(reynolds)


@kernel
def along_resistance_pa_s(diameter_m: float, speed_m_s: float, fluid: Fluid) -> float:
    """Drag of a metre of line along itself over its speed, 4πμ/7 + ½ρ·.005·πd v.

    [G, hardly acts]
    """
    return 4.0 * pi * fluid.mu / 7.0 + 0.5 * fluid.rho * 0.005 * pi * diameter_m * speed_m_s


@kernel
def normal_drag_n_m(diameter_m: float, speed_m_s: float, fluid: Fluid) -> float:
    """Drag in N per metre of line square to a stream of ``speed_m_s`` (m/s)."""
    return across_resistance_kg_m2(diameter_m, speed_m_s, fluid) * speed_m_s * speed_m_s


@kernel
def along_drag_n_m(diameter_m: float, speed_m_s: float, fluid: Fluid) -> float:
    """Drag in N per metre of line along itself, at ``speed_m_s`` (m/s)."""
    return along_resistance_pa_s(diameter_m, speed_m_s, fluid) * speed_m_s


def sinking_density_kg_m3(diameter_m: float, sink_m_s: float) -> float:
    """Density in kg/m³ of a level line that sinks at ``sink_m_s`` in still water of 10 °C."""
    drag = normal_drag_n_m(diameter_m, sink_m_s, _FRESH_10_C)
    return _FRESH_10_C.rho + drag / (GRAVITY_M_S2 * pi * diameter_m**2 / 4.0)


def sink_speed_m_s(diameter_m: float, line_density_kg_m3: float) -> float:
    """Speed in m/s at which level line sinks, lying flat, in still fresh water of 10 °C."""
    excess = line_density_kg_m3 - _FRESH_10_C.rho
    weight = excess * GRAVITY_M_S2 * pi * diameter_m**2 / 4.0
    return float(
        brentq(lambda v: normal_drag_n_m(diameter_m, v, _FRESH_10_C) - weight, 1e-6, 5.0, xtol=1e-9)
    )
