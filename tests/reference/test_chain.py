"""The chain of the cast model against analytic solutions and a general-purpose dynamics engine."""

from dataclasses import dataclass
from math import cosh, pi, sinh
from time import perf_counter

import mujoco
import numpy as np
import pytest
from scipy.linalg import solve_banded
from scipy.optimize import brentq

from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.casting.rig import Mesh, rig_of
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.throw import launched
from nine_knots.core.domain.tackle import line_profile
from nine_knots.core.mechanics import flight
from nine_knots.core.mechanics.air import AIR_KG_M3, Air, across_coefficient, along_coefficient
from nine_knots.core.mechanics.chain import DIAGONAL, ERROR, LOWER, ROWS, SPAN, UPPER, Chain
from nine_knots.core.mechanics.chain_lengths import factor, solve
from nine_knots.core.mechanics.power import power
from tests.makers import DRY, FIVE, level, tied

G = 9.81


@dataclass
class Laid:
    """A bare chain to set up by hand, and what its flight answered."""

    place: np.ndarray
    mass: np.ndarray
    bend: np.ndarray | None = None
    thick: np.ndarray | None = None
    speed: np.ndarray | None = None

    def fly(self, until, held=(0,), gravity=G, damping=0.0, gap=0.002, stretch_n=1e7):
        nodes = self.mass.size
        rest = np.hypot(*np.diff(self.place, axis=0).T)
        self.frames = np.zeros((int(until / gap) + 2, nodes, 2))
        self.gap = gap
        self.speed = np.zeros((nodes, 2)) if self.speed is None else self.speed
        zeros, still = np.zeros(nodes), np.zeros(nodes)
        still[list(held)] = 1.0
        bend = zeros if self.bend is None else self.bend
        thick = np.zeros(nodes - 1) if self.thick is None else self.thick
        made = Chain(rest, self.mass, rest / stretch_n, bend, zeros, thick, zeros, still, 0)
        limits = flight.Limits(until, 1e-3, 10**7, gap, gravity, damping, -1e9)
        flown = flight.FlightRecord(self.frames, np.zeros(nodes - 1))
        return flight.fly(made, self.place, self.speed, Air(), limits, flown)


def evenly(place, kg_per_m):
    """Node masses of an even chain."""
    rest = np.hypot(*np.diff(place, axis=0).T)
    mass = np.zeros(len(place))
    mass[:-1] += 0.5 * kg_per_m * rest
    mass[1:] += 0.5 * kg_per_m * rest
    return mass


def test_a_folded_chain_falls_faster_than_free():
    """The classic falling folded chain: v² = g x (2L - x) / (L - x); 4.54 m/s at x = .6, L = 1."""
    links, radius = 200, 0.01
    s = np.linspace(0.0, 1.0, links + 1)
    leg = (1.0 - pi * radius) / 2.0
    turn = np.clip((s - leg) / radius, 0.0, pi)
    x = radius - radius * np.cos(turn)
    y = -np.minimum(s, leg) - radius * np.sin(turn) + np.maximum(0.0, s - leg - pi * radius)
    chain = Laid(np.stack([x, y], axis=1), evenly(np.stack([x, y], axis=1), 0.01))
    chain.fly(0.42, gap=5e-4)
    fallen = chain.frames[0, -1, 1] - chain.frames[:, -1, 1]
    speed = np.gradient(fallen, chain.gap)
    for x in (0.4, 0.6, 0.8):
        at = int(np.argmax(fallen > x))
        assert speed[at] == pytest.approx((G * x * (2 - x) / (1 - x)) ** 0.5, rel=0.015)


def test_a_hanging_chain_is_a_catenary():
    """2 m between points 1.2 m apart: closed form and a sag of .72556 m, .2 % at 40 links."""
    a = brentq(lambda k: 2 * k * sinh(0.6 / k) - 2.0, 0.2, 2.0)
    assert a * (cosh(0.6 / a) - 1.0) == pytest.approx(0.72556, abs=1e-5)
    share = np.linspace(0.0, 1.0, 41)
    place = np.stack([1.2 * share, -0.8 * (1 - abs(2 * share - 1))], axis=1)  # a V of 2 m
    chain = Laid(place, evenly(place, 0.01))
    chain.fly(6.0, held=(0, -1), damping=5.0, gap=1.0)
    assert -chain.place[:, 1].min() == pytest.approx(0.72556, rel=2e-3)
    depth = a * (np.cosh((chain.place[:, 0] - 0.6) / a) - cosh(0.6 / a))
    assert chain.place[:, 1] == pytest.approx(depth, abs=2e-3)


def test_a_heavy_cantilever_sags_as_the_elastica_says():
    """L .30 m, 2.5474e-4 kg/m, EI 9.9339e-6 N·m²: tip at (.2313, -.1777) m, 1 % at 15 mm."""
    link, count, bend = 0.015, 20, 9.9339e-6
    x = np.linspace(-link, count * link, count + 2)
    place = np.stack([x, np.zeros_like(x)], axis=1)
    stiff = np.full(count + 2, bend)
    stiff[1] *= 2.0  # half a cell beyond the clamp
    chain = Laid(place, evenly(place, 2.5474e-4), bend=stiff)
    chain.fly(4.0, held=(0, 1), damping=6.0, gap=0.5, stretch_n=1e5)
    assert chain.place[-1] == pytest.approx((0.2313, -0.1777), rel=0.01)


