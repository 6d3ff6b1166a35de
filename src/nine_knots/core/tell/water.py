"""The Water stage in figures: the section, the rig's movie, every fly, the cords, the facts."""

from dataclasses import dataclass

import numpy as np

from nine_knots.core.base.measure import Fact, Measure
from nine_knots.core.base.quantity import Quantity
from nine_knots.core.base.units import Units
from nine_knots.core.judge.water import (
    depth_measure,
    drift_measure,
    floating_measure,
    free_drift_measure,
)
from nine_knots.core.judge.water_rules import rule_facts
from nine_knots.core.models.water.dry_fly import Drag, drag_of
from nine_knots.core.models.water.fished import (
    DRIFTS_FREELY,
    HOLDS,
    ON_BED_M,
    FlyOutcome,
    Outcome,
    outcome_of,
)
from nine_knots.core.models.water.fishing import Run, out_m, run_of, usual_count_s
from nine_knots.core.models.water.rig_in_water import LINE, WaterRig
from nine_knots.core.models.water.setups import (
    WORDS,
    Setup,
    WaterAsk,
    setup_of,
    stream_of,
    water_of,
)
from nine_knots.core.models.water.zone import zone_top_m
from nine_knots.core.physics.stream import Stream
from nine_knots.core.tell.ruler import Tick, ruler
from nine_knots.core.tell.water_facts import dry_facts, rig_facts
from nine_knots.core.tell.what_if import Aside, what_if
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.in_water import fly_body

PROFILE_POINTS = 12
USUAL_SLACK_M = 0.25  # of a soft cast, where none was simulated [G]
MOST_FRAMES = 150
DRIFTING = ("indicator", "under a dry", "on the leader", "tight line")


@dataclass(frozen=True, slots=True)
class Flow:
    """The stream's speed at a height above the bed."""

    height_m: float
    speed_m_s: float
    text: str


@dataclass(frozen=True, slots=True)
class Thread:
    """A part of the rig to draw: its piece (-1 the fly line), material and nodes from the top."""

    piece: int
    material: str
    sighter: bool
    dropper: bool
    nodes: tuple[int, ...]


@dataclass(frozen=True, slots=True)
class FlyReading:
    """One fly in words: where it fishes and when."""

    title: str
    node: int
    joint: int | None
    depth: Quantity
    share: str
    height: str
    zone: str
    carried: str


@dataclass(frozen=True, slots=True)
class ThingPlace:
    """A thing on the line and its node."""

    thing: int
    kind: str
    node: int


@dataclass(frozen=True, slots=True)
class WaterMovie:
    """The rig followed: frames (k, n, 2) in metres from below the top, z above the bed."""

    every_s: float
    frames: tuple[tuple[tuple[float, float], ...], ...]
    begins_s: float


@dataclass(frozen=True, slots=True)
class Lane:
    """A dry fly's slack being used up: share of it left at times in seconds."""

    slack: Quantity
    differs: str
    free_s: float | None
    left: tuple[tuple[float, float], ...]


@dataclass(frozen=True, slots=True)
class WaterReading:
    """All that the Water stage and its two cords show."""

    setup: Setup
    words: str
    said: dict[str, str]
    depth: Quantity
    zone_m: float
    flow: tuple[Flow, ...]
    depth_ticks: tuple[Tick, ...]
    movie: WaterMovie | None
    steady: tuple[tuple[float, float], ...] | None
    threads: tuple[Thread, ...]
    flies: tuple[FlyReading, ...]
    things: tuple[ThingPlace, ...]
    asides: tuple[Aside, ...]
    lane: Lane | None
    facts: tuple[Fact, ...]
    rules: tuple[Fact, ...]
    drift: Measure
    depth_cord: Measure


def water_reading(design: Design, ask: WaterAsk, units: Units, movie: bool = True) -> WaterReading:
    """Read a design in its water, with its movie or without; CannotCompute where it cannot."""
    setup = setup_of(design)
    if setup == "surface":
        return _on_top(design, ask, units)
    run = run_of(design, ask)
    outcome = outcome_of(run)
    asides, told = what_if(design, outcome, ask, units) if movie else ((), ())
    return WaterReading(
        setup=setup,
        words=WORDS[setup],
        said=_said(design, setup, ask, units),
        depth=units.depth(run.stream.depth_m),
        zone_m=outcome.zone_m,
        flow=_flow(run.stream, units),
        depth_ticks=ruler(run.stream.depth_m, units),
        movie=_movie(run) if movie else None,
        steady=_steady(run),
        threads=_threads(design, run.rig),
        flies=tuple(_fly(fly, outcome, units) for fly in outcome.flies),
        things=tuple(
            ThingPlace(thing, design.leader.attachments[thing].kind, node)
            for thing, node in run.rig.things.items()
        ),
        asides=asides,
        lane=None,
        facts=(*rig_facts(design, outcome, ask, units), *told),
        rules=rule_facts(design, units),
        drift=drift_measure(outcome, units),
        depth_cord=depth_measure(outcome, ask, units),
    )


