"""The section beside the drift in figures: the stream, the rig's movie and threads, its flies."""

import numpy as np

from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.water.rig_in_water import LINE, RigInWater
from nine_knots.core.water.technique import RigInStream
from nine_knots.core.water.time_in_zone import DRIFTS_FREELY, HOLDS, ON_BED_M, FishedFly, FishedRig
from nine_knots.words.water.reading import Flow, FlyReading, RigThread, WaterMovie

PROFILE_POINTS = 12
MOST_FRAMES = 150


def flow(stream: Stream, units: Units) -> tuple[Flow, ...]:
    """The stream's speed at heights that stand closer near the bed."""
    heights = np.linspace(0.0, 1.0, PROFILE_POINTS) ** 1.5 * stream.depth_m
    return tuple(
        Flow(float(z), stream.speed_m_s(float(z)), units.speed(stream.speed_m_s(float(z))).text)
        for z in heights
    )


def movie_of(fishing: RigInStream) -> WaterMovie:
    """The rig followed, in frames from below its top; so many at most."""
    places = fishing.history.places.copy()
    places[:, :, 0] -= places[:, :1, 0]
    skip = max(1, -(-len(places) // MOST_FRAMES))
    frames = np.round(places[::skip], 3)
    return WaterMovie(
        every_s=fishing.history.every_s * skip,
        frames=tuple(tuple((float(x), float(z)) for x, z in frame) for frame in frames),
        begins_s=fishing.begins_s,
    )


def steady(fishing: RigInStream) -> tuple[tuple[float, float], ...] | None:
    """The steady drift, where there is one clear of the bed."""
    if fishing.settled is None or not fishing.settled.clear:
        return None
    return tuple((round(float(x), 3), round(float(z), 3)) for x, z in fishing.settled.places)


def threads(design: Design, rig: RigInWater) -> tuple[RigThread, ...]:
    """The parts of the rig to draw, from the top down."""
    found = []
    for part in rig.parts:
        if part.piece == LINE:
            found.append(RigThread(LINE, "line", False, False, part.nodes))
            continue
        piece = design.leader.pieces[part.piece]
        strand = piece.strand
        dropper = design.leader.joints[part.piece].dropper
        if part.dropper and dropper is not None:
            found.append(RigThread(part.piece, dropper.strand.material, False, True, part.nodes))
            continue
        sighter = strand.colour == "sighter"
        found.append(RigThread(part.piece, strand.material, sighter, False, part.nodes))
    return tuple(found)


def fly_reading(fly: FishedFly, fished: FishedRig, units: Units) -> FlyReading:
    """One fly in words."""
    depth = fished.fishing.stream.depth_m
    at_m = max(0.0, depth - fly.height_m)
    drifts = fished.fishing.technique.drifts
    zone = "does not reach the zone" if drifts else ""
    if drifts and fly.zone_after_s is not None:
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
        carried=_carried(fly) if drifts else "",
    )


def _carried(fly: FishedFly) -> str:
    if fly.sinks_m_s is None:
        return "does not sink by itself"
    if fly.hold_ratio is None:
        return ""
    if fly.hold_ratio < DRIFTS_FREELY:
        return "so light that the current carries it"
    return (
        "the stream lifts it at times" if fly.hold_ratio <= HOLDS else "the stream hardly lifts it"
    )
