"""The steady shape of a weighted rig in a stream: a sweep from its ends to its top.

Straight segments between nodes; every segment lies along the force of all below it and half of
its own, which is the balance of moments of a straight piece under a load spread evenly along it.
Heights enter through the stream's profile and are relaxed between sweeps.
"""

from collections.abc import Callable
from dataclasses import dataclass
from math import hypot
from typing import NamedTuple

import numpy as np
import scipy

from nine_knots.core.base.cancellation import check_cancelled
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.kernel import kernel
from nine_knots.core.mechanics.bodies import body_drag_n
from nine_knots.core.mechanics.floats import Float
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.mechanics.stream import Stream, speed_at_m_s
from nine_knots.core.mechanics.thin_line import along_drag_n_m, normal_drag_n_m
from nine_knots.core.mechanics.tree import Array, Tree

MOST_SWEEPS = 150
SETTLED_M, ROUGHLY_M = 1e-5, 3e-4  # for a shape that is shown, and while a speed is sought
NEAR_SPEED_M_S = 3e-4
LEAST_SHARE, MOST_SHARE = 0.05, 1.5  # of what a sweep asks that heights follow
NEAR_BED_M = 0.05  # within which contact is another model's work
STEEPEST, SHALLOWEST = -2.0, -0.5  # of a segment's turn, between which its secant is followed
LIKELY = (0.9, 0.8)  # of the fastest, where a drift is first looked for
MOST_SECANTS = 12
SLOWEST, FASTEST = 0.2, 1.02  # of the surface, between which a float is sought to drift


@dataclass(frozen=True)
class SteadyShape:
    """Places (n, 2) of a tree's nodes: x downstream of the top and z above the bed, in m.

    ``top_n`` is the force on the top, x and z, in N.
    """

    places: Array
    top_n: tuple[float, float]

    @property
    def tension_n(self) -> float:
        """Tension at the top, in N."""
        return hypot(*self.top_n)


class ShapeGuess(NamedTuple):
    """What a sweep changes, of n nodes: ``height`` (n,) above the bed in m, ``lean`` (n, 2) the
    directions of the segments, ``pull`` (n, 2) the force in N on every node from below it and of
    what hangs there."""

    height: Array
    lean: Array
    pull: Array


@kernel
def sweep(tree: Tree, guess: ShapeGuess, stream: Stream, speed: float, fluid: Fluid) -> None:
    """One sweep from the leaves up, of a rig whose top moves at a speed (m/s); ``guess.lean`` and
    ``guess.pull`` are written anew.
    """
    height, lean, pull = guess.height, guess.lean, guess.pull
    parent, lengths, thicks = tree.parent, tree.length, tree.thick
    weight, body = tree.weight, tree.body
    pull[:] = 0.0
    for i in range(lengths.size - 1, -1, -1):
        if body[i, 1] > 0.0:
            r = speed_at_m_s(stream, height[i]) - speed
            drag = body_drag_n(abs(r), body[i, 1], body[i, 2], fluid)
            pull[i, 0] += drag if r > 0.0 else -drag
            pull[i, 1] -= body[i, 0]
        if i == 0:
            return
        above, long, thick = parent[i], lengths[i], thicks[i]
        px, pz = pull[i, 0], pull[i, 1]
        middle = 0.5 * (height[above] + height[i])
        r = speed_at_m_s(stream, middle) - speed
        angle = np.arctan2(lean[i, 1], lean[i, 0])
        ex, ez, fx, fz = 1.0, 0.0, 0.0, 0.0
        last, off_last, seen = angle, 0.0, False
        for _ in range(40):
            ex, ez = np.cos(angle), np.sin(angle)
            along = r * ex
            nx, nz = r - along * ex, -along * ez
            across = (nx * nx + nz * nz) ** 0.5
            fx, fz = 0.0, -weight[i]
            if across > 1e-12:
                drag = normal_drag_n_m(thick, across, fluid) / across
                fx, fz = fx + drag * nx, fz + drag * nz
            rub = along_drag_n_m(thick, abs(along), fluid)
            rub = rub if along > 0.0 else -rub
            fx, fz = fx + rub * ex, fz + rub * ez
            gx, gz = px + 0.5 * fx * long, pz + 0.5 * fz * long
            if gx * gx + gz * gz < 1e-30:
                break
            # how far the force points from the segment, which the segment turns after
            off = np.arctan2(ex * gz - ez * gx, ex * gx + ez * gz)
            if abs(off) < 1e-7:
                break
            slope = (off - off_last) / (angle - last) if seen else 0.0
            crossed = seen and (off > 0.0) != (off_last > 0.0) and abs(off - off_last) < 3.0
            step = 0.5 * off
            if crossed or STEEPEST < slope < SHALLOWEST:
                step = -off / slope
            last, off_last, seen = angle, off, True
            angle += step
        lean[i, 0], lean[i, 1] = ex, ez
        pull[above, 0] += px + fx * long
        pull[above, 1] += pz + fz * long


