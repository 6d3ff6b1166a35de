"""On a tight line, led by the rod's tip."""

from dataclasses import dataclass

import numpy as np

from nine_knots.core.base.score import Finding, Reason, Score
from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.stepper import History, Leg, history
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.mechanics.tree import Array
from nine_knots.core.schools import line_leads
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.rig_in_water import RigInWater, rig_below
from nine_knots.core.water.scores import Found, water_score
from nine_knots.core.water.simulated import SimulatedTechnique
from nine_knots.core.water.slack_on_water import EVERY_S, drift_s
from nine_knots.core.water.surroundings import STILL_M_S, fluid_of, stream_of
from nine_knots.core.water.technique import RigInStream, lowest_fifth_m
from nine_knots.core.water.time_in_zone import FishedRig

SLOPE = 0.9  # of its length beyond the rod's tip, how far a tight line's fly lands away
LEAST_SHARE = 0.2  # of the drift in the zone [G]
UNDER_M = 0.1  # of the sighter under water, from which it shows too little [G]
WET_M = 0.01


class TightLineReason(Reason):
    """How soon a led rig is down, and for how long."""

    DRAGS_ON_BED = "drags on the bed", "too much"
    NEVER_DOWN = "never gets down", "too little"
    TOO_SHORT = "too short in the zone", "too little"
    IN_ZONE = "in the zone", "right"


@dataclass(frozen=True, slots=True)
class TightLineFinding(Finding):
    """What of its weight rests on the bed, how near to the bed it comes in m, seconds until it is
    down (None where it never is), in the zone and of drift; metres of the sighter under water where
    the flies are lowest."""

    contact: float
    lowest_m: float
    zone_after_s: float | None
    zone_for_s: float
    drift_s: float
    sighter_under_m: float

    @property
    def sighter_drowned(self) -> bool:
        """Whether so much of the sighter is under water that it shows too little."""
        return self.sighter_under_m >= UNDER_M


class TightLine(SimulatedTechnique):
    """Nothing floats it: the rod's tip leads it through the drift. What counts is how soon it is
    down, and for how long."""

    key = "on a tight line"
    place = 70
    top = "rod"
    drifts = True
    other_schools = ("indicator-nymph-tag", "nymph-under-dry")
    remedies = ("out", "shot", "bead", "tippet length", "tippet spool", "dropper", "lead")
    at_the_water = ("out", "lead", "shot", "bead")
    tuned = ("mark", "shot", "bead")

    def fits(self, design: Design) -> bool:
        """Where mono without a line is fished in moving water."""
        return not line_leads(design.leader) and design.situation.water.pace_m_s > STILL_M_S

    def fish(self, design: Design, ask: WaterQuestion) -> RigInStream:
        """Lobbed up the stream, and led down it at a share of its speed."""
        day = design.situation
        stream, fluid = stream_of(day.water), fluid_of(day.water)
        top_m = max(0.0, design.leader.length_m - out_m(design, ask))
        rig = rig_below(design.leader, day.fly, fluid, top_m)
        lasts = drift_s(stream, self.drift_m(design, ask))
        start = _from_the_tip(rig, stream, ask)
        legs = (Leg(lasts, ask.lead * stream.surface_m_s),)

        def follow() -> History:
            return history(rig.tree, start, stream, legs, fluid, every_s=EVERY_S)

        return RigInStream(self, rig, stream, fluid, follow, None, None, lasts, lasts)

    def fishes_at_m(self, heights: Array, late: slice) -> float:
        """Where it comes lowest: a led line swings up at the end."""
        return lowest_fifth_m(heights)

    def drift(self, fished: FishedRig) -> Score:
        """The drift score; on its edge where the sighter goes under and shows nothing."""
        drowned = sighter_under_m(fished) >= UNDER_M
        return water_score("drift", self.drifted(fished), drowned)

    def drifted(self, fished: FishedRig) -> Found:
        """Dragging, never down, or so long in the zone."""
        fly = fished.lowest
        share = fly.zone_for_s / fished.drift_s
        reason, off = TightLineReason.IN_ZONE, max(-1.4, min(0.6, 2.5 * (share - 0.6)))
        if fished.drags:
            reason, off = TightLineReason.DRAGS_ON_BED, 1.3
        elif fly.zone_after_s is None:
            reason, off = TightLineReason.NEVER_DOWN, -1.5
        elif share < LEAST_SHARE:
            reason = TightLineReason.TOO_SHORT
        finding = TightLineFinding(
            reason=reason,
            contact=fished.contact,
            lowest_m=fly.lowest_m,
            zone_after_s=fly.zone_after_s,
            zone_for_s=fly.zone_for_s,
            drift_s=fished.drift_s,
            sighter_under_m=sighter_under_m(fished),
        )
        return Found(finding, off)


def sighter_under_m(fished: FishedRig) -> float:
    """How much of the sighter is under water, in m, where the flies are lowest."""
    history, rig = fished.fishing.history, fished.fishing.rig
    places = history.places[int(history.places[:, rig.lowest.node, 1].argmin())]
    under = 0.0
    for part in rig.parts:
        if not part.sighter or part.dropper:
            continue
        reach = rig.tree.reach[list(part.nodes)]
        wet = places[list(part.nodes), 1] < fished.fishing.stream.depth_m - WET_M
        if wet.any():
            under += float(reach[-1] - reach[int(wet.argmax())])
    return under


def out_m(design: Design, ask: WaterQuestion) -> float:
    """What is out beyond the rod's tip on a tight line: it reaches the bed at a slant."""
    usual = 1.15 * ask.tip_m + 1.1 * design.situation.water.depth_m
    return min(design.leader.length_m, ask.out_m or usual)


def _from_the_tip(rig: RigInWater, stream: Stream, ask: WaterQuestion) -> Array:
    """From the rod's tip to where the fly lands upstream: a share of as far as it reaches, the
    rest in curves; what is beyond the slant down to the water lies on it."""
    reach, whole = rig.tree.reach, rig.length_m
    drop = min(ask.tip_m, SLOPE * whole)
    far = ask.lands * (whole**2 - drop**2) ** 0.5
    along = reach / whole
    z = np.maximum(stream.depth_m + ask.tip_m - drop * along, stream.depth_m)
    return np.stack([-far * along, z], axis=1)


TIGHT_LINE = TightLine()
