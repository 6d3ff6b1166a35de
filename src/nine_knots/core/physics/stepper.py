"""A rig in the water followed in time: linearly implicit Euler on the tree, with the bed.

Springs for the segments, which pull and do not push; drag on every segment's ends and on bodies,
taken with its slope; a stiff floor with friction for the bed. Each step is one linear system with
a 2 by 2 block a node and one a segment, solved from the leaves to the root and back, as for any
tree [S: Baraff & Witkin 1998, implicit cloth steps; elimination on trees, any text on sparse
matrices]. A step that overstretches a segment is taken again in eighths.
"""

from dataclasses import dataclass

import numpy as np

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.kernel import kernel
from nine_knots.core.base.patience import still_wanted
from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.physics.bodies import sphere_coefficient
from nine_knots.core.physics.floats import Float, share_under
from nine_knots.core.physics.stream import Stream, profile_m_s
from nine_knots.core.physics.thin_line import drag_coefficient
from nine_knots.core.physics.tree import Array, Index, Tree

FLOOR_N_M = 20.0  # of the bed's give: a body of 10 mN sinks in by half a millimetre
CREEP_M_S = 0.004  # below which friction gives way evenly
OVERSTRETCHED = 1.03
FRICTION = 0.5  # of the submerged weight that lies on the bed [G]
STEP_S = 0.01
SOFT_N = 3.0  # the stretch of line is softened to this EA, or to what the rig's weight asks
SOFT_OVER_WEIGHT = 400.0
MOST_NODE_STEPS = 4_000_000  # about a second; a usual strip takes 100,000
TOO_VIOLENT, TOO_LONG = -1, -2


@dataclass(frozen=True)
class Leg:
    """What the top does for a while: where it is led (m/s along, up), or FREE to drift."""

    lasts_s: float
    along_m_s: float = 0.0
    up_m_s: float = 0.0
    free: bool = False


@dataclass(frozen=True)
class History:
    """Frames every ``every_s``: ``places`` (k, n, 2), ``top_n`` (k, 2) the force on the top,
    ``floor_n`` (k, n) what the bed carries of every node, ``speed`` (k,) of the top along."""

    every_s: float
    places: Array
    top_n: Array
    floor_n: Array
    speed: Array


