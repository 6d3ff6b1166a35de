"""One flight of a chain, from its launch until it lies on the water or its time is up."""

from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.base.kernel import kernel
from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.physics.air import Air
from nine_knots.core.physics.chain import (
    WATER_WEIGHT,
    Chain,
    bending_forces,
    kick,
    link_drag,
    pull_together,
    step_limit,
)

Array = NDArray[np.float64]

FIRST_STEP_S = 1e-4
LEAST_STEP_S = 1e-7
WORST_LENGTH = 1e-3  # of a link; a step that misses it is taken again at half the size
AT_REST_M_S = 0.3
REFRESH = 4  # steps after which drag coefficients are worked out anew
OPEN = 0.8  # straightness at which arrival is read

# What a flight answers beside its frames.
TIME, STEPS, ARRIVAL, STRAIGHTEST, STRAIGHTEST_AT, HEIGHT, ENDED, DRIFT = range(8)
MEASURES = 8
LANDED, TIME_UP, TOO_MANY_STEPS, LENGTH_LOST = range(4)


@kernel
def settled(speed: Array, wet: Array, leader: int) -> bool:
    """Whether no part of the leader in the air moves along faster than it merely sinks."""
    for i in range(leader, wet.size):
        if wet[i] == 0.0 and abs(speed[i, 0]) > AT_REST_M_S:
            return False
    return True


class Flown(NamedTuple):
    """Frames (k, n, 2) every so many seconds, and the kinetic energy (n - 1,) in joules beyond
    each link as the loop passes it; both are filled by the flight."""

    frames: Array
    passing: Array


class Limits(NamedTuple):
    """How a flight goes on: until when (s), in steps no longer (s) and no more than so many, with
    a frame every ``frame_gap`` seconds. ``damping`` in 1/s serves checks of rest, ``water`` is the
    height of the surface (far below for none)."""

    until: float
    longest_step: float
    most_steps: int
    frame_gap: float
    gravity: float = GRAVITY_M_S2
    damping: float = 0.0
    water: float = 0.0


@kernel
def fly(chain: Chain, place: Array, speed: Array, air: Air, limits: Limits, flown: Flown) -> Array:
    """Integrate the chain; ``place`` and ``speed`` (n, 2) are left as they end.

    Answers the eight measures named at the top of this file. Positions are at whole steps,
    velocities half a step before. Frames that were not reached are nan.
    """
    mass, rest, stretch, bend = chain.mass, chain.rest, chain.stretch, chain.bend
    thick, body, held, leader = chain.thick, chain.body, chain.held, chain.leader
    frames, passing = flown.frames, flown.passing
    gravity, damping, water = limits.gravity, limits.damping, limits.water
    nodes, links = mass.size, rest.size
    out = np.zeros(MEASURES)
    impulse, tried = np.zeros(links), np.zeros(links)
    slack, work, coefficients = np.zeros(links), np.zeros((7, nodes)), np.zeros((2, links))
    force, new, kicked = np.zeros((nodes, 2)), np.zeros((nodes, 2)), np.zeros((nodes, 2))
    give, wet = np.zeros(nodes), np.zeros(nodes)
    passed = np.zeros(links)
    for i in range(nodes):
        if held[i] == 0.0:
            give[i] = 1.0 / mass[i]
    length = 0.0
    for j in range(leader, links):
        length += rest[j]
    now, last, step = 0.0, FIRST_STEP_S, FIRST_STEP_S
    shown = 0
    ended = TIME_UP
    while now < limits.until:
        while shown < frames.shape[0] and now >= shown * limits.frame_gap - 1e-12:
            frames[shown] = place - (now - shown * limits.frame_gap) * speed
            shown += 1
        step = step_limit(place, speed, mass, rest, bend, impulse, last, limits.longest_step, held)
        if out[STEPS] >= limits.most_steps:
            ended = TOO_MANY_STEPS
            break
        blow = air.wind_m_s + (air.gust_m_s if now >= air.gust_at_s else 0.0)
        while True:
            between = 0.5 * (last + step)
            for i in range(nodes):
                force[i, 0] = -damping * mass[i] * speed[i, 0]
                force[i, 1] = -mass[i] * gravity - damping * mass[i] * speed[i, 1]
                kicked[i] = speed[i]
            bending_forces(place, bend, rest, force)
            link_drag(place, speed, thick, blow, out[STEPS] % REFRESH == 0, coefficients, work)
            kick(kicked, force, mass, body, blow, between, held, work)
            for i in range(nodes):
                if wet[i] > 0.0:
                    kicked[i, 0] = kicked[i, 1] = 0.0
                new[i, 0] = place[i, 0] + step * kicked[i, 0]
                new[i, 1] = place[i, 1] + step * kicked[i, 1]
            ratio = (step / last) ** 2
            for j in range(links):
                tried[j] = impulse[j] * ratio
                slack[j] = stretch[j] / (step * step)
            error = pull_together(place, new, give, rest, slack, tried, work)
            if error < WORST_LENGTH or step < LEAST_STEP_S:
                break
            step *= 0.5
        if error >= WORST_LENGTH:
            ended = LENGTH_LOST
            break
        out[DRIFT] = max(out[DRIFT], error)
        for i in range(nodes):
            if held[i] > 0.0:
                continue
            speed[i, 0] = (new[i, 0] - place[i, 0]) / step
            speed[i, 1] = (new[i, 1] - place[i, 1]) / step
            place[i] = new[i]
            if place[i, 1] <= water:
                place[i, 1] = water
                speed[i, 0] = speed[i, 1] = 0.0
                if wet[i] == 0.0:
                    wet[i] = 1.0
                    give[i] = 1.0 / (mass[i] * WATER_WEIGHT)
        impulse[:] = tried
        now += step
        last = step
        out[STEPS] += 1
        # the loop passes a link when the link has turned from trailing behind to lying ahead
        for j in range(links):
            if passed[j] == 0.0 and place[j + 1, 0] > place[j, 0]:
                passed[j] = 1.0
                energy = 0.0
                for i in range(j + 1, nodes):
                    energy += 0.5 * mass[i] * (speed[i, 0] ** 2 + speed[i, 1] ** 2)
                passing[j] = energy
        dx = place[nodes - 1, 0] - place[leader, 0]
        dy = place[nodes - 1, 1] - place[leader, 1]
        straight = (dx * dx + dy * dy) ** 0.5 / length
        if dx > 0.0:  # the fly has come round and is ahead
            if out[ARRIVAL] == 0.0 and straight >= OPEN:
                out[ARRIVAL] = (speed[nodes - 1, 0] ** 2 + speed[nodes - 1, 1] ** 2) ** 0.5
            if straight > out[STRAIGHTEST] and wet[nodes - 1] == 0.0:
                out[STRAIGHTEST] = straight
                out[STRAIGHTEST_AT] = now
                out[HEIGHT] = 0.5 * (place[nodes - 1, 1] + place[leader, 1])
        if wet[nodes - 1] > 0.0 and settled(speed, wet, leader):
            ended = LANDED
            break
    if shown < frames.shape[0]:
        frames[shown] = place
        shown += 1
    out[TIME] = now
    out[ENDED] = ended
    frames[shown:] = np.nan
    return out
