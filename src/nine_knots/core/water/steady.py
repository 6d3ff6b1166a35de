"""The steady shape of a weighted line in a stream: a sweep from its end to its top.

Straight segments between nodes; every segment lies along the force of all below it and half of
its own, which is the balance of moments of a straight piece under a load spread evenly along it.
Heights enter through the stream's profile and are relaxed between sweeps.
"""

from dataclasses import dataclass
from math import hypot, pi

import numpy as np
from numpy.typing import NDArray
from scipy.optimize import brentq

from nine_knots.core.errors import CannotCompute
from nine_knots.core.kernel import kernel
from nine_knots.core.units.factors import GRAVITY_M_S2
from nine_knots.core.water.bodies import Body, body_drag_n
from nine_knots.core.water.stream import Stream, profile_m_s
from nine_knots.core.water.thin_line import along_drag_n_m, normal_drag_n_m

Array = NDArray[np.float64]

SEGMENT_M = 0.05
MOST_SWEEPS = 400
RELAX = 0.5  # of a change of heights from one sweep to the next
SETTLED_M = 1e-6


@dataclass(frozen=True, slots=True)
class Stretch:
    """Level line: length and diameter in metres, density in kg/m³, and what hangs at its end."""

    length_m: float
    diameter_m: float
    density_kg_m3: float
    body: Body | None = None


@dataclass(frozen=True)
class Shape:
    """Nodes from the top down: places (n, 2) x downstream of the top and z above the bed, in m.

    ``ends`` are the nodes at the ends of the stretches; ``top_n`` the force on the top, in N.
    """

    places: Array
    ends: tuple[int, ...]
    top_n: tuple[float, float]

    @property
    def tension_n(self) -> float:
        """Tension at the top, in N."""
        return hypot(*self.top_n)


@kernel
def sweep(
    length: Array,
    thick: Array,
    weight: Array,
    body: Array,
    height: Array,
    lean: Array,
    depth: float,
    surface: float,
    z0: float,
    speed: float,
    rho: float,
    mu: float,
) -> tuple[float, float]:
    """One sweep from the end up; ``lean`` (n, 2), the segments' directions, is written anew.

    ``length``, ``thick`` and ``weight`` (N/m in water) are of segments from the top down, ``body``
    (n, 3) weight, diameter and factor of what hangs below each, ``height`` (n + 1) of the nodes.
    Answers the force on the top, x and z, in N.
    """
    px, pz = 0.0, 0.0
    for i in range(length.size - 1, -1, -1):
        if body[i, 1] > 0.0:
            r = profile_m_s(height[i + 1], depth, surface, z0) - speed
            drag = body_drag_n(abs(r), body[i, 1], body[i, 2], rho, mu)
            px += drag if r > 0.0 else -drag
            pz -= body[i, 0]
        middle = 0.5 * (height[i] + height[i + 1])
        r = profile_m_s(middle, depth, surface, z0) - speed
        ex, ez = lean[i, 0], lean[i, 1]
        fx, fz = 0.0, 0.0
        for _ in range(12):
            along = r * ex
            nx, nz = r - along * ex, -along * ez
            across = (nx * nx + nz * nz) ** 0.5
            fx, fz = 0.0, -weight[i]
            if across > 1e-12:
                drag = normal_drag_n_m(thick[i], across, rho, mu) / across
                fx, fz = fx + drag * nx, fz + drag * nz
            rub = along_drag_n_m(thick[i], abs(along), rho, mu)
            rub = rub if along > 0.0 else -rub
            fx, fz = fx + rub * ex, fz + rub * ez
            gx, gz = px + 0.5 * fx * length[i], pz + 0.5 * fz * length[i]
            size = (gx * gx + gz * gz) ** 0.5
            if size < 1e-15:
                break
            ex, ez = 0.5 * (ex + gx / size), 0.5 * (ez + gz / size)
            norm = (ex * ex + ez * ez) ** 0.5
            if norm < 1e-9:
                ex, ez = gx / size, gz / size
            else:
                ex, ez = ex / norm, ez / norm
        lean[i, 0], lean[i, 1] = ex, ez
        px, pz = px + fx * length[i], pz + fz * length[i]
    return px, pz


