"""A rig in the water followed in time: linearly implicit Euler on the tree, with the bed.

A step that overstretches a segment is taken again in eighths.
"""

from dataclasses import dataclass
from typing import NamedTuple

import numpy as np

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.kernel import kernel
from nine_knots.core.base.patience import still_wanted
from nine_knots.core.physics.floats import Float
from nine_knots.core.physics.fluid import Fluid
from nine_knots.core.physics.stream import Stream
from nine_knots.core.physics.tree import Array, Index, Tree
from nine_knots.core.physics.tree_step import State, System, direction, load, load_float, solve

OVERSTRETCHED = 1.03
FRICTION = 0.5  # of the submerged weight that lies on the bed [G]
STEP_S = 0.01
SOFT_N = 3.0  # the stretch of line is softened to this EA, or to what the rig's weight asks
SOFT_OVER_WEIGHT = 400.0
MOST_NODE_STEPS = 4_000_000  # about a second; a usual strip takes 100,000
TOO_VIOLENT, TOO_LONG = -1, -2
MOST_PARTS = 64  # of a step
NOTHING = Float(1e-3, 1e-6, 1.0)
"""What stands at the top of a rig that nothing floats."""


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


class Course(NamedTuple):
    """What the top does: ``ends`` (k,) of its legs in s, ``along`` and ``up`` in m/s, and whether
    it is ``free`` to drift."""

    ends: Array
    along: Array
    up: Array
    free: Index


class Frames(NamedTuple):
    """What is kept: ``places`` (k, n, 2), ``top_n`` (k, 2), ``floor_n`` (k, n), ``speed`` (k,)."""

    places: Array
    top_n: Array
    floor_n: Array
    speed: Array


@kernel
def _pull_on_top(tree: Tree, state: State, spring: Array) -> tuple[float, float]:
    """The force in N on the top, of the segments that end there, after a step."""
    parent, rest, stretch = tree.parent, tree.length, tree.stretch
    place, speed, px, pz = state.place, state.speed, 0.0, 0.0
    for i in range(1, rest.size):
        if parent[i] == 0:
            ex, ez, length = direction(place, i, 0)
            pull = max(0.0, stretch[i] * (length / rest[i] - 1.0))
            vx, vz = speed[i, 0] - speed[0, 0], speed[i, 1] - speed[0, 1]
            px += pull * ex + spring[i, 0] * vx + spring[i, 1] * vz
            pz += pull * ez + spring[i, 1] * vx + spring[i, 2] * vz
    return px, pz


@kernel
def _most_stretched(tree: Tree, place: Array) -> float:
    """The greatest length of a segment over its length at rest."""
    parent, rest, worst = tree.parent, tree.length, 0.0
    for i in range(1, rest.size):
        p = parent[i]
        dx, dz = place[i, 0] - place[p, 0], place[i, 1] - place[p, 1]
        worst = max(worst, (dx * dx + dz * dz) ** 0.5 / rest[i])
    return worst


@kernel
def follow(
    tree: Tree, state: State, stream: Stream, fluid: Fluid, floats: Float, course: Course,
    friction: float, step_s: float, every: int, most: int, frames: Frames,
) -> int:  # fmt: skip
    """Steps of ``step_s`` through the course, a frame every ``every`` steps; the frames written.

    ``state`` is left as it ends. What floats is at the top while a leg is free. Answers
    TOO_VIOLENT where a step gives no finite number, TOO_LONG after ``most`` steps, parts of them
    counted.
    """
    n = tree.length.size
    place, speed = state.place, state.speed
    out = System(np.zeros((n, 3)), np.zeros((n, 2)), np.zeros((n, 3)), np.zeros(n))
    kept_place, kept_speed = place.copy(), speed.copy()
    pulled_x, pulled_z = 0.0, 0.0
    leg, written, taken = 0, 0, 0
    steps = int(course.ends[-1] / step_s + 0.5)
    for count in range(steps + 1):
        if count % every == 0 and written < frames.places.shape[0]:
            frames.places[written] = place
            frames.top_n[written, 0], frames.top_n[written, 1] = pulled_x, pulled_z
            frames.floor_n[written] = out.floor
            frames.speed[written] = speed[0, 0]
            written += 1
        while leg < course.ends.size - 1 and count * step_s >= course.ends[leg] - 1e-9:
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
                load(tree, state, stream, fluid, friction, h, out)
                if course.free[leg] == 1:
                    load_float(floats, state, stream, fluid, -pulled_z, h, out)
                    up = (stream.depth_m - place[0, 1]) / h
                    solve(tree.parent, out, speed, False, 0.0, up)
                else:
                    solve(tree.parent, out, speed, True, course.along[leg], course.up[leg])
                pulled_x, pulled_z = _pull_on_top(tree, state, out.spring)
                for i in range(n):
                    place[i, 0] += h * speed[i, 0]
                    place[i, 1] += h * speed[i, 1]
                    if i > 0 and place[i, 1] > stream.depth_m >= kept_place[i, 1]:
                        place[i, 1] = stream.depth_m  # what was wet does not fly
            worst = _most_stretched(tree, place)
            if not np.isfinite(worst):
                return TOO_VIOLENT
            if worst < OVERSTRETCHED or parts >= MOST_PARTS:
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
    fluid: Fluid,
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
    course = _course(legs)
    count = int(course.ends[-1] / step_s + 0.5) // every + 1
    nodes = len(place)
    frames = Frames(
        np.zeros((count, nodes, 2)), np.zeros((count, 2)), np.zeros((count, nodes)),
        np.zeros(count),
    )  # fmt: skip
    asked = max(SOFT_N, SOFT_OVER_WEIGHT * _most_n(tree, stream, legs, fluid))
    soft = tree._replace(stretch=np.minimum(tree.stretch, asked))
    done = follow(
        soft, State(place, speed), stream, fluid, floats or NOTHING, course,
        friction, step_s, every, MOST_NODE_STEPS // nodes, frames,
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
    return History(every * step_s, *(kept[:done] for kept in frames))


def _course(legs: tuple[Leg, ...]) -> Course:
    return Course(
        ends=np.cumsum([leg.lasts_s for leg in legs]),
        along=np.array([leg.along_m_s for leg in legs]),
        up=np.array([leg.up_m_s for leg in legs]),
        free=np.array([int(leg.free) for leg in legs], dtype=np.int64),
    )


def _most_n(tree: Tree, stream: Stream, legs: tuple[Leg, ...], fluid: Fluid) -> float:
    """About the greatest pull at the top, N: its weights, and drag at the fastest it is moved."""
    fastest = max(abs(leg.along_m_s - stream.surface_m_s) for leg in legs)
    fastest = 0.3 * stream.surface_m_s if all(leg.free for leg in legs) else fastest
    bodies = 0.4 * fluid.rho * float((tree.body[:, 2] * tree.body[:, 1] ** 2).sum()) * fastest**2
    skin = 0.02 * fluid.rho * float((tree.length * tree.thick).sum()) * fastest**2
    line = float(np.abs(tree.length * tree.weight).sum())
    return tree.body_weight_n + line + bodies + skin
