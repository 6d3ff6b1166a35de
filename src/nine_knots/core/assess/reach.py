"""How surely a rig reaches the zone: fished again and again in water that is a little other.

Pace and depth are guessed, a fly falls as it is dressed and a cast lands as it will: each is drawn
from a normal of its logarithm, all at once, in a Latin hypercube that is the same every time, and
every draw is fished and judged as the depth cord judges it. What share of the doubt comes from what
is a straight line through where the fly was found.
"""

from dataclasses import dataclass
from functools import partial
from math import exp
from typing import Literal

import numpy as np
import scipy

from nine_knots.core.base.cancellation import report_progress
from nine_knots.core.base.concurrency import run_parallel
from nine_knots.core.base.score import Status
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.in_water import fly_body
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.tackle import Fly
from nine_knots.core.domain.tackle.fly import floats_up
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.techniques import technique_of
from nine_knots.core.water.on_the_line import OnTheLine
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.simulated import SimulatedTechnique, down_m
from nine_knots.core.water.surroundings import STILL_M_S, fluid_of
from nine_knots.core.water.time_in_zone import fish_rig

TRIES = 32
GUESSED_OFF = 0.1  # of pace and of depth, by eye [G]
FALLS_OFF, JARRED_OFF = 0.2, 0.05  # of how fast a fly falls, by the tables and timed in a jar [M]
LANDS_OFF = 0.2  # of how far off the flies land, from cast to cast [G]
Unsure = Literal["pace", "depth", "fly", "landing"]
UNSURE: tuple[Unsure, ...] = ("pace", "depth", "fly", "landing")


@dataclass(frozen=True, slots=True)
class Reach:
    """Of so many ``tries``, how many were right, too high and too deep; between which depths four
    in five of them fished; ``shares`` of the doubt by its source, greatest first, none where
    nothing moved. ``wanted`` where a depth was asked for, ``any_depth`` where all are right but the
    bed."""

    tries: int
    right: int
    high: int
    deep: int
    between_m: tuple[float, float]
    wanted: bool
    any_depth: bool
    shares: tuple[tuple[Unsure, float], ...]


def reach_of(design: Design, ask: WaterQuestion) -> Reach | None:
    """Fish it in each of the draws; None where the fly stays on top, CannotCompute where the water
    models refuse the day as it is."""
    technique = technique_of(design)
    if not isinstance(technique, SimulatedTechnique):
        return None
    drawn = _drawn()

    def fish(draw: np.ndarray) -> tuple[Status, float, float]:
        other, asked = _otherwise(design, ask, dict(zip(UNSURE, map(float, draw), strict=True)))
        fished = fish_rig(technique.fish(other, asked))
        status, down = technique.depth(fished, asked).status, down_m(fished)
        return status, down, down if ask.wanted_m is not None else fished.lowest.height_m

    found = run_parallel(
        [partial(fish, draw) for draw in drawn], lambda done: report_progress(done, TRIES)
    )
    standings, downs, counts = zip(*found, strict=True)
    low, high = map(float, np.quantile(downs, (0.1, 0.9)))
    return Reach(
        tries=TRIES,
        right=standings.count("right"),
        high=standings.count("too little"),
        deep=standings.count("too much"),
        between_m=(low, high),
        wanted=ask.wanted_m is not None,
        any_depth=ask.wanted_m is None and isinstance(technique, OnTheLine),
        shares=_shares(drawn, np.array(counts)),
    )


def _drawn() -> np.ndarray:
    """A Latin hypercube of standard normals, (tries, unsure): each of them in even steps."""
    steps = np.tile((np.arange(TRIES) + 0.5) / TRIES, (len(UNSURE), 1))
    drawn: np.ndarray = scipy.special.ndtri(np.random.default_rng(0).permuted(steps, axis=1)).T
    return drawn


def _otherwise(
    design: Design, ask: WaterQuestion, by: dict[Unsure, float]
) -> tuple[Design, WaterQuestion]:
    """The design and the ask as they may be in truth, by standard deviations of what is unsure."""
    day = design.situation
    pace = day.water.pace_m_s
    if pace > STILL_M_S:
        pace = min(4.0, pace * exp(GUESSED_OFF * by["pace"]))
    depth = max(0.05, min(30.0, day.water.depth_m * exp(GUESSED_OFF * by["depth"])))
    water = day.water.evolve(pace_m_s=pace, depth_m=depth)
    fluid, off = fluid_of(water), by["fly"]
    made = design.evolve(
        situation=day.evolve(water=water, fly=_falling(day.fly, off, fluid)),
        leader=_with_flies_falling(design.leader, off, fluid),
    )
    lands = max(0.1, min(1.0, ask.lands * exp(LANDS_OFF * by["landing"])))
    return made, ask.evolve(lands=lands)


def _falling(fly: Fly, by: float, fluid: Fluid) -> Fly:
    """The fly falling faster or slower; one that floats or hardly falls is left."""
    body = fly_body(fly, fluid)
    if floats_up(fly) or body.weight_n <= 0.0:
        return fly
    off = FALLS_OFF if fly.sink_m_s is None else JARRED_OFF
    off = fly.sink_by.off if fly.sink_by is not None else off
    sinks = (fly.sink_m_s or body.sink_m_s(fluid)) * exp(off * by)
    return fly.evolve(sink_m_s=max(0.005, min(3.0, sinks)))


def _with_flies_falling(leader: Leader, by: float, fluid: Fluid) -> Leader:
    for number, fly in leader.flies_above:
        joint, made = leader.joints[number], _falling(fly, by, fluid)
        if joint.dropper is not None:
            joint = joint.evolve(dropper=joint.dropper.evolve(fly=made))
        else:
            joint = joint.evolve(fly=made)
        leader = leader.with_joint(number, joint)
    return leader


def _shares(drawn: np.ndarray, places: np.ndarray) -> tuple[tuple[Unsure, float], ...]:
    """Of the spread of where it fished, what goes with each."""
    columns = np.column_stack([np.ones(len(drawn)), drawn])
    slopes = np.linalg.lstsq(columns, places, rcond=None)[0][1:]
    parts = slopes**2
    if parts.sum() < 1e-8:  # a tenth of a millimetre: nothing moves it
        return ()
    found = zip(UNSURE, map(float, parts / parts.sum()), strict=True)
    return tuple(sorted(found, key=lambda pair: -pair[1]))
