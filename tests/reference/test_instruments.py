"""The bench instruments against closed forms, plain draws and published definitions."""

from math import pi

import numpy as np
import pytest

from nine_knots.core.base.errors import CannotCompute, OutOfRange
from nine_knots.core.base.units.factors import GRAVITY_M_S2, THOU_M
from nine_knots.core.domain.in_water import fly_body
from nine_knots.core.domain.tackle import Bead, Fly
from nine_knots.core.measuring.droop import DroopReadings, bend_from, with_bend
from nine_knots.core.measuring.jar import JarReadings, sink_rate_from
from nine_knots.core.measuring.micrometer import (
    MicrometerReadings,
    diameter_from,
    with_diameter,
)
from nine_knots.core.measuring.readings import mean_and_off, outliers
from nine_knots.core.measuring.stretch import StretchReadings, modulus_from
from nine_knots.core.mechanics.bodies import sphere_coefficient
from nine_knots.core.mechanics.elastica import bend_stiffness_from_droop
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.formats.leader_qr import _base45, _from_base45
from tests.makers import strand

WATER = Fluid(999.1, 1.138e-3)
NYMPH = Fly(title="Nymph", kind="nymph", hook=14, bead=Bead(diameter_mm=2.8, metal="tungsten"))


def test_a_small_droop_gives_the_beam_handbooks_stiffness():
    """w l^4 / (8 EI) = drop: EI in closed form, from a modulus and back."""
    stuff = strand(18)
    mass, length_m = stuff.mass_kg_m(stuff.diameter_m), 0.09
    drop_m = mass * GRAVITY_M_S2 * length_m**4 / (8 * stuff.bend_nm2(stuff.diameter_m))
    found = bend_from(DroopReadings(length_m=length_m, drops_m=(drop_m,)), mass)
    assert found.bend_nm2 == pytest.approx(stuff.bend_nm2(stuff.diameter_m), rel=0.01)
    assert with_bend(stuff, found).modulus_pa == pytest.approx(stuff.stiffness_pa, rel=0.01)


def test_the_uncertainty_of_a_droop_is_that_of_plain_draws():
    stuff, rng = strand(18), np.random.default_rng(3)
    mass = stuff.mass_kg_m(stuff.diameter_m)
    drops = (0.051, 0.053, 0.050, 0.054)
    told = bend_from(DroopReadings(length_m=0.22, drops_m=drops), mass, mass_off=0.03)
    drop_m, drop_off_m = mean_and_off(drops, 1e-3)
    drawn = [
        bend_stiffness_from_droop(
            mass * np.exp(0.03 * rng.normal()),
            0.22 + 0.0005 * rng.normal(),
            drop_m + drop_off_m * rng.normal(),
        )
        for _ in range(150)
    ]
    assert told.off == pytest.approx(np.std(np.log(drawn)), rel=0.15)


def test_a_droop_that_tells_nothing_is_refused():
    with pytest.raises(CannotCompute):
        bend_from(DroopReadings(length_m=0.2, drops_m=(0.0005,)), 1e-4)


def test_what_falls_in_the_jar_has_the_drag_of_its_terminal_speed():
    """At its speed weight and drag are one: C_d A = 2 W / (rho v^2)."""
    found = sink_rate_from(JarReadings(fall_m=0.25, times_s=(0.8, 0.82, 0.81)))
    assert found.speed_m_s == pytest.approx(0.25 / 0.81)
    timed = NYMPH.evolve(sink_m_s=found.speed_m_s, sink_by=found.measured)
    body = fly_body(timed, WATER)
    c_s = sphere_coefficient(WATER.rho * found.speed_m_s * body.diameter_m / WATER.mu)
    area = body.factor * c_s * pi * body.diameter_m**2 / 4
    closed = 2 * body.weight_n / (WATER.rho * found.speed_m_s**2)
    assert area == pytest.approx(closed, rel=1e-6)
    assert body.sink_m_s(WATER) == pytest.approx(found.speed_m_s, rel=1e-3)
    for times in ((0.0,), (90.0,)):
        with pytest.raises(OutOfRange):
            sink_rate_from(JarReadings(fall_m=0.25, times_s=times))


def test_a_stretch_is_hookes_law():
    stuff = strand(18)
    area, mass_kg = pi / 4 * stuff.diameter_m**2, 1.0
    springs_m = mass_kg * GRAVITY_M_S2 * 1.0 / (stuff.stiffness_pa * area)
    readings = StretchReadings(
        length_m=1.0, mass_kg=mass_kg, longer_m=springs_m + 0.004, stays_m=0.004
    )
    found = modulus_from(readings, stuff)
    assert found.modulus_pa == pytest.approx(stuff.stiffness_pa, rel=1e-9)
    assert found.stays == pytest.approx(0.004)
    too_much = readings.evolve(mass_kg=9.0)
    with pytest.raises(OutOfRange, match="creep"):
        modulus_from(too_much, strand(5))


def test_a_mean_and_what_is_odd_follow_the_published_rules():
    """Scatter over the root of n beside a rectangle of the resolution (GUM, 4.2.3 and 4.3.7); the
    modified z-score of Iglewicz and Hoaglin, 3.5 from the median."""
    values = (0.152, 0.153, 0.151, 0.152)
    mean, off = mean_and_off(values, 0.002)
    by_hand = np.hypot(np.std(values, ddof=1) / 2, 0.002 / np.sqrt(12))
    assert (mean, off) == (pytest.approx(np.mean(values)), pytest.approx(by_hand))
    rng = np.random.default_rng(1)
    for _ in range(40):
        some = tuple(float(x) for x in rng.normal(10, 1, 9))
        middle = np.median(some)
        spread = max(0.1, np.median(np.abs(np.array(some) - middle)))
        scores = 0.6745 * np.abs(np.array(some) - middle) / spread
        assert outliers(some, 0.1) == tuple(np.flatnonzero(scores > 3.5))


def test_round_a_strand_at_three_places():
    """All readings count, the odd one is only named; EI is not changed by a better thickness."""
    thou = ((6.4, 6.5, 6.4), (6.4, 6.3, 6.4), (6.5, 8.9, 6.4))
    places = tuple(tuple(item * THOU_M for item in place) for place in thou)
    found = diameter_from(MicrometerReadings(places=places))
    assert found.mean_m == pytest.approx(np.mean(thou) * THOU_M)
    assert (found.odd, found.readings) == (((2, 1),), 9)
    assert found.oval == pytest.approx(2.5 / np.mean(thou[2]))
    drooped = strand(6, modulus_pa=2.4e9, modulus_by={"off": 0.1, "readings": 4})
    made = with_diameter(drooped, found)
    assert made.bend_nm2(made.diameter_m) == pytest.approx(drooped.bend_nm2(6 * THOU_M))
    assert made.across_by.readings == 9


@pytest.mark.parametrize(
    ("data", "text"),
    [(b"AB", "BB8"), (b"Hello!!", "%69 VD92EX0"), (b"base-45", "UJCLQE7W581")],
)
def test_base_45_is_that_of_its_rfc(data, text):
    """RFC 9285, 4.3: its own examples."""
    assert _base45(data) == text
    assert _from_base45(text) == data
