"""Water, thin line, bodies and steady shapes against handbooks, libraries and closed forms."""

from math import asinh, cos, cosh, degrees, pi, sin, sinh

import fluids
import gsw
import numpy as np
import pytest
from CoolProp.CoolProp import PropsSI
from scipy.integrate import quad, solve_ivp
from scipy.optimize import brentq

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.domain.beds import GRAIN_M
from nine_knots.core.mechanics import fresh_water as fresh
from nine_knots.core.mechanics import sea_water as sea
from nine_knots.core.mechanics.bodies import Body, body_drag_n, sphere_coefficient
from nine_knots.core.mechanics.floats import ball, share_under
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.mechanics.section import bend_stiffness_nm2
from nine_knots.core.mechanics.slack import across_s, along_s, belly_m, bending_length_m
from nine_knots.core.mechanics.steady import drifting, held
from nine_knots.core.mechanics.stream import Stream, stream_over
from nine_knots.core.mechanics.thin_line import (
    along_drag_n_m,
    normal_drag_n_m,
    sink_speed_m_s,
    sinking_density_kg_m3,
)
from nine_knots.core.mechanics.tree import TreeSegmentGroup
from tests.makers import laid, line_of

RHO, MU, G = 999.70, 1.3059e-3, 9.81
WATER = Fluid(RHO, MU)
B1 = Body(1.5e-3, 5.0e-3, 2.1)
S1 = Body(3.5e-3, 4.2e-3, 1.1)
F0 = Body(0.3e-3, 4.5e-3, 2.1)
INDICATOR = ball(19e-3, 0.8e-3, RHO)


def sphere(diameter_m, density):
    return Body((density - RHO) * G * pi * diameter_m**3 / 6.0, diameter_m, 1.0)


@pytest.mark.parametrize("celsius", [0.01, 4, 10, 20, 30])
def test_fresh_water_against_coolprop(celsius):
    at = ("T", celsius + 273.15, "P", 101325, "Water")
    assert fresh.density_kg_m3(celsius) == pytest.approx(PropsSI("D", *at), rel=3e-4)
    assert fresh.viscosity_pa_s(celsius) == pytest.approx(PropsSI("V", *at), rel=2e-3)


@pytest.mark.parametrize("celsius", [0, 10, 20])
@pytest.mark.parametrize("salinity", [5, 20, 35])
def test_sea_water_against_gsw(celsius, salinity):
    """TEOS-10, McDougall & Barker 2011; practical and absolute salinity taken as one here."""
    theirs = gsw.rho_t_exact(salinity * 35.16504 / 35.0, celsius, 0.0)
    assert sea.density_kg_m3(celsius, salinity) == pytest.approx(theirs, rel=4e-4)
    assert sea.viscosity_pa_s(celsius, salinity) > fresh.viscosity_pa_s(celsius)


def test_water_at_the_handbooks_points():
    assert fresh.density_kg_m3(10) == pytest.approx(999.69, rel=1e-3)
    assert fresh.viscosity_pa_s(10) == pytest.approx(1.3063e-3, rel=1e-2)
    assert fresh.density_kg_m3(20) == pytest.approx(998.11, rel=1e-3)
    assert fresh.viscosity_pa_s(20) == pytest.approx(1.0013e-3, rel=1e-2)
    assert sea.density_kg_m3(10, 35) == pytest.approx(1027.04, rel=1e-3)


@pytest.mark.parametrize(
    ("body", "wanted"),
    [(sphere(3.8e-3, 17_500), 1.460), (sphere(4.1e-3, 11_340), 1.201), (B1, 0.417)],
)
def test_free_fall_in_water(body, wanted):
    assert body.sink_m_s(WATER) == pytest.approx(wanted, rel=0.01)


@pytest.mark.parametrize("reynolds", [0.1, 1, 10, 100, 1e3, 1e4, 1e5])
def test_the_spheres_drag_against_fluids(reynolds):
    """Library fluids, Clift (1978) and its mean of correlations: within 8 %."""
    assert sphere_coefficient(reynolds) == pytest.approx(fluids.drag_sphere(reynolds), rel=0.08)


def test_settling_against_fluids():
    theirs = fluids.v_terminal(D=4.1e-3, rhop=11_340, rho=RHO, mu=MU)
    assert sphere(4.1e-3, 11_340).sink_m_s(WATER) == pytest.approx(theirs, rel=0.05)