@kernel
def _load(
    parent: Index, rest: Array, thick: Array, weight: Array, mass: Array, stretch: Array,
    body: Array, body_kg: Array, place: Array, speed: Array,
    depth: float, surface: float, z0: float, rho: float, mu: float, gravity: float,
    friction: float, h: float,
    diag: Array, rhs: Array, spring: Array, floor: Array,
) -> None:  # fmt: skip
    """Fills the system of one step: diagonal blocks (xx, xz, zz), right sides, springs."""
    n = rest.size
    diag[:] = 0.0
    rhs[:] = 0.0
    for i in range(n):
        z_i = place[i, 1]
        wet = z_i <= depth + 1e-9
        m = body_kg[i]
        if body[i, 1] > 0.0:
            rhs[i, 1] -= body[i, 0]
            if wet:
                rx = profile_m_s(z_i, depth, surface, z0) - speed[i, 0]
                rz = -speed[i, 1]
                size = (rx * rx + rz * rz) ** 0.5
                re = rho * size * body[i, 1] / mu
                area = 0.25 * np.pi * body[i, 1] * body[i, 1]
                c = 0.5 * rho * body[i, 2] * area * sphere_coefficient(re)
                ux, uz = (rx / size, rz / size) if size > 1e-9 else (0.0, 0.0)
                size = max(size, 1e-4)
                xx, xz, zz = c * size * (1 + ux * ux), c * size * ux * uz, c * size * (1 + uz * uz)
                diag[i, 0] += xx
                diag[i, 1] += xz
                diag[i, 2] += zz
                rhs[i, 0] += c * size * rx + xx * speed[i, 0] + xz * speed[i, 1]
                rhs[i, 1] += c * size * rz + xz * speed[i, 0] + zz * speed[i, 1]
        diag[i, 0] += m / h
        diag[i, 2] += m / h
        rhs[i, 0] += m / h * speed[i, 0]
        rhs[i, 1] += m / h * speed[i, 1]
        floor[i] = 0.0
        if z_i < 0.0 and i > 0:
            floor[i] = -FLOOR_N_M * z_i
            diag[i, 2] += h * FLOOR_N_M
            rhs[i, 1] += floor[i]
            diag[i, 0] += friction * floor[i] / max(abs(speed[i, 0]), CREEP_M_S)
    for i in range(1, n):
        p = parent[i]
        dx, dz = place[i, 0] - place[p, 0], place[i, 1] - place[p, 1]
        length = max(1e-9, (dx * dx + dz * dz) ** 0.5)
        ex, ez = dx / length, dz / length
        tension = stretch[i] * (length / rest[i] - 1.0)
        if tension > 0.0:
            k, g = stretch[i] / rest[i], tension / length
            xx, xz, zz = k * ex * ex + g * ez * ez, (k - g) * ex * ez, k * ez * ez + g * ex * ex
            spring[i, 0], spring[i, 1], spring[i, 2] = h * xx, h * xz, h * zz
            rhs[i, 0] -= tension * ex
            rhs[i, 1] -= tension * ez
            rhs[p, 0] += tension * ex
            rhs[p, 1] += tension * ez
        else:
            spring[i, 0], spring[i, 1], spring[i, 2] = 0.0, 0.0, 0.0
        half = 0.5 * rest[i]
        area = 0.25 * np.pi * thick[i] * thick[i]
        vx, vz = 0.5 * (speed[i, 0] + speed[p, 0]), 0.5 * (speed[i, 1] + speed[p, 1])
        u = profile_m_s(0.5 * (place[i, 1] + place[p, 1]), depth, surface, z0)
        across = abs(-(u - vx) * ez - vz * ex)  # on the normal (-ez, ex)
        c_d = drag_coefficient(rho * max(across, 1e-5) * thick[i] / mu)
        along = abs((u - vx) * ex - vz * ez)
        c_n = half * 0.5 * rho * thick[i] * c_d
        c_t = half * (4.0 * np.pi * mu / 7.0 + 0.5 * rho * 0.005 * np.pi * thick[i] * along)
        for end in range(2):
            j = i if end == 0 else p
            wet = place[j, 1] <= depth + 1e-9
            m = half * mass[i]
            if wet:
                rhs[j, 1] -= half * weight[i]
                rx = profile_m_s(place[j, 1], depth, surface, z0) - speed[j, 0]
                rz = -speed[j, 1]
                n_r, t_r = -rx * ez + rz * ex, rx * ex + rz * ez
                slope = 2.0 * c_n * max(abs(n_r), 1e-4)
                push = c_n * abs(n_r) * n_r
                xx = slope * ez * ez + c_t * ex * ex
                xz = -slope * ez * ex + c_t * ex * ez
                zz = slope * ex * ex + c_t * ez * ez
                diag[j, 0] += xx
                diag[j, 1] += xz
                diag[j, 2] += zz
                fx, fz = -push * ez + c_t * t_r * ex, push * ex + c_t * t_r * ez
                rhs[j, 0] += fx + xx * speed[j, 0] + xz * speed[j, 1]
                rhs[j, 1] += fz + xz * speed[j, 0] + zz * speed[j, 1]
            else:
                rhs[j, 1] -= half * (weight[i] + rho * gravity * area)
                m -= half * rho * area
            diag[j, 0] += m / h
            diag[j, 2] += m / h
            rhs[j, 0] += m / h * speed[j, 0]
            rhs[j, 1] += m / h * speed[j, 1]


@kernel
def _solve(
    parent: Index, diag: Array, rhs: Array, spring: Array, speed: Array,
    led: bool, led_x: float, led_z: float,
) -> None:  # fmt: skip
    """Leaves to root and back: new speeds; the top led, or free along and held up and down."""
    n = parent.size
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


