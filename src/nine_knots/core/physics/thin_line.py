"""Drag of thin line square to the stream and along it, and the sinking that follows from it.

C_d = 1.18 + 6.8 Re^-0.89 + 1.96 Re^-0.5 - 0.0004 Re / (1 + 3.64e-7 Re²)
[S: Sucker and Brauer 1975, figures from memory], Re on the diameter, 1e-4 < Re < 2e5.
"""

from math import pi

from scipy.optimize import brentq

from nine_knots.core.base.kernel import kernel
from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.physics.fresh_water import density_kg_m3, viscosity_pa_s

_WATER_C = 10.0


@kernel
def drag_coefficient(reynolds: float) -> float:
    """Drag coefficient of a cylinder across the stream.

    >>> round(drag_coefficient(100.0), 2)
    1.45
    """
    re = max(reynolds, 1e-4)
    return float(1.18 + 6.8 * re**-0.89 + 1.96 / re**0.5 - 0.0004 * re / (1.0 + 3.64e-7 * re * re))


@kernel
def normal_drag_n_m(diameter_m: float, speed_m_s: float, rho: float, mu: float) -> float:
    """Drag in N per metre of line square to a stream of ``speed_m_s`` (m/s)."""
    reynolds = rho * speed_m_s * diameter_m / mu
    return 0.5 * rho * diameter_m * drag_coefficient(reynolds) * speed_m_s**2


@kernel
def along_drag_n_m(diameter_m: float, speed_m_s: float, rho: float, mu: float) -> float:
    """Drag in N per metre of line along itself, (4πμ/7) v + ½ρ·.005·πd v² [G, hardly acts]."""
    rough = 0.5 * rho * 0.005 * pi * diameter_m * speed_m_s * speed_m_s
    return 4.0 * pi * mu / 7.0 * speed_m_s + rough


def sinking_density_kg_m3(diameter_m: float, sink_m_s: float) -> float:
    """Density in kg/m³ of a level line that sinks at ``sink_m_s`` in still water of 10 °C."""
    rho, mu = density_kg_m3(_WATER_C), viscosity_pa_s(_WATER_C)
    drag = normal_drag_n_m(diameter_m, sink_m_s, rho, mu)
    return rho + drag / (GRAVITY_M_S2 * pi * diameter_m**2 / 4.0)


def sink_speed_m_s(diameter_m: float, line_density_kg_m3: float) -> float:
    """Speed in m/s at which level line sinks, lying flat, in still fresh water of 10 °C."""
    rho, mu = density_kg_m3(_WATER_C), viscosity_pa_s(_WATER_C)
    weight = (line_density_kg_m3 - rho) * GRAVITY_M_S2 * pi * diameter_m**2 / 4.0
    return float(
        brentq(lambda v: normal_drag_n_m(diameter_m, v, rho, mu) - weight, 1e-6, 5.0, xtol=1e-9)
    )