@kernel
def settle(
    tree: Tree,
    guess: ShapeGuess,
    stream: Stream,
    speed: float,
    fluid: Fluid,
    most: int,
    near_m: float,
) -> int:
    """Sweeps until no height changes by more than ``near_m``; how many, 0 where it never does.

    How far the heights follow each sweep is found from the two sweeps before [S: IronsTuck1969,
    Aitken's process for vectors].
    """
    height, lean = guess.height, guess.lean
    parent, length = tree.parent, tree.length
    n = length.size
    off, off_last, found = np.zeros(n), np.zeros(n), np.zeros(n)
    share = 1.0
    for done in range(1, most + 1):
        sweep(tree, guess, stream, speed, fluid)
        change, along, turned = 0.0, 0.0, 0.0
        found[0] = height[0]
        for i in range(1, n):
            found[i] = found[parent[i]] + length[i] * lean[i, 1]
            off[i] = found[i] - height[i]
            change = max(change, abs(off[i]))
            turn = off[i] - off_last[i]
            along += off_last[i] * turn
            turned += turn * turn
        if change < near_m:
            height[:] = found
            return done
        if done > 2 and turned > 0.0:
            share = min(MOST_SHARE, max(LEAST_SHARE, -share * along / turned))
        for i in range(1, n):
            height[i] += share * off[i]
            off_last[i] = off[i]
    return 0


def held(
    tree: Tree,
    stream: Stream,
    speed_m_s: float,
    fluid: Fluid,
    top_m: float | None = None,
    near_bed_m: float = 0.0,
) -> SteadyShape:
    """The shape of a rig whose top moves at a speed, in the stream or held still in it.

    ``top_m`` is the top's height above the bed, the surface where None. Raises CannotCompute where
    it does not settle or would come within ``near_bed_m`` of the bed: contact is another model's.
    """
    return _Sweeper(tree, stream, fluid, top_m).shape(speed_m_s, near_bed_m)


class _Sweeper:
    """Settles a rig at one speed after another, each from the shape of the one before."""

    def __init__(self, tree: Tree, stream: Stream, fluid: Fluid, top_m: float | None) -> None:
        self._tree, self._stream, self._fluid = tree, stream, fluid
        count = tree.length.size
        top = stream.depth_m if top_m is None else top_m
        height = np.maximum(top - tree.reach, 0.0)
        height[0] = top
        self._guess = ShapeGuess(height, np.tile([0.0, -1.0], (count, 1)), np.zeros((count, 2)))

    def shape(self, speed_m_s: float, near_bed_m: float, near_m: float = SETTLED_M) -> SteadyShape:
        tree, guess = self._tree, self._guess
        settled = settle(tree, guess, self._stream, speed_m_s, self._fluid, MOST_SWEEPS, near_m)
        if not settled:
            raise CannotCompute(
                "The rig finds no steady place in this water.",
                where="rig",
                hint="It swings or drags on the bed: follow its history instead.",
            )
        if guess.height.min() < near_bed_m:
            raise CannotCompute(
                "The rig lies on the bed.",
                where="rig",
                hint="Shorten it or lighten it; drifting in contact is worked out by its history.",
            )
        along = np.zeros(tree.length.size)
        for node in range(1, along.size):
            along[node] = along[tree.parent[node]] + tree.length[node] * guess.lean[node, 0]
        top = (float(guess.pull[0, 0]), float(guess.pull[0, 1]))
        return SteadyShape(np.stack([along, guess.height], axis=1), top)


def _balance(surplus: Callable[[float], float], slowest: float, fastest: float) -> float:
    """The one speed without surplus: by secants, or by brackets where those lead out of them."""
    likely = [share * fastest for share in LIKELY]
    try:
        found = scipy.optimize.newton(
            surplus, likely[0], x1=likely[1], tol=NEAR_SPEED_M_S, maxiter=MOST_SECANTS
        )
        if slowest <= found <= fastest:
            return float(found)
    except (CannotCompute, RuntimeError):
        pass
    return float(scipy.optimize.brentq(surplus, fastest, slowest, xtol=NEAR_SPEED_M_S))


def drifting(
    floats: Float,
    tree: Tree,
    stream: Stream,
    fluid: Fluid,
    near_bed_m: float = 0.0,
) -> tuple[float, SteadyShape]:
    """The speed in m/s at which a float drifts with its rig, and the rig's shape.

    Raises CannotCompute where nothing balances, where the float is pulled under, and where the
    rig comes within ``near_bed_m`` of the bed.
    """
    check_cancelled()
    sweeper = _Sweeper(tree, stream, fluid, None)

    def surplus(speed: float) -> float:
        shape = sweeper.shape(speed, -1e9, ROUGHLY_M)
        push = floats.drag_n(stream.surface_m_s - speed, -shape.top_n[1], fluid)
        return push + shape.top_n[0]

    slowest, fastest = SLOWEST * stream.surface_m_s, FASTEST * stream.surface_m_s
    try:
        speed = _balance(surplus, slowest, fastest)
    except ValueError as none:
        raise CannotCompute(
            "No drift balances this rig.",
            where="rig",
            hint="It is too heavy for this water: it anchors.",
        ) from none
    shape = sweeper.shape(speed, near_bed_m)
    if -shape.top_n[1] > floats.carries_n:
        raise CannotCompute(
            "The rig pulls what floats it under.",
            where="floats",
            hint="Use a bigger float, or less weight.",
        )
    return speed, shape
