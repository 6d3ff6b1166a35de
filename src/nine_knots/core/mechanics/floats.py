"""What floats on water and is pulled down from below: a ball, or what drags like one."""

from math import pi
from typing import NamedTuple

import numpy as np

from nine_knots.core.base.kernel import kernel
from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.mechanics.bodies import body_resistance_kg_m
from nine_knots.core.mechanics.fluid import Fluid


class Float(NamedTuple):
    """A floating ball, or what drags like one: diameter in metres, mass in kg, drag factor.

    ``lift_n`` is what holds it up when it is wholly under, in N.
    """

    diameter_m: float
    mass_kg: float
    lift_n: float
    factor: float = 1.0

    @property
    def carries_n(self) -> float:
        """The pull in N that takes it under."""
        return self.lift_n - self.mass_kg * GRAVITY_M_S2

    def share_under(self, pulled_n: float) -> float:
        """Share of its outline under water when pulled down by so much; 1 where it goes under."""
        return share_under(pulled_n + self.mass_kg * GRAVITY_M_S2, self.lift_n)

    def drag_n(self, slip_m_s: float, pulled_n: float, fluid: Fluid) -> float:
        """Drag of its immersed part in water that passes it, in N; with the sign of the slip."""
        return (
            float_resistance_kg_m(self, abs(slip_m_s), pulled_n, fluid) * slip_m_s * abs(slip_m_s)
        )


def ball(diameter_m: float, mass_kg: float, rho: float) -> Float:
    """A floating ball, held up by what it displaces.

    >>> round(1e3 * ball(0.019, 0.8e-3, 999.7).carries_n, 1)  # mN
    27.4
    """
    return Float(diameter_m, mass_kg, rho * GRAVITY_M_S2 * pi * diameter_m**3 / 6.0)


@kernel
def share_under(load_n: float, lift_n: float) -> float:
    """Share of a ball's outline under water at the depth where it displaces its load.

    >>> round(share_under(0.5, 1.0), 6)  # half displaced is half under
    0.5
    """
    displaced = min(1.0, max(0.0, load_n / lift_n))
    # of the depth d over the radius, d²(3 - d) = 4 displaced, by the cosine of a third
    third = (2.0 * pi - np.arccos(1.0 - 2.0 * displaced)) / 3.0
    angle = np.arccos(min(1.0, max(-1.0, -2.0 * np.cos(third))))
    return float((angle - np.sin(angle) * np.cos(angle)) / pi)


@kernel
def float_resistance_kg_m(floats: Float, speed_m_s: float, pulled_n: float, fluid: Fluid) -> float:
    """Drag of its immersed part over the square of the speed, in kg/m.

    >>> floats, water = ball(0.019, 0.8e-3, 999.7), Fluid(999.7, 1.306e-3)
    >>> round(1e3 * float_resistance_kg_m(floats, 0.1, 0.012, water), 1)  # g/m
    33.5
    """
    under = share_under(floats.mass_kg * GRAVITY_M_S2 + pulled_n, floats.lift_n)
    return under * body_resistance_kg_m(speed_m_s, floats.diameter_m, floats.factor, fluid)
