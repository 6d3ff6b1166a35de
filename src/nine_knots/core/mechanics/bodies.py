"""Round bodies in water: their drag, and the speed at which they sink.

F = ½ρ k (πD²/4) C_s |r| r with the sphere's C_s = 24/Re (1 + .15 Re^.687) + .42/(1 + 42500
Re^−1.16) [S: CliftGauvin1970], Re on D, up to 3e5. ``k`` is what a body drags over a sphere of its
area.
"""

from math import exp, log, pi
from typing import NamedTuple

import scipy

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.kernel import kernel
from nine_knots.core.mechanics.fluid import Fluid

FASTEST_M_S = 10.0


@kernel
def sphere_coefficient(reynolds: float) -> float:
    """Drag coefficient of a sphere; held at Re = 1e-6 below.

    >>> round(sphere_coefficient(1000.0), 2)
    0.47
    """
    re = max(reynolds, 1e-6)
    logarithm = log(re)  # quicker than powers
    laminar = 24.0 / re * (1.0 + 0.15 * exp(0.687 * logarithm))
    return laminar + 0.42 / (1.0 + 42500.0 * exp(-1.16 * logarithm))


@kernel
def body_resistance_kg_m(speed_m_s: float, diameter_m: float, factor: float, fluid: Fluid) -> float:
    """Drag over the square of the speed, ½ρ k A C_s, in kg/m, at a speed in m/s.

    >>> water = Fluid(999.7, 1.306e-3)
    >>> round(1e3 * body_resistance_kg_m(0.25, 3e-3, 1.1, water), 2)  # g/m
    2.14
    """
    re = fluid.rho * speed_m_s * diameter_m / fluid.mu
    area = 0.25 * pi * diameter_m * diameter_m
    return 0.5 * fluid.rho * factor * area * sphere_coefficient(re)


@kernel
def body_drag_n(speed_m_s: float, diameter_m: float, factor: float, fluid: Fluid) -> float:
    """Drag in N on a body of ``diameter_m`` moving at ``speed_m_s`` through water.

    >>> round(1e3 * body_drag_n(0.25, 3e-3, 1.1, Fluid(999.7, 1.306e-3)), 3)  # mN
    0.134
    """
    resistance = body_resistance_kg_m(speed_m_s, diameter_m, factor, fluid)
    return resistance * speed_m_s * speed_m_s


class Body(NamedTuple):
    """A body by its weight in water (N), the diameter (m) its drag goes by, its factor, its mass.

    The mass (kg) matters only to how quickly it starts and stops.
    """

    weight_n: float
    diameter_m: float
    factor: float
    mass_kg: float = 1e-4

    def sink_m_s(self, fluid: Fluid) -> float:
        """Speed in m/s at which it sinks by itself; CannotCompute where it floats."""
        if self.weight_n <= 0.0:
            raise CannotCompute("It floats, so it has no sink rate.", where="weight_n")

        def surplus(speed: float) -> float:
            return body_drag_n(speed, self.diameter_m, self.factor, fluid) - self.weight_n

        if surplus(FASTEST_M_S) < 0.0:
            raise CannotCompute("It sinks faster than the drag model covers.", where="weight_n")
        return float(scipy.optimize.brentq(surplus, 1e-9, FASTEST_M_S, xtol=1e-10))