def test_what_floats_has_no_speed_of_sinking():
    with pytest.raises(CannotCompute, match="floats"):
        Body(-1e-3, 5e-3, 1.0).sink_m_s(WATER)


@pytest.mark.parametrize(("density", "wanted"), [(1140, 4.56e-3), (1780, 17.1e-3)])
def test_a_tippet_lying_flat_sinks(density, wanted):
    assert sink_speed_m_s(0.152e-3, density) == pytest.approx(wanted, rel=0.01)


def test_a_sinking_lines_density_follows_from_its_class():
    found = sinking_density_kg_m3(1.05e-3, 7.0 * 0.0254)
    assert found / 1000.0 == pytest.approx(3.674, rel=0.01)


def test_the_streams_profile():
    stream = Stream(1.0, 1.0, 0.0026667)
    for z, share in ((0.05, 0.503), (0.1, 0.616), (0.2, 0.730), (0.5, 0.884)):
        assert stream.speed_m_s(z) == pytest.approx(share, abs=1e-3)
    assert stream.shear_m_s == pytest.approx(0.0691, abs=1e-3)
    mean = np.mean([stream.speed_m_s(z) for z in np.linspace(0, 1, 2001)])
    assert 0.8 <= mean <= 0.88, "common practice among hydrologists: .8 to .88 of the surface"
    assert stream_over(GRAIN_M["gravel"], 1.0, 1.0).z0_m == pytest.approx(0.08 / 30)


@pytest.mark.parametrize("load", [0.02, 0.3, 0.5, 0.8, 0.99])
def test_a_floating_ball_lies_as_deep_as_it_displaces(load):
    """Archimedes on the unit ball: its slices displace the load, their chords are its outline."""
    depth = brentq(lambda d: quad(lambda z: z * (2.0 - z), 0.0, d)[0] - load * 4.0 / 3.0, 0.0, 2.0)
    outline, _ = quad(lambda z: 2.0 * (z * (2.0 - z)) ** 0.5, 0.0, depth)
    assert share_under(load, 1.0) == pytest.approx(outline / pi, rel=1e-6)


def test_a_towed_cable_hangs_at_podes_angle():
    """Pode 1951, critical angle: w cos φ = F_n(U sin φ); a light, long cable of one thickness."""
    d, density, speed = 0.25e-3, 3500.0, 0.2
    cable = line_of((TreeSegmentGroup(3.0, d, density),), RHO, 0.05)
    shape = held(cable, Stream(10.0, 1e-9, 0.003), speed, WATER)
    upper = shape.places[1] - shape.places[0]
    found = degrees(np.arctan2(abs(upper[1]), abs(upper[0])))
    weight = (density - RHO) * G * pi * d**2 / 4
    wanted = degrees(
        brentq(lambda a: weight * cos(a) - normal_drag_n_m(d, speed * sin(a), WATER), 0.01, 1.5)
    )
    assert wanted == pytest.approx(17.56, abs=0.05)
    assert found == pytest.approx(wanted, abs=0.4)


def test_a_rig_held_to_a_speed_and_the_same_by_integration():
    """The loaded line in the profile as an initial value problem from its end up, by scipy."""
    stream, speed = Stream(1.5, 1.2, 0.0026667), 0.9
    d, density, long_m = 0.2032e-3, 1780.0, 1.6
    shape = held(
        line_of((TreeSegmentGroup(long_m, d, density, B1),), RHO, 0.02), stream, speed, WATER
    )
    x, z = shape.places[-1]
    assert z == pytest.approx(1.126, abs=3e-3)
    assert x == pytest.approx(1.514, abs=5e-3)
    assert shape.tension_n == pytest.approx(2.910e-3, rel=5e-3)

    weight = (density - RHO) * G * pi * d**2 / 4

    def force(e, z_m):
        r = stream.speed_m_s(z_m) - speed
        along = r * e[0]
        normal = np.array([r - along * e[0], -along * e[1]])
        size = float(np.hypot(*normal))
        pull = np.array([0.0, -weight])
        if size > 0:
            pull = pull + normal / size * normal_drag_n_m(d, size, WATER)
        return pull + np.sign(along) * along_drag_n_m(d, abs(along), WATER) * e

    def up(_, state):
        px, pz, _x, z_m = state
        e = np.array([px, pz]) / np.hypot(px, pz)
        return [*force(e, z_m), -e[0], -e[1]]

    def miss(z_end):
        r = stream.speed_m_s(z_end) - speed
        px = np.sign(r) * body_drag_n(abs(r), B1.diameter_m, B1.factor, WATER)
        path = solve_ivp(up, (0, long_m), [px, -B1.weight_n, 0.0, z_end], rtol=1e-8, atol=1e-12)
        return path.y[:, -1]

    z_end = brentq(lambda guess: miss(guess)[3] - stream.depth_m, 0.3, 1.45)
    end = miss(z_end)
    assert z == pytest.approx(z_end, abs=3e-3)
    assert x == pytest.approx(-end[2], abs=5e-3)
    assert shape.tension_n == pytest.approx(float(np.hypot(end[0], end[1])), rel=5e-3)


