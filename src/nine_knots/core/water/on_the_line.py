"""Ways in which line and leader hang below the rod's tip: sunk, then moved by the line."""

from abc import abstractmethod
from typing import ClassVar

from nine_knots.core.domain.design import Design
from nine_knots.core.domain.in_water import fly_body
from nine_knots.core.domain.tackle import line_profile
from nine_knots.core.domain.tackle.sink_classes import SINK_CLASS_M_S
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.mechanics.stepper import History, Leg, history
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.mechanics.tree import SEGMENT_M
from nine_knots.core.schools import line_leads
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.remedy_kinds import What
from nine_knots.core.water.rig_in_water import RigInWater, rig_below
from nine_knots.core.water.scores import DepthReason, Found
from nine_knots.core.water.simulated import SimulatedTechnique, depth_finding, down_m
from nine_knots.core.water.slack_on_water import EVERY_S, drift_s, on_the_surface
from nine_knots.core.water.surroundings import fluid_of, stream_of
from nine_knots.core.water.technique import RigInStream
from nine_knots.core.water.time_in_zone import ON_BED_M, TOUCHES, FishedRig

COARSE_STEP_S = 0.02  # with a fly line in the water
FLOATING_COUNT_S, LONGEST_COUNT_S = 8.0, 30.0
HALF_DOWN = 0.6  # of the depth, to be counted down to at a steady fall: it begins slower [G]
SHALLOW_SHARE = 0.15  # of the depth, above which a sunk streamer hardly swims under the surface
PLOUGHS_M = 0.05
LIES = 0.15  # of line and leader, from which they foul on the bed [P]


class OnTheLine(SimulatedTechnique):
    """Line and leader straight below the rod tip; sunk, then stripped or held. Any depth is
    right but the bed: which one fish want is the angler's to say.
    """

    remedies: ClassVar[tuple[What, ...]] = (
        "shot",
        "fly",
        "bead",
        "sink tip",
        "leader length",
        "tippet length",
        "tippet spool",
        "dropper",
    )
    at_the_water: ClassVar[tuple[What, ...]] = ("tippet length", "shot", "bead")
    shorter_sinks: ClassVar[bool] = True

    @abstractmethod
    def legs(
        self, design: Design, stream: Stream, ask: WaterQuestion
    ) -> tuple[float, tuple[Leg, ...]]:
        """Seconds until it is fished, and what the line's upper end does from the first on."""

    def fish(self, design: Design, ask: WaterQuestion) -> RigInStream:
        """Laid straight down the stream, and led through its legs."""
        day = design.situation
        stream, fluid = stream_of(day.water), fluid_of(day.water)
        rig = _line_and_rig(design, fluid, ask)
        start = on_the_surface(rig, stream, 1.0)
        begins, legs = self.legs(design, stream, ask)

        def follow() -> History:
            return history(rig.tree, start, stream, legs, fluid, None, EVERY_S, COARSE_STEP_S)

        return RigInStream(self, rig, stream, fluid, follow, None, None, begins, drift_s(stream))

    def deep(self, fished: FishedRig) -> Found:
        """How far down it swims, in how much water."""
        share = down_m(fished) / fished.fishing.stream.depth_m
        if self.ploughs(fished):
            return Found(depth_finding(fished, DepthReason.PLOUGHS_BED), 1.3)
        if _share_on_bed(fished) > LIES:
            return Found(depth_finding(fished, DepthReason.LINE_ON_BED), 1.2)
        shallow = share < SHALLOW_SHARE
        reason = DepthReason.UNDER_SURFACE if shallow else DepthReason.IN_THE_WATER
        return Found(depth_finding(fished, reason), max(-0.95, min(0.95, 2.2 * (share - 0.5))))

    def ploughs(self, fished: FishedRig) -> bool:
        """Whether line and fly go along the bed."""
        return fished.contact > TOUCHES and fished.lowest.height_m < PLOUGHS_M


def _share_on_bed(fished: FishedRig) -> float:
    """How much of line and leader lies on the bed, on the mean of the time in which it fishes."""
    fishing = fished.fishing
    return float((fishing.history.places[fishing.late, :, 1] < ON_BED_M).mean())


def _line_and_rig(design: Design, fluid: Fluid, ask: WaterQuestion) -> RigInWater:
    """What is out beyond the rod's tip: line and leader, or as much mono where that is thrown."""
    leader, day = design.leader, design.situation
    if not line_leads(leader):
        top_m = max(0.0, leader.length_m - ask.line_m)
        return rig_below(leader, day.fly, fluid, top_m, segment_m=2.0 * SEGMENT_M)
    line = line_profile(day.line)
    return rig_below(leader, day.fly, fluid, 0.0, line, ask.line_m, segment_m=2.0 * SEGMENT_M)


def usual_count_s(design: Design) -> float:
    """Seconds counted down: to about half the depth at the line's own sinking speed, half a minute
    at most; on a floating line or mono at the fly's, eight seconds at most."""
    day = design.situation
    if day.line.sinking == "floating" or not line_leads(design.leader):
        fluid = fluid_of(day.water)
        body = fly_body(day.fly, fluid)
        falls = body.sink_m_s(fluid) if body.weight_n > 1e-7 else 0.0
        to_half = HALF_DOWN * day.water.depth_m / max(falls, 1e-3)
        return float(round(min(FLOATING_COUNT_S, max(1.0, to_half))))
    from_class = SINK_CLASS_M_S[day.line.sinking]
    return float(min(LONGEST_COUNT_S, round(HALF_DOWN * day.water.depth_m / from_class)))
