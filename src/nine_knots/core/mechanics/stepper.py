"""A rig in the water followed in time: linearly implicit Euler on the tree, with the bed.

A step that overstretches a segment is taken again in eighths.
"""

from dataclasses import dataclass
from typing import NamedTuple

import numpy as np

from nine_knots.core.base.cancellation import check_cancelled
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.kernel import kernel
from nine_knots.core.mechanics.floats import Float
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.mechanics.tree import Array, Index, Tree
from nine_knots.core.mechanics.tree_solver import State, System, direction, load, load_float, solve

OVERSTRETCHED, SNATCHED = 1.03, 1.5
FLOATS_N_M = 1e-9  # of weight in water, up to which line floats
LEAST_LEFT = 0.2  # of the next segment's length, below which one has been taken in
HELD_KG_S = 1e6  # that keeps what has been taken in with the top
UNDER_BED_M = 0.04  # so far under the bed, nothing that is shown is true
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
    """What the top does for a while: where it is led (m/s along, up), or FREE to drift; and how
    fast line is taken in there (m/s)."""

    lasts_s: float
    along_m_s: float = 0.0
    up_m_s: float = 0.0
    free: bool = False
    reel_m_s: float = 0.0


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
    """What the top does: ``ends`` (k,) of its legs in s, ``along`` and ``up`` in m/s, whether it is
    ``free`` to drift, and the line taken in there, ``reel`` in m/s."""

    ends: Array
    along: Array
    up: Array
    free: Index
    reel: Array


class Frames(NamedTuple):
    """What is kept: ``places`` (k, n, 2), ``top_n`` (k, 2), ``floor_n`` (k, n), ``speed`` (k,)."""

    places: Array
    top_n: Array
    floor_n: Array
    speed: Array


@kernel
def _pull_on_top(tree: Tree, state: State, spring: Array, held: int) -> tuple[float, float]:
    """The force in N on the top, of the segments that end there, after a step; the nodes down to
    ``held`` have been taken in to it."""
    parent, rest, stretch = tree.parent, tree.length, tree.stretch
    place, speed, px, pz = state.place, state.speed, 0.0, 0.0
    for i in range(1, rest.size):
        if parent[i] == held:
            ex, ez, length = direction(place, i, held)
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
def _take_in(tree: Tree, place: Array, held: int, length_m: float) -> int:
    """Takes so much line in at the top, off the segments there; how many nodes are at it then.

    A segment of which little is left goes in whole, what is left of it being the next one's. At a
    node where something hangs or branches off no more is taken.
    """
    rest, parent = tree.length, tree.parent
    while length_m > 0.0 and held + 2 < rest.size:
        i = held + 1
        last = parent[i + 1] != i or tree.body[i, 1] > 0.0
        if last or rest[i] - length_m > LEAST_LEFT * rest[i + 1]:
            rest[i] = max(LEAST_LEFT * rest[i + 1], rest[i] - length_m)
            break
        rest[i + 1] += max(0.0, rest[i] - length_m)
        length_m = max(0.0, length_m - rest[i])
        place[i, 0], place[i, 1] = place[0, 0], place[0, 1]
        held = i
    return held


@kernel
def _hold_at_top(out: System, held: int, along: float, up: float) -> None:
    """Nodes that have been taken in go with the top."""
    for i in range(1, held + 1):
        for k in (0, 2):
            out.diag[i, k] += HELD_KG_S
        out.rhs[i, 0] += HELD_KG_S * along
        out.rhs[i, 1] += HELD_KG_S * up


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
    tree = Tree(
        tree.parent, tree.length.copy(), tree.thick, tree.weight, tree.mass, tree.stretch,
        tree.body, tree.body_kg,
    )  # fmt: skip
    place, speed, weight = state.place, state.speed, tree.weight
    held, depth_m = 0, stream.depth_m
    out = System(np.zeros((n, 3)), np.zeros((n, 2)), np.zeros((n, 3)), np.zeros(n), np.zeros(n))
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
        if course.reel[leg] > 0.0:
            held = _take_in(tree, place, held, course.reel[leg] * step_s)
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
                _hold_at_top(out, held, course.along[leg], course.up[leg])
                if course.free[leg] == 1:
                    load_float(floats, state, stream, fluid, -pulled_z, h, out)
                    up = (depth_m - place[0, 1]) / h
                    solve(tree.parent, out, speed, False, 0.0, up)
                else:
                    solve(tree.parent, out, speed, True, course.along[leg], course.up[leg])
                pulled_x, pulled_z = _pull_on_top(tree, state, out.spring, held)
                for i in range(n):
                    place[i, 0] += h * speed[i, 0]
                    place[i, 1] += h * speed[i, 1]
                    if 0 < i <= held:
                        place[i, 0], place[i, 1] = place[0, 0], place[0, 1]
                    elif (
                        i > held
                        and weight[i] <= FLOATS_N_M
                        and place[i, 1] > depth_m >= kept_place[i, 1]
                    ):
                        place[i, 1] = depth_m  # what floats does not fly
            worst = _most_stretched(tree, place)
            if not np.isfinite(worst):
                return TOO_VIOLENT
            if worst < OVERSTRETCHED:
                break
            if parts >= MOST_PARTS:
                if worst > SNATCHED:
                    return TOO_VIOLENT
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
    check_cancelled()
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
            "This drift is too long for the water model to follow.",
            where="ask",
            hint="Fewer seconds counted, quicker pulls, shorter pauses, or less line out.",
        )
    if done < 0:
        raise CannotCompute(
            "This rig moves too violently for the water model to follow.",
            where="rig",
            hint="This happens with a very heavy weight on a very fine, short piece: change "
            "one of them.",
        )
    if frames.places[:done, :, 1].min() < -UNDER_BED_M:
        raise CannotCompute(
            "This rig pushes deeper into the bed than the water model covers.",
            where="rig",
            hint="Use less weight, or fish shallower: so much rests on the bed that it "
            "doesn't fish.",
        )
    return History(every * step_s, *(kept[:done] for kept in frames))


def _course(legs: tuple[Leg, ...]) -> Course:
    return Course(
        ends=np.cumsum([leg.lasts_s for leg in legs]),
        along=np.array([leg.along_m_s for leg in legs]),
        up=np.array([leg.up_m_s for leg in legs]),
        free=np.array([int(leg.free) for leg in legs], dtype=np.int64),
        reel=np.array([leg.reel_m_s for leg in legs]),
    )


def _most_n(tree: Tree, stream: Stream, legs: tuple[Leg, ...], fluid: Fluid) -> float:
    """About the greatest pull at the top, N: its weights, and drag at the fastest it is moved."""
    fastest = max(abs(leg.along_m_s - stream.surface_m_s) + leg.reel_m_s for leg in legs)
    fastest = 0.3 * stream.surface_m_s if all(leg.free for leg in legs) else fastest
    bodies = 0.4 * fluid.rho * float((tree.body[:, 2] * tree.body[:, 1] ** 2).sum()) * fastest**2
    skin = 0.02 * fluid.rho * float((tree.length * tree.thick).sum()) * fastest**2
    line = float(np.abs(tree.length * tree.weight).sum())
    return tree.body_weight_n + line + bodies + skin