def _said(design: Design, setup: Setup, ask: WaterAsk, units: Units) -> dict[str, str]:
    """How it is fished, in figures as they can be typed; only what this set-up goes by."""
    wanted = units.depth(ask.wanted_m).text if ask.wanted_m is not None else ""
    if setup == "surface":
        differs = drag_of(design.situation.water, 0.0, ask.differs_m_s).differs_m_s
        return {"differs": units.speed(differs).text}
    if setup == "tight line":
        out = units.length(units.snap_length(out_m(design, ask))).text
        tip = units.length(ask.tip_m).text
        return {"wanted": wanted, "lead": f"{ask.lead:.0%}", "tip": tip, "out": out}
    if setup == "strip":
        count = ask.count_s if ask.count_s is not None else usual_count_s(design)
        return {
            "wanted": wanted,
            "count": f"{count:g} s",
            "pull": units.length(ask.pull_m).text,
            "pull_speed": units.speed(ask.pull_m_s).text,
            "pause": f"{ask.pause_s:g} s",
            "line": units.length(ask.line_m).text,
        }
    if setup == "swing":
        return {"wanted": wanted, "line": units.length(ask.line_m).text}
    return {"wanted": wanted}


def _flow(stream: Stream, units: Units) -> tuple[Flow, ...]:
    heights = np.linspace(0.0, 1.0, PROFILE_POINTS) ** 1.5 * stream.depth_m
    return tuple(
        Flow(float(z), stream.speed_m_s(float(z)), units.speed(stream.speed_m_s(float(z))).text)
        for z in heights
    )


def _movie(run: Run) -> WaterMovie:
    places = run.history.places.copy()
    places[:, :, 0] -= places[:, :1, 0]
    skip = max(1, -(-len(places) // MOST_FRAMES))
    frames = np.round(places[::skip], 3)
    return WaterMovie(
        every_s=run.history.every_s * skip,
        frames=tuple(tuple((float(x), float(z)) for x, z in frame) for frame in frames),
        begins_s=run.begins_s,
    )


def _steady(run: Run) -> tuple[tuple[float, float], ...] | None:
    if run.settled is None or not run.settled.clear:
        return None
    return tuple((round(float(x), 3), round(float(z), 3)) for x, z in run.settled.places)


def _threads(design: Design, rig: WaterRig) -> tuple[Thread, ...]:
    found = []
    for part in rig.parts:
        if part.piece == LINE:
            found.append(Thread(LINE, "line", False, False, part.nodes))
            continue
        piece = design.leader.pieces[part.piece]
        strand = piece.strand
        dropper = design.leader.joints[part.piece].dropper
        if part.dropper and dropper is not None:
            found.append(Thread(part.piece, dropper.strand.material, False, True, part.nodes))
            continue
        sighter = strand.colour == "sighter"
        found.append(Thread(part.piece, strand.material, sighter, False, part.nodes))
    return tuple(found)


def _fly(fly: FlyOutcome, outcome: Outcome, units: Units) -> FlyReading:
    depth = outcome.run.stream.depth_m
    at_m = max(0.0, depth - fly.height_m)
    zone = "does not reach the zone"
    if fly.zone_after_s is not None:
        after, stays = units.seconds(fly.zone_after_s), units.seconds(fly.zone_for_s)
        zone = f"in the zone after {after}, for {stays}"
    return FlyReading(
        title=fly.title,
        node=fly.node,
        joint=fly.joint,
        depth=units.depth(at_m),
        share=f"{round(20.0 * at_m / depth) * 5}% of the depth",
        height="at the bed"
        if fly.height_m < ON_BED_M
        else f"{units.depth(fly.height_m).text} above the bed",
        zone=zone,
        carried=_carried(fly) if outcome.run.setup in DRIFTING else "",
    )


def _carried(fly: FlyOutcome) -> str:
    if fly.sinks_m_s is None:
        return "does not sink by itself"
    if fly.hold_ratio is None:
        return ""
    if fly.hold_ratio < DRIFTS_FREELY:
        return "so light that the stream carries it about"
    return (
        "the stream lifts it at times" if fly.hold_ratio <= HOLDS else "the stream hardly lifts it"
    )


def _on_top(design: Design, ask: WaterAsk, units: Units) -> WaterReading:
    day = design.situation
    stream = stream_of(day.water)
    slack = ask.slack_m if ask.slack_m is not None else USUAL_SLACK_M
    drag = drag_of(day.water, slack, ask.differs_m_s)
    water = water_of(day.water)
    hangs = sum(
        fly_body(fly, water.rho, water.mu).weight_n
        for _, fly in design.leader.flies_above
        if fly.bead is not None
    )
    return WaterReading(
        setup="surface",
        words=WORDS["surface"],
        said=_said(design, "surface", ask, units),
        depth=units.depth(stream.depth_m),
        zone_m=zone_top_m(stream.depth_m),
        flow=_flow(stream, units),
        depth_ticks=ruler(stream.depth_m, units),
        movie=None,
        steady=None,
        threads=(),
        flies=(),
        things=(),
        asides=(),
        lane=_lane(drag, units),
        facts=dry_facts(design, drag, units),
        rules=rule_facts(design, units),
        drift=free_drift_measure(drag, ask.slack_m is not None, units),
        depth_cord=floating_measure(design, hangs, units),
    )


def _lane(drag: Drag, units: Units) -> Lane:
    free = drag.free_s
    left: tuple[tuple[float, float], ...] = ()
    if free is not None and free > 0.0:
        times = np.linspace(0.0, free, 9)
        left = tuple((round(float(t), 3), round(1.0 - float(t) / free, 3)) for t in times)
    return Lane(units.length(drag.slack_m), units.speed(drag.differs_m_s).text, free, left)