def test_a_loop_without_air_keeps_its_energy_and_speeds_up():
    """12 m at 15 m/s, loop of .3 m radius: what still flies has all the energy of the launch."""
    length, radius, v0, leg, links = 12.0, 0.3, 15.0, 0.3, 240
    s = np.linspace(0.0, length, links + 1)
    turn = np.clip((s - leg) / radius, 0.0, pi)
    back = np.maximum(0.0, s - leg - pi * radius)
    x = np.minimum(s, leg) + radius * np.sin(turn) - back
    place = np.stack([x, radius - radius * np.cos(turn)], axis=1)
    speed = np.stack([v0 / 2 * (1 - np.cos(turn)), -v0 / 2 * np.sin(turn)], axis=1)
    speed[s <= leg] = 0.0
    chain = Laid(place, evenly(place, 1e-3), speed=speed)
    launch = 0.5 * (chain.mass[1:] * (speed[1:] ** 2).sum(axis=1)).sum()
    moving = 2.0 * launch / (1e-3 * v0**2)  # metres that would carry it at v0
    chain.fly(0.8, gravity=0.0, gap=0.01)
    advance = chain.frames[:, -1, 0] - chain.frames[0, -1, 0]
    fly = np.gradient(advance, chain.gap)
    for share in (0.3, 0.5, 0.7, 0.8):
        at = int(np.argmax(advance / 2 > share * moving))
        expected = v0 * (moving / (moving - advance[at] / 2)) ** 0.5
        assert fly[at] == pytest.approx(expected, rel=0.015)
    left = 0.5 * (chain.mass[1:] * (chain.speed[1:] ** 2).sum(axis=1)).sum()
    assert left == pytest.approx(launch, rel=3e-4)


@pytest.mark.parametrize(("thou", "speed"), [(6, 0.802), (21, 2.253)])
def test_a_level_strand_falls_at_its_terminal_speed(thou, speed):
    """Drag of White (1974) against weight: .006 in nylon .802 m/s, .021 in nylon 2.253 m/s."""
    d = thou * THOU_M
    place = np.stack([np.linspace(0.0, 1.0, 21), np.zeros(21)], axis=1)
    chain = Laid(place, evenly(place, 1140 * pi / 4 * d * d), thick=np.full(20, d))
    chain.fly(3.0, held=(), gap=0.5, stretch_n=400.0)
    assert -chain.speed[:, 1].mean() == pytest.approx(speed, rel=0.01)


@pytest.mark.parametrize("exponent", [-2 / 3, -0.61, 0.5])
def test_quick_powers_are_those_of_numpy(exponent):
    bases = np.geomspace(1e-3, 1e6, 2001)
    quick = np.array([power(base, exponent) for base in bases])
    assert quick == pytest.approx(bases**exponent, rel=3e-4)


def cross(a, b):
    """z of the cross product of plane vectors, row by row."""
    return a[:, 0] * b[:, 1] - a[:, 1] * b[:, 0]


def engine(place, mass):
    """The same chain in MuJoCo: point masses at the ends of rigid links on hinges, x and z."""
    turns = np.arctan2(*np.diff(place, axis=0).T[::-1])
    rest = np.hypot(*np.diff(place, axis=0).T)
    open_, close = "", ""
    for j, length in enumerate(rest):
        at = "0 0 0" if j == 0 else f"{rest[j - 1]:.12g} 0 0"
        open_ += (
            f'<body pos="{at}"><joint type="hinge" axis="0 -1 0"/>'
            f'<inertial pos="{length:.12g} 0 0" mass="{mass[j + 1]:.12g}" '
            'diaginertia="1e-12 1e-12 1e-12"/>'
        )
        close += "</body>"
    model = mujoco.MjModel.from_xml_string(
        '<mujoco><option timestep="0.0002" integrator="RK4" gravity="0 0 -9.81"/>'
        '<compiler boundmass="0" boundinertia="0"/>'
        f'<worldbody><body pos="{place[0, 0]} 0 {place[0, 1]}">{open_}{close}</body></worldbody>'
        "</mujoco>"
    )
    data = mujoco.MjData(model)
    data.qpos[:] = np.diff(np.concatenate([[0.0], turns]))
    return model, data, rest


def drag_on_nodes(place, speed, thick, body):
    """The model's drag law in plain NumPy, apart from the kernel's point-implicit form."""
    span, middle = np.diff(place, axis=0), 0.5 * (speed[1:] + speed[:-1])
    length = np.hypot(*span.T)
    along = span / length[:, None]
    rt = (middle * along).sum(axis=1)
    normal = middle - rt[:, None] * along
    rn = np.hypot(*normal.T)
    cd = np.array([across_coefficient(v, d) for v, d in zip(rn, thick, strict=True)])
    cf = np.array([along_coefficient(abs(v), d) for v, d in zip(rt, thick, strict=True)])
    force = (
        -0.5
        * AIR_KG_M3
        * (thick * length)[:, None]
        * ((cd * rn)[:, None] * normal + (pi * cf * abs(rt) * rt)[:, None] * along)
    )
    nodes = np.zeros_like(place)
    nodes[:-1] += force / 2
    nodes[1:] += force / 2
    whole = np.hypot(*speed.T)
    return nodes - 0.5 * AIR_KG_M3 * (body * whole)[:, None] * speed


