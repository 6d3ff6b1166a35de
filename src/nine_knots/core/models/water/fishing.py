"""A design fished: its rig laid on the water by its set-up, followed, and its steady shape."""

from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property

import numpy as np

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.models.water.rig_in_water import WaterRig, floating_fly, rig_below
from nine_knots.core.models.water.setups import (
    STILL_M_S,
    USUAL_ASK,
    Setup,
    WaterAsk,
    setup_of,
    stream_of,
    water_of,
)
from nine_knots.core.physics.floats import Float
from nine_knots.core.physics.fluid import Fluid
from nine_knots.core.physics.steady import NEAR_BED_M, drifting
from nine_knots.core.physics.stepper import History, Leg, history
from nine_knots.core.physics.stream import Stream
from nine_knots.core.physics.tree import SEGMENT_M, Array
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.in_water import fly_float, indicator_float
from nine_knots.core.trade.schools import line_leads
from nine_knots.core.trade.tackle import line_profile
from nine_knots.core.trade.tackle.sink_classes import SINK_CLASS_M_S

DRIFT_M = 6.0  # a drift before it is lifted and cast again [G]
SHORTEST_S, LONGEST_S = 5.0, 30.0
STILL_S = 25.0  # followed in still water
EVERY_S = 0.1
COARSE_STEP_S = 0.02  # with a fly line in the water
PULLS = 8
SETTLES_M, SETTLES_S = 15.0, (10.0, 40.0)  # within which a drift settles [G]
HANG_S = 6.0  # followed on the dangle
LANDS = 0.75  # of its length, how far beyond its float a rig lands: the rest lies in curves [G]
SLOPE = 0.9  # of its length beyond the rod's tip, how far a tight line's fly lands away
LINE_TIP = Float(diameter_m=0.012, mass_kg=2e-4, lift_n=0.02, factor=30.0)
"""The tip of a floating line and the line behind it: it goes with the surface [G]."""


@dataclass(frozen=True)
class Settled:
    """A drift that has settled: speed (m/s), places (n, 2) from below the top, the force on the
    top (N), what the bed carries (N), and whether it is clear of the bed."""

    speed_m_s: float
    places: Array
    top_n: tuple[float, float]
    floor_n: float
    clear: bool


@dataclass(frozen=True)
class Run:
    """A rig in the stream: history, and what a drift under a float settles to.

    ``begins_s`` is when the strip or the swing begins, the end of the drift otherwise.
    """

    setup: Setup
    rig: WaterRig
    stream: Stream
    water: Fluid
    follow: Callable[[], History]
    floats: Float | None
    settled: Settled | None
    begins_s: float

    @cached_property
    def history(self) -> History:
        """The rig followed; only when it is asked for, since a search often need not know."""
        return self.follow()


def drift_s(stream: Stream) -> float:
    """Seconds of a drift of six metres at the surface's speed."""
    if stream.surface_m_s < STILL_M_S:
        return STILL_S
    return min(LONGEST_S, max(SHORTEST_S, DRIFT_M / stream.surface_m_s))


def top_of(design: Design, setup: Setup, ask: WaterAsk) -> tuple[float, int | None, Float | None]:
    """Where on the leader the rig in the water begins, the joint that floats it, and its float."""
    leader = design.leader
    if setup == "indicator":
        indicator = leader.indicator
        assert indicator is not None
        water = water_of(design.situation.water)
        floats = indicator_float(indicator, water.rho)
        return leader.length_m - indicator.above_end_m, None, floats
    if setup == "under a dry":
        found = floating_fly(leader)
        assert found is not None
        return leader.joints_at_m[found[0]], found[0], fly_float(found[1])
    if setup == "tight line":
        return max(0.0, leader.length_m - out_m(design, ask)), None, None
    return 0.0, None, LINE_TIP


def out_m(design: Design, ask: WaterAsk) -> float:
    """What is out beyond the rod's tip on a tight line: it reaches the bed at a slant."""
    usual = 1.15 * ask.tip_m + 1.1 * design.situation.water.depth_m
    return min(design.leader.length_m, ask.out_m or usual)


def run_of(design: Design, ask: WaterAsk = USUAL_ASK) -> Run:
    """Follow a design as it is fished; CannotCompute where the model cannot.

    A fly on the surface is not followed: ``surface`` asks for the dry fly's own model.
    """
    setup = setup_of(design)
    if setup == "surface":
        raise CannotCompute(
            "A floating fly is not followed down.", where="wish", mend="Ask for its drift."
        )
    if setup in ("strip", "swing"):
        return _on_the_line(design, setup, ask)
    stream, water = stream_of(design.situation.water), water_of(design.situation.water)
    top_m, joint, floats = top_of(design, setup, ask)
    fly = design.situation.fly
    rig = rig_below(design.leader, fly, water, top_m, skip_joint=joint)
    lasts = drift_s(stream)
    settled = None
    if setup == "tight line":
        start = _from_the_tip(rig, stream, ask.tip_m)
        legs = (Leg(lasts, ask.lead * stream.surface_m_s),)
    elif setup == "drop":
        start = _on_the_surface(rig, stream, 1.0)
        legs = (Leg(lasts, 0.0),)
    else:
        start = _on_the_surface(rig, stream, -LANDS)
        legs = (Leg(lasts, free=True),)
        settled = settled_of(rig, floats, stream, water, start)

    def follow() -> History:
        return history(rig.tree, start, stream, legs, water.rho, water.mu, floats, every_s=EVERY_S)

    return Run(setup, rig, stream, water, follow, floats, settled, lasts)


