"""Waves on a fly line against known solutions and a general-purpose dynamics engine.

A loop travels along a line at the speed of its waves, so what runs ahead of it onto the leader
hangs on small differences of those speeds: a mesh must not make them.
"""

from math import pi, sqrt

import mujoco
import numpy as np
import pytest

from nine_knots.core.mechanics import flight
from nine_knots.core.mechanics.air import Air
from nine_knots.core.mechanics.chain import Chain

MU, TENSION, EA = 1.06e-3, 0.024, 4.0  # a 5-weight's belly behind a loop at 9.5 m/s
# softer along itself than a line, so that its tension is known well: that does not touch waves
SWING_M = 1e-4
BEND = 3e-6


def string(links: int, bend: float, corrected: bool = True, friction: float = 0.0):
    """A metre of line between two pins that pulls across itself with ``TENSION``; its nodes and the
    chain, whose links pull along themselves as if they were not stretched."""
    h, along = 1.0 / links, TENSION / (1.0 + TENSION / EA)
    place = np.stack([np.linspace(0.0, 1.0, links + 1), np.zeros(links + 1)], axis=1)
    rest = np.full(links, h / (1.0 + along / EA))
    mass, held, none = np.full(links + 1, MU * h), np.zeros(links + 1), np.zeros(links + 1)
    held[[0, -1]] = 1.0
    stiff, lossy = np.full(links + 1, bend), np.full(links + 1, friction)
    made = Chain(rest, mass, rest / EA, stiff, lossy, np.zeros(links), none, held, 0, corrected)
    return place, made


def swings(place, made: Chain, waves: float, periods: float):
    """How a standing wave of so many waves swings: its share of the start, every 2 ms."""
    shape = np.sin(2.0 * pi * waves * place[:, 0])
    place = place.copy()
    place[:, 1] = SWING_M * shape
    gap = 0.002
    until = periods / (waves * sqrt(TENSION / MU))
    frames = np.zeros((int(until / gap) + 1, len(place), 2))
    limits = flight.Limits(until, 0.004, 10**6, gap, 0.0, 0.0, -1e9)
    flown = flight.FlightRecord(frames, np.zeros(len(place) - 1))
    flight.fly(made, place, np.zeros_like(place), Air(), limits, flown)
    frames = frames[~np.isnan(frames[:, 0, 0])]
    return gap, (frames[:, :, 1] * shape).sum(axis=1) / (SWING_M * (shape**2).sum())


def frequency(gap: float, swing) -> float:
    """In rad/s, by the times at which it passes through nothing."""
    at = np.flatnonzero(swing[:-1] * swing[1:] < 0.0)
    when = gap * (at + swing[at] / (swing[at] - swing[at + 1]))
    return pi * (when.size - 1) / (when[-1] - when[0])


def known(waves: float, bend: float) -> float:
    """A taut stiff string between pins: μ ω² = T k² + EI k⁴ [S: Blevins2016, M]."""
    k = 2.0 * pi * waves
    return sqrt((TENSION * k**2 + bend * k**4) / MU)


@pytest.mark.parametrize("bend", [0.0, BEND, 1.2e-5])
@pytest.mark.parametrize(("links", "off"), [(6, 0.008), (8, 0.004), (16, 0.002)])
def test_a_taut_stiff_string_swings_at_its_known_frequency(links, off, bend):
    """One wave on so many links. Without the correction it is 4.3 % slow at six."""
    place, made = string(links, bend)
    assert frequency(*swings(place, made, 1.0, 8.0)) == pytest.approx(known(1.0, bend), rel=off)


def test_short_waves_in_long_steps_are_as_near():
    """Six links a wave, in steps of three quarters of the time it needs for a link."""
    place, made = string(60, 0.0)
    assert frequency(*swings(place, made, 10.0, 8.0)) == pytest.approx(known(10.0, 0.0), rel=0.007)


def test_without_the_correction_links_carry_waves_too_slowly():
    place, plain = string(6, 0.0, corrected=False)
    found = frequency(*swings(place, plain, 1.0, 8.0)) / known(1.0, 0.0)
    assert found == pytest.approx(1.0 - 0.043, abs=0.01)
    assert found == pytest.approx(6.0 / pi * np.sin(pi / 6.0), abs=0.01)  # of a chain of beads


def test_friction_takes_as_much_of_a_wave_as_it_should():
    """Kelvin and Voigt: an amplitude that falls as exp(-EI τ k⁴ t / 2μ) [S: Clough1993]."""
    waves, friction = 2.0, 6e-3 * 1.2e-5
    place, made = string(64, 1.2e-5, friction=friction)
    gap, swing = swings(place, made, waves, 12.0)
    peaks = np.flatnonzero((swing[1:-1] > swing[:-2]) & (swing[1:-1] > swing[2:])) + 1
    rate = -np.polyfit(gap * peaks, np.log(swing[peaks]), 1)[0]
    expected = friction * (2.0 * pi * waves) ** 4 / (2.0 * MU)
    assert rate == pytest.approx(expected, rel=0.05)