@kernel
def follow(
    parent: Index, rest: Array, thick: Array, weight: Array, mass: Array, stretch: Array,
    body: Array, body_kg: Array, place: Array, speed: Array,
    depth: float, surface: float, z0: float, rho: float, mu: float, gravity: float,
    friction: float, step_s: float, every: int,
    leg_ends: Array, leg_x: Array, leg_z: Array, leg_free: Index,
    float_m: float, float_factor: float, float_load_n: float, float_lift_n: float,
    float_kg: float,
    most: int, frames: Array, tops: Array, floors: Array, top_speed: Array,
) -> int:  # fmt: skip
    """Steps of ``step_s`` through the legs, a frame every ``every`` steps; the frames written.

    ``place`` and ``speed`` (n, 2) are left at the end. The float is at the top while a leg is
    free: its diameter, drag factor, own weight (N), lift when under (N) and mass. Answers
    TOO_VIOLENT where a step gives no finite number, TOO_LONG after ``most`` steps, parts of them
    counted.
    """
    n = rest.size
    diag, rhs = np.zeros((n, 3)), np.zeros((n, 2))
    spring, floor = np.zeros((n, 3)), np.zeros(n)
    kept_place, kept_speed = place.copy(), speed.copy()
    pulled_x, pulled_z = 0.0, 0.0
    leg, written, taken = 0, 0, 0
    steps = int(leg_ends[-1] / step_s + 0.5)
    for count in range(steps + 1):
        if count % every == 0 and written < frames.shape[0]:
            frames[written] = place
            tops[written, 0], tops[written, 1] = pulled_x, pulled_z
            floors[written] = floor
            top_speed[written] = speed[0, 0]
            written += 1
        while leg < leg_ends.size - 1 and count * step_s >= leg_ends[leg] - 1e-9:
            leg += 1
        kept_place[:] = place
        kept_speed[:] = speed
        parts = 1
        while True:
            h = step_s / parts
            taken += parts
            if taken > most:
                return TOO_LONG
            for _ in range(parts):
                _load(
                    parent, rest, thick, weight, mass, stretch, body, body_kg, place, speed,
                    depth, surface, z0, rho, mu, gravity, friction, h, diag, rhs, spring, floor,
                )  # fmt: skip
                if leg_free[leg] == 1:
                    slip = surface - speed[0, 0]
                    size = max(abs(slip), 1e-4)
                    share = share_under(float_load_n + max(0.0, -pulled_z), float_lift_n)
                    area = 0.25 * np.pi * float_m * float_m
                    c = share * 0.5 * rho * float_factor * area
                    c *= sphere_coefficient(rho * size * float_m / mu)
                    diag[0, 0] += 2.0 * c * size + float_kg / h
                    rhs[0, 0] += c * size * slip + (2.0 * c * size + float_kg / h) * speed[0, 0]
                    up = (depth - place[0, 1]) / h
                    _solve(parent, diag, rhs, spring, speed, False, 0.0, up)
                else:
                    _solve(parent, diag, rhs, spring, speed, True, leg_x[leg], leg_z[leg])
                pulled_x, pulled_z = 0.0, 0.0
                for i in range(1, n):
                    if parent[i] == 0:
                        dx, dz = place[i, 0] - place[0, 0], place[i, 1] - place[0, 1]
                        length = max(1e-9, (dx * dx + dz * dz) ** 0.5)
                        pull = max(0.0, stretch[i] * (length / rest[i] - 1.0)) / length
                        vx, vz = speed[i, 0] - speed[0, 0], speed[i, 1] - speed[0, 1]
                        pulled_x += pull * dx + spring[i, 0] * vx + spring[i, 1] * vz
                        pulled_z += pull * dz + spring[i, 1] * vx + spring[i, 2] * vz
                for i in range(n):
                    place[i, 0] += h * speed[i, 0]
                    place[i, 1] += h * speed[i, 1]
                    if i > 0 and place[i, 1] > depth and kept_place[i, 1] <= depth:
                        place[i, 1] = depth  # what was wet does not fly
            worst = 0.0
            for i in range(1, n):
                p = parent[i]
                dx, dz = place[i, 0] - place[p, 0], place[i, 1] - place[p, 1]
                worst = max(worst, (dx * dx + dz * dz) ** 0.5 / rest[i])
            if not np.isfinite(worst):
                return TOO_VIOLENT
            if worst < OVERSTRETCHED or parts >= 64:
                break
            parts *= 8
            place[:] = kept_place
            speed[:] = kept_speed
    return written


