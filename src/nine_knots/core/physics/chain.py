"""A chain of masses in a vertical plane: nearly inextensible links, bending, drag, water.

Leapfrog with constraints (SHAKE): velocities stand half a step before positions, link forces act
along the links of the old positions, and a Newton iteration, one tridiagonal solve each, finds
the tensions for which the new positions keep every link's length (or its stretch, l T / EA).
Drag is taken point-implicitly: at each node the drag of its half links is linear in the node's
own new velocity. The step follows the fastest turning link, the bending waves and the transverse
waves; one that fails the constraints is taken again at half the size.

Arrays of n nodes (index 0 at the rod) and n - 1 links; SI units.
"""

from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.base.kernel import kernel
from nine_knots.core.physics.air import AIR_KG_M3, across_coefficient, along_coefficient

Array = NDArray[np.float64]

MOST_TURN = 0.15  # radians that a link may turn in a step
WAVE_SHARE = 0.6  # of the time a transverse wave needs for a link
BEND_SHARE = 0.8  # of the explicit limit of bending
GROWTH = 1.25  # of the step from one to the next
NEWTON_MOST = 12
LENGTH_ERROR = 1e-5  # of a link's length, at which the Newton iteration ends
WATER_WEIGHT = 1000.0  # times heavier: a node that has touched the water


class Chain(NamedTuple):
    """n nodes from the rod and the n - 1 links between them.

    ``rest`` (n - 1,) lengths in m, ``mass`` (n,) in kg, ``stretch`` (n - 1,) l / EA in m/N,
    ``bend`` (n,) EI in N·m², ``thick`` (n - 1,) diameters in m (0 for no drag), ``body`` (n,) drag
    areas C_d A in m² of what hangs at nodes, ``held`` (n,) marks nodes that stand still,
    ``leader`` is the node where the leader begins.
    """

    rest: Array
    mass: Array
    stretch: Array
    bend: Array
    thick: Array
    body: Array
    held: Array
    leader: int


@kernel
def pull_together(
    old: Array,
    new: Array,
    give: Array,
    rest: Array,
    slack: Array,
    impulse: Array,
    work: Array,
) -> float:
    """Move ``new`` so that every link keeps its length; answers the worst error, of its length.

    ``old`` and ``new`` are positions (n, 2), ``give`` inverse masses (n,), ``rest`` lengths and
    ``slack`` stretch per impulse (n - 1,). ``impulse`` holds the first guess of tension times
    step squared and takes the answer. ``work`` is scratch of shape (7, n).
    """
    links = rest.size
    gx, gy, lower, diagonal, upper, right = work[0], work[1], work[2], work[3], work[4], work[5]
    for j in range(links):
        dx, dy = old[j + 1, 0] - old[j, 0], old[j + 1, 1] - old[j, 1]
        length = (dx * dx + dy * dy) ** 0.5
        gx[j], gy[j] = dx / length, dy / length
    for j in range(links):
        push = impulse[j]
        new[j, 0] += give[j] * push * gx[j]
        new[j, 1] += give[j] * push * gy[j]
        new[j + 1, 0] -= give[j + 1] * push * gx[j]
        new[j + 1, 1] -= give[j + 1] * push * gy[j]
    worst = 1.0
    for _ in range(NEWTON_MOST):
        worst = 0.0
        for j in range(links):
            dx, dy = new[j + 1, 0] - new[j, 0], new[j + 1, 1] - new[j, 1]
            length = max(1e-12, (dx * dx + dy * dy) ** 0.5)
            ux, uy = dx / length, dy / length
            error = length - rest[j] - slack[j] * impulse[j]
            worst = max(worst, abs(error) / rest[j])
            right[j] = -error
            diagonal[j] = -(give[j] + give[j + 1]) * (ux * gx[j] + uy * gy[j]) - slack[j]
            lower[j] = give[j] * (ux * gx[j - 1] + uy * gy[j - 1]) if j > 0 else 0.0
            upper[j] = give[j + 1] * (ux * gx[j + 1] + uy * gy[j + 1]) if j + 1 < links else 0.0
        if worst < LENGTH_ERROR:
            return worst
        # Thomas' elimination of the tridiagonal system
        for j in range(1, links):
            if abs(diagonal[j - 1]) < 1e-300:
                return 1.0
            factor = lower[j] / diagonal[j - 1]
            diagonal[j] -= factor * upper[j - 1]
            right[j] -= factor * right[j - 1]
        change = 0.0
        for j in range(links - 1, -1, -1):
            change = (right[j] - upper[j] * change) / diagonal[j]
            work[6, j] = change
        for j in range(links):
            push = work[6, j]
            impulse[j] += push
            new[j, 0] += give[j] * push * gx[j]
            new[j, 1] += give[j] * push * gy[j]
            new[j + 1, 0] -= give[j + 1] * push * gx[j]
            new[j + 1, 1] -= give[j + 1] * push * gy[j]
    return worst


@kernel
def turn_of(across: float, along: float) -> float:
    """arctan2(across, along) in radians, by its series (to 1e-7) where the angle is small."""
    if along > 0.0 and abs(across) < 0.12 * along:
        t = across / along
        q = t * t
        return t * (1.0 - q * (1.0 / 3.0 - q * (0.2 - q / 7.0)))
    return float(np.arctan2(across, along))