def settled_of(
    rig: WaterRig, floats: Float | None, stream: Stream, water: Fluid, start: Array
) -> Settled | None:
    """What a drift settles to, by the sweep, or by following it where that finds nothing clear of
    the bed; None in still water, where nothing drifts."""
    if floats is None or stream.surface_m_s < STILL_M_S:
        return None
    try:
        speed, shape = drifting(floats, rig.tree, stream, water.rho, water.mu, NEAR_BED_M)
    except CannotCompute:
        return _followed(rig, floats, stream, water, start)
    return Settled(speed, shape.places, shape.top_n, 0.0, clear=True)


def _followed(rig: WaterRig, floats: Float, stream: Stream, water: Fluid, start: Array) -> Settled:
    lasts = min(SETTLES_S[1], max(SETTLES_S[0], SETTLES_M / stream.surface_m_s))
    legs = (Leg(lasts, free=True),)
    end = history(
        rig.tree,
        start,
        stream,
        legs,
        water.rho,
        water.mu,
        floats,
        every_s=lasts / 20.0,
        step_s=COARSE_STEP_S,
    )
    places = end.places[-1] - end.places[-1, 0] * np.array([1.0, 0.0])
    top = end.top_n[-3:].mean(axis=0)
    return Settled(
        speed_m_s=float(end.speed[-3:].mean()),
        places=places,
        top_n=(float(top[0]), float(top[1])),
        floor_n=float(end.floor_n[-3:].sum(axis=1).mean()),
        clear=False,
    )


def _on_the_surface(rig: WaterRig, stream: Stream, way: float) -> Array:
    """On the surface, up the stream (-) or down it (+) of the top; straight at 1, else slack."""
    reach = rig.tree.reach
    return np.stack([way * reach, np.full_like(reach, stream.depth_m)], axis=1)


def _from_the_tip(rig: WaterRig, stream: Stream, tip_m: float) -> Array:
    """Straight from the rod's tip to where the fly lands upstream, the rest on the surface."""
    reach, whole = rig.tree.reach, rig.length_m
    drop = min(tip_m, SLOPE * whole)
    slant = drop / whole
    x = -reach * (1.0 - slant**2) ** 0.5
    z = np.maximum(stream.depth_m + tip_m - reach * slant, stream.depth_m)
    return np.stack([x, z], axis=1)


def _on_the_line(design: Design, setup: Setup, ask: WaterAsk) -> Run:
    """Line and leader straight below the rod's tip; sunk, then stripped or held."""
    day = design.situation
    stream, water = stream_of(day.water), water_of(day.water)
    rig = _line_and_rig(design, water, ask)
    start = _on_the_surface(rig, stream, 1.0)
    if setup == "swing":
        sinks = min(8.0, max(2.0, 0.5 * DRIFT_M / stream.surface_m_s))
        legs = (Leg(sinks, stream.surface_m_s), Leg(HANG_S, 0.0))
    else:
        sinks = ask.count_s if ask.count_s is not None else usual_count_s(design)
        held = 0.0  # the rod's tip stands; in a current the line hangs below it
        pull = Leg(ask.pull_m / ask.pull_m_s, -ask.pull_m_s)
        pause = (Leg(ask.pause_s, 0.0),) if ask.pause_s > 0.0 else ()
        first = (Leg(sinks, held),) if sinks > 0.0 else ()
        legs = (*first, *((pull, *pause) * PULLS))

    def follow() -> History:
        return history(
            rig.tree,
            start,
            stream,
            legs,
            water.rho,
            water.mu,
            every_s=EVERY_S,
            step_s=COARSE_STEP_S,
        )

    return Run(setup, rig, stream, water, follow, None, None, sinks)


def _line_and_rig(design: Design, water: Fluid, ask: WaterAsk) -> WaterRig:
    """What is out beyond the rod's tip: line and leader, or as much mono where that is thrown."""
    leader, day = design.leader, design.situation
    if not line_leads(leader):
        top_m = max(0.0, leader.length_m - ask.line_m)
        return rig_below(leader, day.fly, water, top_m, segment_m=2.0 * SEGMENT_M)
    line = line_profile(day.line)
    return rig_below(leader, day.fly, water, 0.0, line, ask.line_m, segment_m=2.0 * SEGMENT_M)


def usual_count_s(design: Design) -> float:
    """Seconds counted down: to half the depth at the line's own sinking speed, half a minute at
    most; a floating line's fly has eight seconds."""
    day = design.situation
    if day.line.sinking == "floating":
        return 8.0
    from_class = SINK_CLASS_M_S[day.line.sinking]
    return float(min(30.0, round(0.6 * day.water.depth_m / from_class)))