def in_step_with_the_engine() -> tuple[float, float, float]:
    """A short cast here and in MuJoCo: seconds of both, and the greatest rms distance in m."""
    leader = tied(level(17, 3, "butt"), level(12, 2), level(8, 2, "tippet"))
    rig = rig_of(leader, line_profile(FIVE), DRY, 4.0, Mesh(line_m=0.16, leader_m=0.12))
    place, speed = launched(rig, Stroke(line_out_m=4.0), 8.0)
    chain = Laid(place.copy(), rig.mass, thick=rig.thick, speed=speed.copy())
    until, gap = 0.5, 0.02
    rest = np.hypot(*np.diff(place, axis=0).T)
    frames = np.zeros((int(until / gap) + 2, rig.mass.size, 2))
    still, bend = np.zeros(rig.mass.size), np.zeros(rig.mass.size)
    still[0] = 1.0
    none = np.zeros(rig.mass.size)
    made = Chain(
        rest, rig.mass, rig.stretch, bend, none, rig.thick, rig.body, still, rig.leader, False
    )
    limits = flight.Limits(until, 1e-3, 10**6, gap, G, 0.0, -1e9)
    begun = perf_counter()
    flown = flight.FlightRecord(frames, np.zeros(rig.rest.size))
    out = flight.fly(made, chain.place, chain.speed, Air(), limits, flown)
    ours = perf_counter() - begun
    opened = min(until, out[flight.STRAIGHTEST_AT])
    assert opened > 0.3

    model, data, rest = engine(place, rig.mass)
    span = np.diff(place, axis=0) / rest[:, None]
    spin = cross(span, np.diff(speed, axis=0)) / rest
    data.qvel[:] = np.diff(np.concatenate([[0.0], spin]))
    errors = []
    begun = perf_counter()
    for step in range(int(opened / 0.0002)):
        turn, rate = np.cumsum(data.qpos), np.cumsum(data.qvel)
        ahead = rest[:, None] * np.stack([np.cos(turn), np.sin(turn)], axis=1)
        side = (rest * rate)[:, None] * np.stack([-np.sin(turn), np.cos(turn)], axis=1)
        now = place[0] + np.vstack([[[0.0, 0.0]], np.cumsum(ahead, axis=0)])
        moving = np.vstack([[[0.0, 0.0]], np.cumsum(side, axis=0)])
        if step % 100 == 0:
            errors.append(((frames[step // 100] - now) ** 2).sum(axis=1).mean() ** 0.5)
        data.qfrc_applied[:] = 0.0
        force = drag_on_nodes(now, moving, rig.thick, rig.body)
        # torque on joint j of all nodes beyond it
        beyond = np.cumsum(force[:0:-1], axis=0)[::-1]
        arm = np.cumsum((cross(now[1:], force[1:]))[::-1])[::-1]
        data.qfrc_applied[:] = arm - cross(now[:-1], beyond)
        mujoco.mj_step(model, data)
    return ours, perf_counter() - begun, max(errors)


def test_a_cast_with_drag_agrees_with_mujoco():
    """MuJoCo, hinge chain, RK4 at .2 ms: within 5 cm rms to the end of the unrolling."""
    _, _, error = in_step_with_the_engine()
    assert error < 0.05


@pytest.mark.parametrize("links", [2, 3, 7, 170, SPAN - 2])
@pytest.mark.parametrize("heavier", [1.0, 3e3])
def test_a_rows_elimination_from_both_ends_is_that_of_lapack(links, heavier):
    """Masses that differ by as much as a wet node from a dry one, on either side of the middle."""
    rng = np.random.default_rng(links)
    give = rng.uniform(0.5, 2.0, links + 1) / rng.choice([1.0, heavier], links + 1)
    turns = np.cos(rng.uniform(-1.2, 1.2, links + 1))
    lower, upper = give[:-1] * turns[:-1], give[1:] * turns[1:]
    lower[0] = upper[-1] = 0.0
    diagonal, error = -(give[:-1] + give[1:]) - 1e-6, rng.normal(size=links)
    b = np.zeros(ROWS * SPAN)
    for row, values in ((LOWER, lower), (DIAGONAL, diagonal), (UPPER, upper), (ERROR, error)):
        b[row : row + links] = values
    factor(b, links)
    solve(b, links)
    bands = np.zeros((3, links))
    bands[0, 1:], bands[1], bands[2, :-1] = upper[:-1], diagonal, lower[1:]
    expected = solve_banded((1, 1), bands, error)
    assert b[ERROR : ERROR + links] == pytest.approx(expected, rel=1e-6, abs=1e-9)