@kernel
def bending_forces(place: Array, bend: Array, rest: Array, force: Array) -> None:
    """Add the forces of bending to ``force`` (n, 2), from the turn at every inner node.

    A node with stiffness EI between links of mean length h that turn by θ holds the moment
    EI θ / h. ``bend`` (n,) in N·m²; its first entry clamps the first link to the horizontal.
    """
    for i in range(1, rest.size):
        if bend[i] == 0.0:
            continue
        ax, ay = place[i, 0] - place[i - 1, 0], place[i, 1] - place[i - 1, 1]
        bx, by = place[i + 1, 0] - place[i, 0], place[i + 1, 1] - place[i, 1]
        turn = turn_of(ax * by - ay * bx, ax * bx + ay * by)
        moment = bend[i] * turn / (0.5 * (rest[i - 1] + rest[i]))
        above, below = moment / (ax * ax + ay * ay), moment / (bx * bx + by * by)
        fax, fay = -ay * above, ax * above
        fbx, fby = -by * below, bx * below
        force[i - 1, 0] -= fax
        force[i - 1, 1] -= fay
        force[i + 1, 0] -= fbx
        force[i + 1, 1] -= fby
        force[i, 0] += fax + fbx
        force[i, 1] += fay + fby


@kernel
def link_drag(
    place: Array,
    speed: Array,
    thick: Array,
    wind: float,
    anew: bool,
    coefficients: Array,
    work: Array,
) -> None:
    """Drag per speed of half of every link, as the matrix kxx, kxy, kyy in ``work[:3]`` (kg/s).

    Across the link ½ρ d l C_d |r_n|, along it ½ρ π d l C_f |r_t|, r the velocity of the link's
    middle against the air. ``thick`` are diameters (0 for no drag), ``wind`` blows along x.
    ``coefficients`` (2, n - 1) hold C_d and C_f; they change slowly with speed and are worked out
    ``anew`` only every few steps.
    """
    for j in range(thick.size):
        d = thick[j]
        if d == 0.0:
            work[0, j] = work[1, j] = work[2, j] = 0.0
            continue
        tx, ty = place[j + 1, 0] - place[j, 0], place[j + 1, 1] - place[j, 1]
        length = (tx * tx + ty * ty) ** 0.5
        tx, ty = tx / length, ty / length
        rx = 0.5 * (speed[j, 0] + speed[j + 1, 0]) - wind
        ry = 0.5 * (speed[j, 1] + speed[j + 1, 1])
        along, across = abs(rx * tx + ry * ty), abs(rx * ty - ry * tx)
        if anew:
            coefficients[0, j] = across_coefficient(across, d)
            coefficients[1, j] = along_coefficient(along, d)
        half = 0.25 * AIR_KG_M3 * d * length
        kn = half * coefficients[0, j] * across
        kt = half * np.pi * coefficients[1, j] * along
        work[0, j] = kn * ty * ty + kt * tx * tx
        work[1, j] = (kt - kn) * tx * ty
        work[2, j] = kn * tx * tx + kt * ty * ty


@kernel
def kick(
    speed: Array,
    force: Array,
    mass: Array,
    body: Array,
    wind: float,
    step: float,
    held: Array,
    work: Array,
) -> None:
    """Change ``speed`` (n, 2) by ``force`` and by air drag over a step, drag point-implicitly.

    ``work[:3]`` holds the links' drag, ``body`` the drag areas C_d A of what hangs at nodes; nodes
    marked in ``held`` (n,) stand still.
    """
    nodes = mass.size
    for i in range(nodes):
        if held[i] > 0.0:
            speed[i, 0] = speed[i, 1] = 0.0
            continue
        kxx = kxy = kyy = 0.0
        if i > 0:
            kxx, kxy, kyy = work[0, i - 1], work[1, i - 1], work[2, i - 1]
        if i < nodes - 1:
            kxx += work[0, i]
            kxy += work[1, i]
            kyy += work[2, i]
        if body[i] > 0.0:
            rx, ry = speed[i, 0] - wind, speed[i, 1]
            k = 0.5 * AIR_KG_M3 * body[i] * (rx * rx + ry * ry) ** 0.5
            kxx += k
            kyy += k
        bx = mass[i] * speed[i, 0] + step * (force[i, 0] + kxx * wind)
        by = mass[i] * speed[i, 1] + step * (force[i, 1] + kxy * wind)
        a, b, c = mass[i] + step * kxx, step * kxy, mass[i] + step * kyy
        whole = a * c - b * b
        speed[i, 0] = (c * bx - b * by) / whole
        speed[i, 1] = (a * by - b * bx) / whole


@kernel
def step_limit(
    place: Array,
    speed: Array,
    mass: Array,
    rest: Array,
    bend: Array,
    impulse: Array,
    last: float,
    most: float,
    held: Array,
) -> float:
    """The longest step in seconds that turning links, waves and bending allow."""
    step = min(most, GROWTH * last)
    for j in range(rest.size):
        dx, dy = place[j + 1, 0] - place[j, 0], place[j + 1, 1] - place[j, 1]
        vx, vy = speed[j + 1, 0] - speed[j, 0], speed[j + 1, 1] - speed[j, 1]
        spin = abs(dx * vy - dy * vx) / (rest[j] * rest[j])
        if spin * step > MOST_TURN:
            step = MOST_TURN / spin
        lighter = mass[j + 1] if held[j] > 0.0 else mass[j]
        if held[j + 1] == 0.0:
            lighter = min(lighter, mass[j + 1])
        tension = impulse[j] / (last * last)
        if tension > 0.0:
            step = min(step, WAVE_SHARE * (lighter * rest[j] / tension) ** 0.5)
        stiff = max(bend[j], bend[j + 1])
        if stiff > 0.0:
            step = min(step, BEND_SHARE * 0.5 * (lighter * rest[j] ** 3 / stiff) ** 0.5)
    return step