SPEED, LOOP_M, LEG_M, LINE_M, UNTIL_S = 9.5, 0.6, 0.3, 6.0, 0.6
STIFF = 1.16e-5  # EI of that belly


def loop(link_m: float):
    """Places and speeds of a line with a loop, a semicircle: its jumps of curvature make waves."""
    radius, links = LOOP_M / 2.0, round(LINE_M / link_m)
    s = np.linspace(0.0, LINE_M, links + 1)
    turn = np.clip((s - LEG_M) / radius, 0.0, pi)
    back = np.maximum(0.0, s - LEG_M - pi * radius)
    x = np.minimum(s, LEG_M) + radius * np.sin(turn) - back
    place = np.stack([x, radius - radius * np.cos(turn)], axis=1)
    speed = 0.5 * SPEED * np.stack([1.0 - np.cos(turn), -np.sin(turn)], axis=1)
    return place, speed


def swell_m(place) -> float:
    """How far the upper leg has left its height, more than half a loop behind the loop's front."""
    front = int(np.argmax(place[:, 0]))
    leg = place[front:]
    leg = leg[leg[:, 0] < place[front, 0] - LOOP_M / 2.0]
    return float(np.abs(leg[:, 1] - LOOP_M).max())


def swell_of_links(link_m: float, corrected: bool) -> float:
    place, speed = loop(link_m)
    rest = np.hypot(*np.diff(place, axis=0).T)
    mass, none = np.zeros(len(place)), np.zeros(len(place))
    mass[:-1] += 0.5 * MU * rest
    mass[1:] += 0.5 * MU * rest
    held = none.copy()
    held[0] = 1.0
    stiff = np.full(len(place), STIFF)
    made = Chain(rest, mass, rest / 1e5, stiff, none, np.zeros(rest.size), none, held, 0, corrected)
    flown = flight.FlightRecord(np.zeros((1, len(place), 2)), np.zeros(rest.size))
    limits = flight.Limits(UNTIL_S, 1e-3, 10**6, 1.0, 0.0, 0.0, -1e9)
    flight.fly(made, place, speed, Air(), limits, flown)
    return swell_m(place)


def swell_of_rods(link_m: float, step_s: float = 1e-4) -> float:
    """The same in MuJoCo, of rigid rods on hinges with springs: their mass lies along them, so that
    their short waves are too fast where those of links are too slow."""
    place, speed = loop(link_m)
    turns = np.arctan2(*np.diff(place, axis=0).T[::-1])
    rest = np.hypot(*np.diff(place, axis=0).T)
    bodies, close, before = "", "", 0.0
    for length in rest:
        spring = 2.0 * STIFF / (length + before) if before else 0.0
        across = MU * length**3 / 12.0
        bodies += (
            f'<body pos="{before:.12g} 0 0"><joint type="hinge" axis="0 -1 0" '
            f'stiffness="{spring:.12g}"/><inertial pos="{length / 2:.12g} 0 0" '
            f'mass="{MU * length:.12g}" diaginertia="{across} {across} {across}"/>'
        )
        close, before = close + "</body>", length
    model = mujoco.MjModel.from_xml_string(
        f'<mujoco><option timestep="{step_s}" integrator="RK4" gravity="0 0 0"/>'
        '<compiler boundmass="0" boundinertia="0"/>'
        f"<worldbody>{bodies}{close}</worldbody></mujoco>"
    )
    data = mujoco.MjData(model)
    data.qpos[:] = np.diff(np.concatenate([[0.0], turns]))
    along, faster = np.diff(place, axis=0) / rest[:, None], np.diff(speed, axis=0)
    spin = (along[:, 0] * faster[:, 1] - along[:, 1] * faster[:, 0]) / rest
    data.qvel[:] = np.diff(np.concatenate([[0.0], spin]))
    for _ in range(round(UNTIL_S / step_s)):
        mujoco.mj_step(model, data)
    turn = np.cumsum(data.qpos)
    steps = rest[:, None] * np.stack([np.cos(turn), np.sin(turn)], axis=1)
    return swell_m(np.vstack([[[0.0, 0.0]], np.cumsum(steps, axis=0)]))


def test_what_runs_ahead_of_a_loop_lies_between_links_and_rods():
    """Plain links come to it from below as they grow shorter, MuJoCo's rods from above; corrected
    links of 5 cm, the mesh of every cast, are where both go to."""
    found = swell_of_links(0.05, corrected=True)
    assert swell_of_links(0.05, corrected=False) < 0.1 * found
    assert 0.9 * swell_of_links(0.01, corrected=False) < found < swell_of_rods(0.05)
    assert found == pytest.approx(swell_of_links(0.01, corrected=True), rel=0.1)
