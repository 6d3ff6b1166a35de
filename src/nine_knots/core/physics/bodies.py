"""Shot, flies and indicators in water: drag, and the speed at which they sink.

F = ½ρ k (πD²/4) C_s |r| r with the sphere's C_s = 24/Re (1 + .15 Re^.687) + .42/(1 + 42500
Re^−1.16) [S: Clift & Gauvin 1970], Re on D, up to 3e5. ``k`` is 1.1 for shot, 2.1 for flies
[G ±40 %], whose D is that of a sphere of their area.
"""

from dataclasses import dataclass
from math import pi

from scipy.optimize import brentq

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.kernel import kernel

FASTEST_M_S = 10.0


@kernel
def sphere_coefficient(reynolds: float) -> float:
    """Drag coefficient of a sphere; held at Re = 1e-6 below."""
    re = max(reynolds, 1e-6)
    laminar = 24.0 / re * (1.0 + 0.15 * re**0.687)
    return float(laminar + 0.42 / (1.0 + 42500.0 * re**-1.16))


@kernel
def body_drag_n(speed_m_s: float, diameter_m: float, factor: float, rho: float, mu: float) -> float:
    """Drag in N on a body of ``diameter_m`` moving at ``speed_m_s`` through water."""
    re = rho * speed_m_s * diameter_m / mu
    area = 0.25 * pi * diameter_m * diameter_m
    return 0.5 * rho * factor * area * sphere_coefficient(re) * speed_m_s * speed_m_s


@dataclass(frozen=True, slots=True)
class Body:
    """A body by its weight in water (N), the diameter (m) its drag goes by, its factor, its mass.

    The mass (kg) matters only to how quickly it starts and stops.
    """

    weight_n: float
    diameter_m: float
    factor: float
    mass_kg: float = 1e-4

    def sink_m_s(self, rho: float, mu: float) -> float:
        """Speed in m/s at which it sinks by itself; CannotCompute where it floats."""
        if self.weight_n <= 0.0:
            raise CannotCompute("It floats: it has no speed of sinking.", where="weight_n")

        def surplus(speed: float) -> float:
            return body_drag_n(speed, self.diameter_m, self.factor, rho, mu) - self.weight_n

        if surplus(FASTEST_M_S) < 0.0:
            raise CannotCompute("It sinks faster than the drag law reaches.", where="weight_n")
        return float(brentq(surplus, 1e-9, FASTEST_M_S, xtol=1e-10))
