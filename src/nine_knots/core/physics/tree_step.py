"""One step of a rig in the water: the linear system of it, filled and solved.

Springs for the segments, which pull and do not push; drag on every segment's ends and on bodies,
taken with its slope; a stiff floor with friction for the bed. A 2 by 2 block a node and one a
segment, solved from the leaves to the root and back, as for any tree [S: BaraffWitkin1998,
implicit steps; Davis2006, elimination on trees].
"""

from typing import NamedTuple

import numpy as np

from nine_knots.core.base.kernel import kernel
from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.physics.bodies import body_resistance_kg_m
from nine_knots.core.physics.floats import Float, float_resistance_kg_m
from nine_knots.core.physics.fluid import Fluid
from nine_knots.core.physics.stream import Stream, speed_at_m_s
from nine_knots.core.physics.thin_line import across_resistance_kg_m2, along_resistance_pa_s
from nine_knots.core.physics.tree import Array, Index, Tree

FLOOR_N_M = 20.0  # of the bed's give: a body of 10 mN sinks in by half a millimetre
CREEP_M_S = 0.004  # below which friction gives way evenly
LEAST_SLIP_M_S = 1e-4  # below which drag is taken as even in the speed


class State(NamedTuple):
    """Where the n nodes are and how fast: ``place`` and ``speed`` (n, 2), x along and z up."""

    place: Array
    speed: Array


class System(NamedTuple):
    """The linear system of a step: ``diag`` (n, 3) blocks (xx, xz, zz), ``rhs`` (n, 2),
    ``spring`` (n, 3) of the segments; ``floor`` (n,) is what the bed carries, in N."""

    diag: Array
    rhs: Array
    spring: Array
    floor: Array


@kernel
def load(
    tree: Tree, state: State, stream: Stream, fluid: Fluid, friction: float, h: float, out: System
) -> None:
    """Fills the system of one step of ``h`` seconds."""
    # arrays out of tuples once a step: each time costs
    diag, rhs, floor = out.diag, out.rhs, out.floor
    place, speed, body, body_kg = state.place, state.speed, tree.body, tree.body_kg
    diag[:] = 0.0
    rhs[:] = 0.0
    for i in range(body_kg.size):
        z = place[i, 1]
        if body[i, 1] > 0.0:
            rhs[i, 1] -= body[i, 0]
            if z <= stream.depth_m + 1e-9:
                rx = speed_at_m_s(stream, z) - speed[i, 0]
                rz = -speed[i, 1]
                size = (rx * rx + rz * rz) ** 0.5
                c = body_resistance_kg_m(size, body[i, 1], body[i, 2], fluid)
                ux, uz = (rx / size, rz / size) if size > 1e-9 else (0.0, 0.0)
                size = max(size, LEAST_SLIP_M_S)
                xx, xz, zz = c * size * (1 + ux * ux), c * size * ux * uz, c * size * (1 + uz * uz)
                resist(diag, rhs, speed, i, xx, xz, zz, c * size * rx, c * size * rz)
        inertia(diag, rhs, speed, i, body_kg[i] / h)
        floor[i] = 0.0
        if z < 0.0 and i > 0:
            floor[i] = -FLOOR_N_M * z
            diag[i, 2] += h * FLOOR_N_M
            rhs[i, 1] += floor[i]
            diag[i, 0] += friction * floor[i] / max(abs(speed[i, 0]), CREEP_M_S)
    load_segments(tree, place, speed, stream, fluid, h, diag, rhs, out.spring)


@kernel
def resist(
    diag: Array, rhs: Array, speed: Array, i: int,
    xx: float, xz: float, zz: float, fx: float, fz: float,
) -> None:  # fmt: skip
    """A force (N) at a node that falls with its speed by a slope (xx, xz, zz) in kg/s."""
    diag[i, 0] += xx
    diag[i, 1] += xz
    diag[i, 2] += zz
    rhs[i, 0] += fx + xx * speed[i, 0] + xz * speed[i, 1]
    rhs[i, 1] += fz + xz * speed[i, 0] + zz * speed[i, 1]


@kernel
def inertia(diag: Array, rhs: Array, speed: Array, i: int, kg_s: float) -> None:
    """A mass over the step's seconds at a node."""
    diag[i, 0] += kg_s
    diag[i, 2] += kg_s
    rhs[i, 0] += kg_s * speed[i, 0]
    rhs[i, 1] += kg_s * speed[i, 1]


@kernel
def direction(place: Array, i: int, p: int) -> tuple[float, float, float]:
    """Direction and length (m) of the segment from node ``p`` to ``i``."""
    dx, dz = place[i, 0] - place[p, 0], place[i, 1] - place[p, 1]
    length = max(1e-9, (dx * dx + dz * dz) ** 0.5)
    return dx / length, dz / length, length


