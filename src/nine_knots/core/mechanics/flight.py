"""One flight of a chain, from its launch until it lies on the water or its time is up.

Leapfrog with constraints: velocities stand half a step before positions, link forces act along the
links of the old positions (``chain_lengths``), bending is explicit and drag point-implicit
(``chain_forces``). The step follows the fastest turning link, the bending waves and the transverse
waves (``chain_pace``); one that fails the lengths is taken again at half the size.
"""

from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.base.kernel import kernel
from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.mechanics.air import Air
from nine_knots.core.mechanics.chain import FREE, GIVE, MASS, REST, TO_Y, Chain, U, V, X, Y, in_rows
from nine_knots.core.mechanics.chain_forces import (
    bending,
    directions,
    drag,
    drag_coefficients,
    kick,
)
from nine_knots.core.mechanics.chain_lengths import pull_together
from nine_knots.core.mechanics.chain_step import advance, bending_limit_s, step_limit, under

Array = NDArray[np.float64]

FIRST_STEP_S = 1e-4
LEAST_STEP_S = 1e-7
WORST_LENGTH = 1e-3  # of a link; a step that misses it is taken again at half the size
WATER_WEIGHT = 1000.0  # times heavier: a node that has touched the water
AT_REST_M_S = 0.3
REFRESH = 2  # steps after which drag coefficients are worked out anew
LEAST_FORWARD = -0.2  # of a leader's length: however far it is blown back, it counts as this
FALLEN_BACK = 0.1  # of its length from the best, after which a leader opens no further
LOOKED_AHEAD = 16  # links beyond the first that the loop has not passed

# What a flight answers beside its frames.
TIME, STEPS, STRAIGHTEST, STRAIGHTEST_AT, HEIGHT, ENDED, DRIFT, FORWARD, TOUCH_DOWN = range(9)
MEASURES = 9
LANDED, TIME_UP, TOO_MANY_STEPS, LENGTH_LOST, KNOWN = range(5)
# When a flight ends: at rest on the water, when it is known how far the leader opens forward, or
# when the fly touches the water.
AT_REST, OPENING_KNOWN, FLY_TOUCHES = range(3)


class FlightRecord(NamedTuple):
    """Frames (k, n, 2) every so many seconds, and the kinetic energy (n - 1,) in joules beyond
    each link as the loop passes it; both are filled by the flight."""

    frames: Array
    passing: Array


class Limits(NamedTuple):
    """How a flight goes on: until when (s), in steps no longer (s) and no more than so many, with
    a frame every ``frame_gap`` seconds. ``damping`` in 1/s serves checks of rest, ``water`` is the
    height of the surface (far below for none). ``ends`` is one of the three moments named above.
    The held end is lowered at ``drop_m_s``, from ``drop_after_s`` on, for so long.
    """

    until: float
    longest_step: float
    most_steps: int
    frame_gap: float
    gravity: float = GRAVITY_M_S2
    damping: float = 0.0
    water: float = 0.0
    ends: int = AT_REST
    drop_m_s: float = 0.0
    drop_after_s: float = 0.0
    drop_for_s: float = 0.0


def fly(
    chain: Chain, place: Array, speed: Array, air: Air, limits: Limits, flown: FlightRecord
) -> Array:
    """Integrate the chain; ``place`` and ``speed`` (n, 2) are left as they end.

    Answers the measures named at the top of this file. Positions are at whole steps,
    velocities half a step before. Frames that were not reached are nan. Raises CannotCompute for
    more nodes than the rows hold.
    """
    nodes = chain.mass.size
    b = in_rows(chain, place, speed)
    out, shown = _fly(b, nodes, chain.leader, bending_limit_s(chain), air, limits, flown)
    for at, (across, up) in ((place, (X, Y)), (speed, (U, V))):
        at[:, 0], at[:, 1] = b[across : across + nodes], b[up : up + nodes]
    flown.frames[shown:] = np.nan
    return out


