"""What a followed rig did: where each fly fishes, how soon, how long, and how it is carried.

Bands: touching from 5 % of the weight on the bed, dragging from 30 % or below .65 of the
surface's speed, anchored below .2; .75 to .90 is an indicator's natural speed; a line to 25° from
upright is in good contact, beyond 45° too light or too long; what falls faster than four times
the stream's shear velocity holds its place, slower than one and a half times drifts freely [P, G].
"""

from dataclasses import dataclass
from math import atan2, degrees

import numpy as np

from nine_knots.core.water.hung import fly_body
from nine_knots.core.water.run import Run, drift_s, zone_top_m
from nine_knots.core.water.tree import Array

TOUCHES, DRAGS, ANCHORED = 0.05, 0.30, 0.2
DRAGGING_SHARE, NATURAL = 0.65, (0.75, 0.90)
GOOD_ANGLE, WIDE_ANGLE = 25.0, 45.0
DRIFTS_FREELY, HOLDS = 1.5, 4.0
ON_BED_M = 0.03
SETTLED_SHARE = 0.25  # of a drift, at its end, over which it is taken as settled
JIGS_M = 0.05  # a fly that rises and falls by more jigs [G]


@dataclass(frozen=True, slots=True)
class FlyOutcome:
    """One fly: its height above the bed where it fishes, and its time in the zone.

    ``highest_m`` and ``lowest_m`` bound it while it fishes; ``zone_after_s`` is None where it
    never comes down to the zone.
    """

    title: str
    node: int
    joint: int | None
    height_m: float
    lowest_m: float
    highest_m: float
    zone_after_s: float | None
    zone_for_s: float
    sinks_m_s: float | None
    hold_ratio: float | None


@dataclass(frozen=True)
class Outcome:
    """A run in figures. ``share`` is the drift's speed over the surface's, ``contact`` what the
    bed carries over what the rig weighs in the water, ``angle_deg`` the line's from upright."""

    run: Run
    zone_m: float
    drift_s: float
    flies: tuple[FlyOutcome, ...]
    share: float | None
    contact: float
    angle_deg: float
    pulled_n: float
    goes_under: bool

    @property
    def lowest(self) -> FlyOutcome:
        """The point fly."""
        return self.flies[-1]

    @property
    def on_bed(self) -> bool:
        """Whether something of the rig touches the bed."""
        return self.contact > TOUCHES or self.lowest.height_m < ON_BED_M

    @property
    def drags(self) -> bool:
        """Whether the bed holds it back."""
        slow = self.share is not None and self.share < DRAGGING_SHARE
        return self.contact > DRAGS or (slow and self.on_bed)


def outcome_of(run: Run) -> Outcome:
    """Read a run."""
    history, stream = run.history, run.stream
    zone_m = zone_top_m(stream.depth_m)
    weight_n = run.rig.tree.body_weight_n
    late = _late(run)
    floor = float(history.floor_n[late].sum(axis=1).mean())
    share, top = None, history.top_n[late].mean(axis=0)
    if run.settled is not None:
        top = np.array(run.settled.top_n)
        share = run.settled.speed_m_s / stream.surface_m_s
        floor = run.settled.floor_n
    pulled = float(-top[1])
    return Outcome(
        run=run,
        zone_m=zone_m,
        drift_s=drift_s(stream),
        flies=tuple(_fly(run, number, zone_m, late) for number in range(len(run.rig.flies))),
        share=share,
        contact=min(1.0, floor / weight_n) if weight_n > 0.0 else 0.0,
        angle_deg=degrees(atan2(abs(float(top[0])), max(1e-12, pulled))),
        pulled_n=pulled,
        goes_under=run.floats is not None and pulled > run.floats.carries_n,
    )


def _late(run: Run) -> slice:
    """The frames over which it fishes: the strip, the end of a swing, the end of a drift."""
    count = len(run.history.places)
    begins = int(run.begins_s / run.history.every_s)
    if run.setup == "strip":
        return slice(min(begins, count - 1), count)
    if run.setup == "swing":
        return slice(max(0, count - 10), count)
    return slice(int((1.0 - SETTLED_SHARE) * count), count)


def _fly(run: Run, number: int, zone_m: float, late: slice) -> FlyOutcome:
    hung = run.rig.flies[number]
    every = run.history.every_s
    heights: Array = run.history.places[:, hung.node, 1]
    fishing = heights[late]
    height = float(fishing.mean())
    if run.setup == "tight line":
        # a led line swings up at the end: it fishes where it comes lowest
        height = float(np.sort(heights)[: max(1, len(heights) // 5)].mean())
    if run.settled is not None:
        height = float(run.settled.places[hung.node, 1])
    inside = heights <= zone_m
    first = int(np.argmax(inside)) if inside.any() else None
    body = fly_body(hung.fly, run.water.rho, run.water.mu)
    sinks = body.sink_m_s(run.water.rho, run.water.mu) if body.weight_n > 1e-7 else None
    shear = run.stream.shear_m_s
    return FlyOutcome(
        title=hung.title,
        node=hung.node,
        joint=hung.joint,
        height_m=max(0.0, height),
        lowest_m=max(0.0, float(heights.min())),
        highest_m=float(fishing.max()),
        zone_after_s=None if first is None else first * every,
        zone_for_s=float(inside.sum()) * every,
        sinks_m_s=sinks,
        hold_ratio=sinks / shear if sinks is not None and shear > 1e-6 else None,
    )