def history(
    tree: Tree,
    start: Array,
    stream: Stream,
    legs: tuple[Leg, ...],
    rho: float,
    mu: float,
    floats: Float | None = None,
    every_s: float = 0.1,
    step_s: float = STEP_S,
    friction: float = FRICTION,
) -> History:
    """A rig followed from places ``start`` (n, 2), at the surface's speed where it is wet.

    Raises CannotCompute where the model cannot follow it.
    """
    still_wanted()
    place = start.copy()
    speed = np.zeros_like(place)
    speed[:, 0] = np.where(place[:, 1] <= stream.depth_m + 1e-9, stream.surface_m_s, 0.0)
    if not legs[0].free:
        speed[0] = legs[0].along_m_s, legs[0].up_m_s
    every = max(1, round(every_s / step_s))
    ends = np.cumsum([leg.lasts_s for leg in legs])
    count = int(ends[-1] / step_s + 0.5) // every + 1
    frames = np.zeros((count, *place.shape))
    tops, floors, top_speed = np.zeros((count, 2)), np.zeros((count, len(place))), np.zeros(count)
    asked = max(SOFT_N, SOFT_OVER_WEIGHT * _most_n(tree, stream, legs, rho))
    top = floats or Float(1e-3, 1e-6, 1.0)
    done = follow(
        tree.parent, tree.length, tree.thick, tree.weight, tree.mass,
        np.minimum(tree.stretch, asked), tree.body, tree.body_kg, place, speed,
        stream.depth_m, stream.surface_m_s, stream.z0_m, rho, mu, GRAVITY_M_S2,
        friction, step_s, every,
        ends, np.array([leg.along_m_s for leg in legs]), np.array([leg.up_m_s for leg in legs]),
        np.array([int(leg.free) for leg in legs], dtype=np.int64),
        top.diameter_m, top.factor, top.mass_kg * GRAVITY_M_S2, top.lift_n, top.mass_kg,
        MOST_NODE_STEPS // len(place), frames, tops, floors, top_speed,
    )  # fmt: skip
    if done == TOO_LONG:
        raise CannotCompute(
            "Fished so long, with so much line, this rig cannot be followed.",
            where="ask",
            mend="Fewer seconds counted, quicker pulls, shorter pauses, or less line out.",
        )
    if done < 0:
        raise CannotCompute(
            "This rig moves too violently for the water model to follow.",
            where="rig",
            mend="A very heavy weight on a very fine, short piece does this: change one of them.",
        )
    return History(every * step_s, frames[:done], tops[:done], floors[:done], top_speed[:done])


def _most_n(tree: Tree, stream: Stream, legs: tuple[Leg, ...], rho: float) -> float:
    """About the greatest pull at the top, N: its weights, and drag at the fastest it is moved."""
    fastest = max(abs(leg.along_m_s - stream.surface_m_s) for leg in legs)
    fastest = 0.3 * stream.surface_m_s if all(leg.free for leg in legs) else fastest
    bodies = 0.4 * rho * float((tree.body[:, 2] * tree.body[:, 1] ** 2).sum()) * fastest**2
    skin = 0.02 * rho * float((tree.length * tree.thick).sum()) * fastest**2
    line = float(np.abs(tree.length * tree.weight).sum())
    return tree.body_weight_n + line + bodies + skin
