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
from nine_knots.core.mechanics.bodies import body_resistance_kg_m
from nine_knots.core.mechanics.floats import Float, float_resistance_kg_m
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.mechanics.stream import Stream, speed_at_m_s
from nine_knots.core.mechanics.thin_line import across_resistance_kg_m2, along_resistance_pa_s
from nine_knots.core.mechanics.tree import Array, Index, Tree

FLOOR_N_M = 20.0  # of the bed's give: a body of 10 mN sinks in by half a millimetre
CREEP_M_S = 0.004  # below which friction gives way evenly
LEAST_SLIP_M_S = 1e-4  # below which drag is taken as even in the speed


class State(NamedTuple):
    """Where the n nodes are and how fast: ``place`` and ``speed`` (n, 2), x along and z up."""

    place: Array
    speed: Array


class System(NamedTuple):
    """The linear system of a step: ``diag`` (n, 3) blocks (xx, xz, zz), ``rhs`` (n, 2),
    ``spring`` (n, 3) of the segments; ``floor`` (n,) is what the bed carries, in N, and ``flow``
    (n,) the stream's speed at the nodes, in m/s."""

    diag: Array
    rhs: Array
    spring: Array
    floor: Array
    flow: Array


@kernel
def load(
    tree: Tree, state: State, stream: Stream, fluid: Fluid, friction: float, h: float, out: System
) -> None:
    """Fills the system of one step of ``h`` seconds."""
    # arrays out of tuples once a step: each time costs
    diag, rhs, floor, flow = out.diag, out.rhs, out.floor, out.flow
    place, speed, body, body_kg = state.place, state.speed, tree.body, tree.body_kg
    for i in range(body_kg.size):
        z = place[i, 1]
        flow[i] = speed_at_m_s(stream, z)
        xx = zz = body_kg[i] / h
        xz, fx, fz = 0.0, 0.0, 0.0
        if body[i, 1] > 0.0:
            fz -= body[i, 0]
            if z <= stream.depth_m + 1e-9:
                rx, rz = flow[i] - speed[i, 0], -speed[i, 1]
                size = (rx * rx + rz * rz) ** 0.5
                ux, uz = (rx / size, rz / size) if size > 1e-9 else (0.0, 0.0)
                c = body_resistance_kg_m(size, body[i, 1], body[i, 2], fluid)
                c *= max(size, LEAST_SLIP_M_S)
                xx, xz, zz = xx + c * (1 + ux * ux), c * ux * uz, zz + c * (1 + uz * uz)
                fx, fz = c * rx, fz + c * rz
        rhs[i, 0] = fx + xx * speed[i, 0] + xz * speed[i, 1]
        rhs[i, 1] = fz + xz * speed[i, 0] + zz * speed[i, 1]
        floor[i] = 0.0
        if z < 0.0 and i > 0:
            floor[i] = -FLOOR_N_M * z
            zz += h * FLOOR_N_M
            rhs[i, 1] += floor[i]
            xx += friction * floor[i] / max(abs(speed[i, 0]), CREEP_M_S)
        diag[i, 0], diag[i, 1], diag[i, 2] = xx, xz, zz
    load_segments(tree, place, speed, stream, fluid, h, out)


@kernel
def direction(place: Array, i: int, p: int) -> tuple[float, float, float]:
    """Direction and length (m) of the segment from node ``p`` to ``i``."""
    dx, dz = place[i, 0] - place[p, 0], place[i, 1] - place[p, 1]
    length = max(1e-9, (dx * dx + dz * dz) ** 0.5)
    return dx / length, dz / length, length


@kernel
def load_segments(
    tree: Tree, place: Array, speed: Array, stream: Stream, fluid: Fluid, h: float, out: System
) -> None:
    """The segments as springs that pull and do not push; and as line, with weight, drag with its
    slope and inertia, half at either end."""
    parent, rest, thick, stretch = tree.parent, tree.length, tree.thick, tree.stretch
    weight, mass = tree.weight, tree.mass
    diag, rhs, spring, flow = out.diag, out.rhs, out.spring, out.flow
    wet_m = stream.depth_m + 1e-9
    for i in range(1, rest.size):
        p = parent[i]
        ex, ez, length = direction(place, i, p)
        stiff = stretch[i] / rest[i]
        tension = stiff * (length - rest[i])
        pulls_x, pulls_z = 0.0, 0.0
        if tension > 0.0:
            k, g = h * stiff, h * tension / length
            spring[i, 0] = k * ex * ex + g * ez * ez
            spring[i, 1] = (k - g) * ex * ez
            spring[i, 2] = k * ez * ez + g * ex * ex
            pulls_x, pulls_z = tension * ex, tension * ez
        else:
            spring[i, 0], spring[i, 1], spring[i, 2] = 0.0, 0.0, 0.0
        half = 0.5 * rest[i]
        rx = 0.5 * (flow[i] - speed[i, 0] + flow[p] - speed[p, 0])
        rz = -0.5 * (speed[i, 1] + speed[p, 1])
        across, along = abs(rz * ex - rx * ez), abs(rx * ex + rz * ez)  # the normal is (-ez, ex)
        c_n = half * across_resistance_kg_m2(thick[i], max(across, 1e-5), fluid)
        c_t = half * along_resistance_pa_s(thick[i], along, fluid)
        for end in range(2):
            j = i if end == 0 else p
            vx, vz = speed[j, 0], speed[j, 1]
            fx, fz = (-pulls_x, -pulls_z) if end == 0 else (pulls_x, pulls_z)
            xx = zz = half * mass[i] / h
            xz = 0.0
            if place[j, 1] <= wet_m:
                rx, rz = flow[j] - vx, -vz
                n_r, t_r = rz * ex - rx * ez, rx * ex + rz * ez
                push = c_n * abs(n_r) * n_r
                slope = 2.0 * c_n * max(abs(n_r), LEAST_SLIP_M_S)
                xx += slope * ez * ez + c_t * ex * ex
                xz += (c_t - slope) * ex * ez
                zz += slope * ex * ex + c_t * ez * ez
                fx += c_t * t_r * ex - push * ez
                fz += c_t * t_r * ez + push * ex - half * weight[i]
            else:
                water = half * fluid.rho * 0.25 * np.pi * thick[i] * thick[i]
                xx, zz = xx - water / h, zz - water / h
                fz -= half * weight[i] + water * GRAVITY_M_S2
            diag[j, 0] += xx
            diag[j, 1] += xz
            diag[j, 2] += zz
            rhs[j, 0] += fx + xx * vx + xz * vz
            rhs[j, 1] += fz + xz * vx + zz * vz


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
        share = 1.0 / (a * c - b * b)
        ia, ib, ic = c * share, -b * share, a * share
        diag[i, 0], diag[i, 1], diag[i, 2] = ia, ib, ic  # as its inverse from here on
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
        speed[i, 0] = diag[i, 0] * vx + diag[i, 1] * vz
        speed[i, 1] = diag[i, 1] * vx + diag[i, 2] * vz