def held(
    stretches: tuple[Stretch, ...],
    stream: Stream,
    speed_m_s: float,
    rho: float,
    mu: float,
    top_m: float | None = None,
    segment_m: float = SEGMENT_M,
) -> Shape:
    """The shape of a rig whose top moves at a speed, in the stream or held still in it.

    ``top_m`` is the top's height above the bed, the surface where None. Raises CannotCompute where
    it does not settle or would lie on the bed: contact is another model's work.
    """
    length, thick, weight, body, ends = _segments(stretches, rho, segment_m)
    top = stream.depth_m if top_m is None else top_m
    lean = np.tile([0.0, -1.0], (length.size, 1))
    height = top - np.concatenate([[0.0], np.cumsum(length)])
    height = np.maximum(height, 0.0)
    force = (0.0, 0.0)
    for _ in range(MOST_SWEEPS):
        force = sweep(
            length,
            thick,
            weight,
            body,
            height,
            lean,
            stream.depth_m,
            stream.surface_m_s,
            stream.z0_m,
            speed_m_s,
            rho,
            mu,
        )
        found = top + np.concatenate([[0.0], np.cumsum(length * lean[:, 1])])
        change = float(np.abs(found - height).max())
        height = height + RELAX * (found - height)
        if change < SETTLED_M:
            break
    else:
        raise CannotCompute(
            "The rig finds no steady place in this water.",
            where="rig",
            mend="It swings or drags on the bed: follow its history instead.",
        )
    if height.min() < 0.0:
        raise CannotCompute(
            "The rig lies on the bed.",
            where="rig",
            mend="Shorten it or lighten it; drifting in contact is worked out by its history.",
        )
    along = np.concatenate([[0.0], np.cumsum(length * lean[:, 0])])
    return Shape(np.stack([along, height], axis=1), ends, force)


def _segments(
    stretches: tuple[Stretch, ...], rho: float, segment_m: float
) -> tuple[Array, Array, Array, Array, tuple[int, ...]]:
    lengths, thicks, weights, bodies, ends = [], [], [], [], []
    for stretch in stretches:
        count = max(4, round(stretch.length_m / segment_m))
        area = pi * stretch.diameter_m**2 / 4.0
        lengths += [stretch.length_m / count] * count
        thicks += [stretch.diameter_m] * count
        weights += [(stretch.density_kg_m3 - rho) * GRAVITY_M_S2 * area] * count
        hangs = stretch.body
        bodies += [(0.0, 0.0, 0.0)] * (count - 1)
        bodies.append(
            (hangs.weight_n, hangs.diameter_m, hangs.factor) if hangs else (0.0, 0.0, 0.0)
        )
        ends.append(len(lengths))
    return np.array(lengths), np.array(thicks), np.array(weights), np.array(bodies), tuple(ends)


@dataclass(frozen=True, slots=True)
class Indicator:
    """A floating ball: diameter in metres, mass in kg."""

    diameter_m: float
    mass_kg: float

    def drag_n(self, slip_m_s: float, pulled_n: float, rho: float, mu: float) -> float:
        """Drag of its immersed part, pulled down by ``pulled_n``, in water that passes it."""
        sunk_m = self.sunk_m(pulled_n, rho)
        radius = 0.5 * self.diameter_m
        angle = float(np.arccos(np.clip(1.0 - sunk_m / radius, -1.0, 1.0)))
        share = (angle - np.sin(angle) * np.cos(angle)) / pi  # of the ball's outline under water
        whole = body_drag_n(abs(slip_m_s), self.diameter_m, 1.0, rho, mu)
        return float(share * whole if slip_m_s > 0.0 else -share * whole)

    def sunk_m(self, pulled_n: float, rho: float) -> float:
        """How deep its lowest point lies; CannotCompute where it is pulled under."""
        radius = 0.5 * self.diameter_m
        wanted = self.mass_kg / rho + pulled_n / (rho * GRAVITY_M_S2)
        if wanted >= 4.0 / 3.0 * pi * radius**3:
            raise CannotCompute(
                "The rig pulls the indicator under.",
                where="indicator",
                mend="Take a bigger indicator, or less weight.",
            )
        return float(brentq(lambda d: pi * d**2 * (radius - d / 3.0) - wanted, 0.0, 2.0 * radius))


def drifting(
    indicator: Indicator,
    stretches: tuple[Stretch, ...],
    stream: Stream,
    rho: float,
    mu: float,
) -> tuple[float, Shape]:
    """The speed in m/s at which an indicator drifts with its rig, and the rig's shape."""

    def surplus(speed: float) -> float:
        shape = held(stretches, stream, speed, rho, mu)
        push = indicator.drag_n(stream.surface_m_s - speed, -shape.top_n[1], rho, mu)
        return push + shape.top_n[0]

    slowest, fastest = 0.2 * stream.surface_m_s, 1.02 * stream.surface_m_s
    try:
        speed = float(brentq(surplus, slowest, fastest, xtol=1e-6))
    except ValueError as none:
        raise CannotCompute(
            "No drift balances this rig.",
            where="rig",
            mend="It is too heavy for this water: it anchors.",
        ) from none
    return speed, held(stretches, stream, speed, rho, mu)
