"""The droop test against beam theory and a general-purpose boundary-value solver."""

import numpy as np
import pytest
from scipy.integrate import solve_bvp

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.mechanics.elastica import bend_stiffness_from_droop, droop_shape


@pytest.mark.parametrize("load", [0.002, 0.01, 0.05])
def test_small_droop_is_the_handbooks(load):
    """Beam handbooks: a clamped beam under its own weight falls by w l^4 / (8 EI)."""
    _, drop = droop_shape(load)
    assert drop == pytest.approx(load / 8.0, rel=0.02 * load + 1e-5)


def by_boundary_values(load: float) -> tuple[float, float]:
    """Reach and drop by scipy.solve_bvp on s from 0 to 1: theta'' = -load (1 - s) cos theta."""

    def slopes(s, y):
        return np.vstack([y[1], -load * (1 - s) * np.cos(y[0]), np.cos(y[0]), np.sin(y[0])])

    def ends(a, b):
        return np.array([a[0], b[1], a[2], a[3]])

    s = np.linspace(0, 1, 200)
    guess = np.vstack([1.2 * s, 1.2 * (1 - s), s, 0.5 * s])
    found = solve_bvp(slopes, ends, s, guess, tol=1e-8, max_nodes=20000)
    assert found.success
    return float(found.y[2, -1]), float(found.y[3, -1])


@pytest.mark.parametrize("load", [0.5, 2.0, 6.79, 20.0, 60.0])
def test_large_droop_agrees_with_scipy(load):
    assert droop_shape(load) == pytest.approx(by_boundary_values(load), abs=2e-6)


def test_a_heavy_cantilever_of_30_cm():
    """Check value worked beforehand: tip at (.2313, -.1777) m."""
    length, mass, bend = 0.30, 2.5474e-4, 9.9339e-6
    reach, drop = droop_shape(mass * GRAVITY_M_S2 * length**3 / bend)
    assert (reach * length, drop * length) == pytest.approx((0.2313, 0.1777), abs=2e-4)


@pytest.mark.parametrize("share", [0.02, 0.2, 0.5, 0.8])
def test_stiffness_is_found_again_from_the_droop(share):
    mass, length = 5.4e-4, 0.2
    bend = bend_stiffness_from_droop(mass, length, share * length)
    _, drop = droop_shape(mass * GRAVITY_M_S2 * length**3 / bend)
    assert drop == pytest.approx(share, rel=1e-6)


@pytest.mark.parametrize("drop_m", [0.0, 0.001, 0.19, -0.02])
def test_a_droop_that_tells_nothing_is_refused(drop_m):
    with pytest.raises(CannotCompute, match="outside what the droop test can measure"):
        bend_stiffness_from_droop(5.4e-4, 0.2, drop_m)


@pytest.mark.parametrize("load", [0.0, 1e4, float("nan")])
def test_a_load_outside_the_model_is_refused(load):
    with pytest.raises(CannotCompute):
        droop_shape(load)