@kernel
def _fly(
    b: Array,
    nodes: int,
    leader: int,
    bend_step: float,
    air: Air,
    limits: Limits,
    flown: FlightRecord,
) -> tuple[Array, int]:
    """The measures, and how many frames were filled."""
    frames = flown.frames
    length = b[REST + leader : REST + nodes - 1].sum()
    line = b[REST : REST + leader].sum()
    start = b[X]
    out = np.zeros(MEASURES)
    out[ENDED] = TIME_UP
    out[FORWARD] = LEAST_FORWARD
    now, last = 0.0, FIRST_STEP_S
    shown, steps, unpassed = 0, 0, 0
    passed = np.zeros(nodes)
    longest = min(limits.longest_step, bend_step)
    while now < limits.until:
        while shown < frames.shape[0] and now >= shown * limits.frame_gap - 1e-12:
            show(b, frames[shown], now - shown * limits.frame_gap)
            shown += 1
        if steps >= limits.most_steps:
            out[ENDED] = TOO_MANY_STEPS
            break
        blow = air.wind_m_s + (air.gust_m_s if now >= air.gust_at_s else 0.0)
        directions(b, nodes)
        bending(b, nodes, last)
        if steps % REFRESH == 0:
            drag_coefficients(b, nodes, blow)
        drag(b, nodes, blow)
        step = step_limit(b, nodes, last, longest)
        while True:
            kick(b, nodes, blow, 0.5 * (last + step), step, limits.gravity, limits.damping)
            if 0.0 <= now - limits.drop_after_s < limits.drop_for_s:
                b[TO_Y] = b[Y] - limits.drop_m_s * step
            error = pull_together(b, nodes, step, last)
            if error < WORST_LENGTH or step < LEAST_STEP_S:
                break
            step *= 0.5
        if not error < WORST_LENGTH:
            out[ENDED] = LENGTH_LOST
            break
        out[DRIFT] = max(out[DRIFT], error)
        advance(b, nodes, step)
        if not abs(b[X + nodes - 1]) < 1e6:
            out[ENDED] = LENGTH_LOST
            break
        if under(b, nodes, limits.water) > 0:
            wet(b, nodes, limits.water)
        now += step
        last = step
        steps += 1
        unpassed = pass_links(b, nodes, unpassed, passed, flown.passing)
        dry = b[FREE + nodes - 1] > 0.0 or b[GIVE + nodes - 1] == 0.0
        dx, dy = b[X + nodes - 1] - b[X + leader], b[Y + nodes - 1] - b[Y + leader]
        straight = (dx * dx + dy * dy) ** 0.5 / length
        if dry and dx > 0.0 and straight > out[STRAIGHTEST]:  # the fly has come round
            out[STRAIGHTEST] = straight
            out[STRAIGHTEST_AT] = now
            out[HEIGHT] = 0.5 * (b[Y + nodes - 1] + b[Y + leader])
        if b[X + leader] - start >= 0.5 * line:
            out[FORWARD] = max(out[FORWARD], dx / length)
        if dry:
            out[TOUCH_DOWN] = dx / length
        if limits.ends == OPENING_KNOWN:
            back = out[FORWARD] > 0.0 and dx < (out[FORWARD] - FALLEN_BACK) * length
            if back or not dry:
                out[ENDED] = KNOWN
                break
        elif limits.ends == FLY_TOUCHES and not dry:
            out[ENDED] = KNOWN
            break
        elif not dry and settled(b, nodes, leader):
            out[ENDED] = LANDED
            break
    if shown < frames.shape[0]:
        show(b, frames[shown], 0.0)
        shown += 1
    out[TIME] = now
    out[STEPS] = steps
    return out, shown


@kernel
def show(b: Array, frame: Array, since: float) -> None:
    """Where the nodes were ``since`` seconds ago, in ``frame`` (n, 2)."""
    for i in range(frame.shape[0]):
        frame[i, 0] = b[X + i] - since * b[U + i]
        frame[i, 1] = b[Y + i] - since * b[V + i]


@kernel
def wet(b: Array, nodes: int, water: float) -> None:
    """Nodes at the water stay there: they lose their velocity and become heavy."""
    for i in range(nodes):
        if b[Y + i] <= water and b[GIVE + i] > 0.0:
            b[Y + i] = water
            b[U + i] = b[V + i] = 0.0
            if b[FREE + i] > 0.0:
                b[FREE + i] = 0.0
                b[GIVE + i] /= WATER_WEIGHT


@kernel
def pass_links(b: Array, nodes: int, first: int, passed: Array, passing: Array) -> int:
    """Note the energy beyond links that the loop passes; the first that it has not.

    It passes a link when the link has turned from trailing behind to lying ahead.
    """
    for j in range(first, min(nodes - 1, first + LOOKED_AHEAD)):
        if passed[j] == 0.0 and b[X + j + 1] > b[X + j]:
            passed[j] = 1.0
            energy = 0.0
            for i in range(j + 1, nodes):
                energy += 0.5 * b[MASS + i] * (b[U + i] ** 2 + b[V + i] ** 2)
            passing[j] = energy
    while first < nodes - 1 and passed[first] > 0.0:
        first += 1
    return first


@kernel
def settled(b: Array, nodes: int, leader: int) -> bool:
    """Whether no part of the leader in the air moves along faster than it merely sinks."""
    for i in range(leader, nodes):
        if b[FREE + i] > 0.0 and abs(b[U + i]) > AT_REST_M_S:
            return False
    return True