def test_a_drift_with_shot_and_fly_under_an_indicator():
    stretches = (
        TreeSegmentGroup(1.05, 0.178e-3, 1140, S1),
        TreeSegmentGroup(0.30, 0.152e-3, 1140, F0),
    )
    line = laid(stretches, RHO, 0.05)
    speed, shape = drifting(INDICATOR, line.tree(), Stream(1.2, 1.0, 0.25 / 30), WATER)
    assert speed == pytest.approx(0.8506, abs=3e-3)
    assert [float(shape.places[end][1]) for end in line.ends] == pytest.approx(
        [0.216, 0.144], abs=4e-3
    )


def test_heavy_line_in_still_water_is_a_catenary():
    """Closed form: pulled level by a force at its lower end, x = a arsinh(L/a), a = H/w."""
    d, density, long_m, pull = 0.6e-3, 5000.0, 2.0, 4e-3
    weight = (density - RHO) * G * pi * d**2 / 4
    # a weightless body in a stream so slow that only it feels it gives the pull
    stream = Stream(50.0, 5e-4, 1e-9)
    drag = body_drag_n(stream.speed_m_s(48.5), 1.0, 1.0, WATER)
    body = Body(0.0, 1.0, pull / drag)
    shape = held(
        line_of((TreeSegmentGroup(long_m, d, density, body),), RHO, 0.1), stream, 0.0, WATER
    )
    assert len(shape.places) == 21
    a = pull / weight
    x, z = shape.places[-1]
    assert x == pytest.approx(a * asinh(long_m / a), rel=4e-3)
    assert stream.depth_m - z == pytest.approx(a * (cosh(x / a) - 1.0), rel=4e-3)
    assert sinh(x / a) * a == pytest.approx(long_m, rel=4e-3)


def test_slack_on_the_surface():
    assert belly_m(1.0, 0.2) == pytest.approx(0.296, rel=0.01)
    assert across_s(1.0, 0.2, 0.3) == pytest.approx(0.99, rel=0.01)
    assert along_s(0.2, 0.3) == pytest.approx(0.67, rel=0.01)
    assert belly_m(1.0, 0.0) == 0.0
    with pytest.raises(CannotCompute):
        along_s(0.2, 0.0)


def test_supple_tippet():
    d = 0.1524e-3
    bend = bend_stiffness_nm2(d, 2e9)
    drag = normal_drag_n_m(d, 0.1, WATER)
    assert bending_length_m(bend, drag) == pytest.approx(0.0605, rel=0.01)
    thick = bending_length_m(bend_stiffness_nm2(7 / 6 * d, 2e9), drag)
    assert thick > bending_length_m(bend, drag)


def test_a_rig_that_cannot_drift_is_refused_with_the_mend():
    anchor = Body(0.4, 15e-3, 1.1)
    deep = Stream(2.0, 0.6, 0.003)
    with pytest.raises(CannotCompute, match="under"):
        drifting(
            ball(12e-3, 0.3e-3, RHO),
            line_of((TreeSegmentGroup(1.5, 2e-4, 1140, anchor),), RHO),
            deep,
            WATER,
        )
    with pytest.raises(CannotCompute, match=r"bed|steady"):
        held(
            line_of((TreeSegmentGroup(4.0, 2e-4, 1140, B1),), RHO),
            Stream(0.5, 0.3, 0.003),
            0.25,
            WATER,
        )
