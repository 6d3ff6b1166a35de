"""What passes a joint, against a string that is simulated to see what passes."""

import numpy as np
import pytest

from nine_knots.core.assess.joint_match import energy_passed
from nine_knots.core.base.units.factors import INCH_M, THOU_M
from nine_knots.core.domain.materials import MATERIALS
from nine_knots.core.mechanics.section import mass_per_length_kg_m

TIP = mass_per_length_kg_m(0.035 * INCH_M, 870.0)


def nylon(thou: float) -> float:
    return mass_per_length_kg_m(thou * THOU_M, MATERIALS["nylon-medium"].density_kg_m3)


@pytest.mark.parametrize(("thou", "passed"), [(18, 0.93), (10, 0.74)])
def test_energy_from_a_line_tip_into_nylon(thou, passed):
    """Any text on waves on strings: R = (sqrt(mu1) - sqrt(mu2)) / (sqrt(mu1) + sqrt(mu2))."""
    assert energy_passed(TIP, nylon(thou)) == pytest.approx(passed, abs=0.005)


def test_it_passes_alike_both_ways_and_wholly_between_equals():
    assert energy_passed(TIP, nylon(15)) == pytest.approx(energy_passed(nylon(15), TIP))
    assert energy_passed(TIP, TIP) == 1.0


def test_a_pulse_on_a_simulated_string_passes_as_much():
    """Finite differences of mu y_tt = T y_xx, a pulse sent over a joint; independent of R."""
    heavy, light, tension = TIP, nylon(12), 1.0
    count, dx = 2400, 1.0
    mass = np.where(np.arange(count) < count // 2, heavy, light)
    dt = 0.5 * dx * np.sqrt(light / tension)
    speed = np.sqrt(tension / heavy)
    x = np.arange(count) * dx
    pulse = lambda at: np.exp(-(((x - 700.0 - at) / 60.0) ** 2))  # noqa: E731
    before, now = pulse(0.0), pulse(speed * dt)

    def energy(a, b, part):
        kinetic = 0.5 * mass[part] * ((b - a)[part] / dt) ** 2
        strain = 0.5 * tension * (np.gradient(b)[part] / dx) ** 2
        return float(kinetic.sum() + strain.sum())

    whole = energy(before, now, slice(0, count))
    for _ in range(int(800.0 / speed / dt)):
        curve = np.zeros(count)
        curve[1:-1] = now[2:] - 2 * now[1:-1] + now[:-2]
        before, now = now, 2 * now - before + tension * dt**2 / (mass * dx**2) * curve
    passed = energy(before, now, slice(count // 2 + 20, count)) / whole
    assert passed == pytest.approx(energy_passed(heavy, light), abs=0.02)