@kernel
def load_segments(
    tree: Tree, place: Array, speed: Array, stream: Stream, fluid: Fluid, h: float,
    diag: Array, rhs: Array, spring: Array,
) -> None:  # fmt: skip
    """The segments as springs that pull and do not push; and as line, with weight, drag with its
    slope and inertia, half at either end."""
    parent, rest, thick, stretch = tree.parent, tree.length, tree.thick, tree.stretch
    weight, mass = tree.weight, tree.mass
    for i in range(1, rest.size):
        p = parent[i]
        ex, ez, length = direction(place, i, p)
        tension = stretch[i] * (length / rest[i] - 1.0)
        if tension > 0.0:
            k, g = stretch[i] / rest[i], tension / length
            spring[i, 0] = h * (k * ex * ex + g * ez * ez)
            spring[i, 1] = h * ((k - g) * ex * ez)
            spring[i, 2] = h * (k * ez * ez + g * ex * ex)
            rhs[i, 0] -= tension * ex
            rhs[i, 1] -= tension * ez
            rhs[p, 0] += tension * ex
            rhs[p, 1] += tension * ez
        else:
            spring[i, 0], spring[i, 1], spring[i, 2] = 0.0, 0.0, 0.0
        half, area = 0.5 * rest[i], 0.25 * np.pi * thick[i] * thick[i]
        vx, vz = 0.5 * (speed[i, 0] + speed[p, 0]), 0.5 * (speed[i, 1] + speed[p, 1])
        u = speed_at_m_s(stream, 0.5 * (place[i, 1] + place[p, 1]))
        across = abs(-(u - vx) * ez - vz * ex)  # on the normal (-ez, ex)
        along = abs((u - vx) * ex - vz * ez)
        c_n = half * across_resistance_kg_m2(thick[i], max(across, 1e-5), fluid)
        c_t = half * along_resistance_pa_s(thick[i], along, fluid)
        for end in range(2):
            j = i if end == 0 else p
            m = half * mass[i]
            if place[j, 1] <= stream.depth_m + 1e-9:
                rhs[j, 1] -= half * weight[i]
                rx, rz = speed_at_m_s(stream, place[j, 1]) - speed[j, 0], -speed[j, 1]
                n_r, t_r = -rx * ez + rz * ex, rx * ex + rz * ez
                slope, push = 2.0 * c_n * max(abs(n_r), LEAST_SLIP_M_S), c_n * abs(n_r) * n_r
                xx = slope * ez * ez + c_t * ex * ex
                xz = -slope * ez * ex + c_t * ex * ez
                zz = slope * ex * ex + c_t * ez * ez
                fx, fz = -push * ez + c_t * t_r * ex, push * ex + c_t * t_r * ez
                resist(diag, rhs, speed, j, xx, xz, zz, fx, fz)
            else:
                rhs[j, 1] -= half * (weight[i] + fluid.rho * GRAVITY_M_S2 * area)
                m -= half * fluid.rho * area
            inertia(diag, rhs, speed, j, m / h)


@kernel
def load_float(
    floats: Float, state: State, stream: Stream, fluid: Fluid, pulled_n: float, h: float,
    out: System,
) -> None:  # fmt: skip
    """What floats the top: its drag at the surface with the drag's slope, its inertia."""
    slip = stream.surface_m_s - state.speed[0, 0]
    size = max(abs(slip), LEAST_SLIP_M_S)
    c = float_resistance_kg_m(floats, size, max(0.0, pulled_n), fluid)
    slope = 2.0 * c * size + floats.mass_kg / h
    out.diag[0, 0] += slope
    out.rhs[0, 0] += c * size * slip + slope * state.speed[0, 0]


@kernel
def solve(parent: Index, out: System, speed: Array, led: bool, led_x: float, led_z: float) -> None:
    """Leaves to root and back: new speeds; the top led, or free along and held up and down."""
    n, diag, rhs, spring = parent.size, out.diag, out.rhs, out.spring
    for i in range(1, n):
        p = parent[i]
        for k in range(3):
            diag[i, k] += spring[i, k]
            diag[p, k] += spring[i, k]
    for i in range(n - 1, 0, -1):
        p = parent[i]
        a, b, c = diag[i, 0], diag[i, 1], diag[i, 2]
        det = a * c - b * b
        ia, ib, ic = c / det, -b / det, a / det
        s0, s1, s2 = spring[i, 0], spring[i, 1], spring[i, 2]
        # S A^-1 S and S A^-1 r, with the coupling block -S
        t00, t01 = s0 * ia + s1 * ib, s0 * ib + s1 * ic
        t10, t11 = s1 * ia + s2 * ib, s1 * ib + s2 * ic
        diag[p, 0] -= t00 * s0 + t01 * s1
        diag[p, 1] -= t00 * s1 + t01 * s2
        diag[p, 2] -= t10 * s1 + t11 * s2
        rhs[p, 0] += t00 * rhs[i, 0] + t01 * rhs[i, 1]
        rhs[p, 1] += t10 * rhs[i, 0] + t11 * rhs[i, 1]
    if led:
        speed[0, 0], speed[0, 1] = led_x, led_z
    else:
        speed[0, 1] = led_z
        speed[0, 0] = (rhs[0, 0] - diag[0, 1] * led_z) / diag[0, 0]
    for i in range(1, n):
        p = parent[i]
        vx = rhs[i, 0] + spring[i, 0] * speed[p, 0] + spring[i, 1] * speed[p, 1]
        vz = rhs[i, 1] + spring[i, 1] * speed[p, 0] + spring[i, 2] * speed[p, 1]
        a, b, c = diag[i, 0], diag[i, 1], diag[i, 2]
        det = a * c - b * b
        speed[i, 0] = (c * vx - b * vz) / det
        speed[i, 1] = (a * vz - b * vx) / det
