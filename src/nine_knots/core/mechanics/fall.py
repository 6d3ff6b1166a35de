"""A body dropped in still air: its drag area from the time over a measured height."""

from math import acosh, exp, log, sqrt

import scipy

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.mechanics.air import AIR_KG_M3

LEAST_HELD = 1.03  # times as long as without air, below which the drag is lost in the timing


def fall_time_s(height_m: float, terminal_m_s: float) -> float:
    """Seconds in which a body with quadratic drag falls a height from rest.

    h = (v²/g) ln cosh(g t / v), v the terminal speed.

    >>> round(fall_time_s(2.5, 1e6), 3)  # without air, sqrt(2h/g)
    0.714
    """
    reach = GRAVITY_M_S2 * height_m / terminal_m_s**2
    inverse = reach + log(2.0) if reach > 30.0 else acosh(exp(reach)) if reach > 1e-9 else None
    if inverse is None:
        return sqrt(2.0 * height_m / GRAVITY_M_S2)
    return terminal_m_s / GRAVITY_M_S2 * inverse


def drag_area_of_fall_m2(mass_kg: float, height_m: float, seconds: float) -> float:
    """Drag area C_d A in m² of a body that falls ``height_m`` in still air in ``seconds``.

    C_d A = 2 m g / (ρ v²) at its terminal speed v. CannotCompute where it falls so nearly as in
    nothing that the time does not tell its drag.

    >>> round(1e4 * drag_area_of_fall_m2(25e-6, 2.5, 1.142), 2)  # a bushy dry, in cm²
    0.6
    """
    free_s = sqrt(2.0 * height_m / GRAVITY_M_S2)
    if seconds < LEAST_HELD * free_s:
        raise CannotCompute(
            f"Something this heavy falls {height_m:.2g} m in {free_s:.2f} s even without air, "
            "so the time says nothing about its drag.",
            where="air_fall_time",
            hint="Let it fall from higher up, time several falls, or type the area.",
        )
    steady = height_m / seconds
    speed = scipy.optimize.brentq(lambda v: fall_time_s(height_m, v) - seconds, steady, 1e3)
    return 2.0 * mass_kg * GRAVITY_M_S2 / (AIR_KG_M3 * float(speed) ** 2)
