"""What a followed rig did: where each fly fishes, how soon, how long, and how it is carried.

Bands: touching from 5 % of the weight on the bed, dragging from 30 % or below .65 of the
surface's speed, anchored below .2; .75 to .90 is an indicator's natural speed; a line to 25° from
upright is in good contact, beyond 45° too light or too long; what falls faster than four times
the stream's shear velocity holds its place, slower than one and a half times drifts freely [P, G].
"""

from dataclasses import dataclass
from math import atan2, degrees

import numpy as np

from nine_knots.core.base.cached_field import cached_field
from nine_knots.core.domain.in_water import fly_body
from nine_knots.core.mechanics.tree import Array
from nine_knots.core.water.technique import RigInStream
from nine_knots.core.water.zone import zone_top_m

TOUCHES, DRAGS, ANCHORED = 0.05, 0.30, 0.2
DRAGGING_SHARE, NATURAL = 0.65, (0.75, 0.90)
GOOD_ANGLE, WIDE_ANGLE = 25.0, 45.0
DRIFTS_FREELY, HOLDS = 1.5, 4.0
ON_BED_M = 0.03
JIGS_M = 0.05  # a fly that rises and falls by more jigs [G]


@dataclass(frozen=True)
class FishedFly:
    """One fly of a rig fished: its height above the bed where it fishes, and its time in the zone.

    Each figure is worked out when it is asked for: a drift that has settled tells the height
    without being followed.
    """

    fishing: RigInStream
    number: int
    zone_m: float

    @property
    def title(self) -> str:
        """The fly's."""
        return self.fishing.rig.flies[self.number].title

    @property
    def node(self) -> int:
        """Where it hangs in the rig's tree."""
        return self.fishing.rig.flies[self.number].node

    @property
    def joint(self) -> int | None:
        """The leader's joint that it hangs at; None for the point fly."""
        return self.fishing.rig.flies[self.number].joint

    @cached_field
    def height_m(self) -> float:
        """Above the bed, where it fishes."""
        fishing = self.fishing
        if fishing.settled is not None:
            height = float(fishing.settled.places[self.node, 1])
        else:
            height = fishing.technique.fishes_at_m(self._heights, fishing.late)
        return max(0.0, height)

    @property
    def lowest_m(self) -> float:
        """The least height it comes to."""
        return max(0.0, float(self._heights.min()))

    @property
    def highest_m(self) -> float:
        """The greatest height while it fishes."""
        return float(self._heights[self.fishing.late].max())

    @cached_field
    def zone_after_s(self) -> float | None:
        """Until it is down in the zone; None where it never comes down to it."""
        inside = self._heights <= self.zone_m
        return float(np.argmax(inside)) * self.fishing.history.every_s if inside.any() else None

    @property
    def zone_for_s(self) -> float:
        """How long it is in the zone."""
        return float((self._heights <= self.zone_m).sum()) * self.fishing.history.every_s

    @cached_field
    def sinks_m_s(self) -> float | None:
        """How fast it falls by itself; None where it does not."""
        fluid = self.fishing.fluid
        body = fly_body(self.fishing.rig.flies[self.number].fly, fluid)
        return body.sink_m_s(fluid) if body.weight_n > 1e-7 else None

    @property
    def hold_ratio(self) -> float | None:
        """Its fall over the stream's shear velocity."""
        shear, sinks = self.fishing.stream.shear_m_s, self.sinks_m_s
        return sinks / shear if sinks is not None and shear > 1e-6 else None

    @property
    def _heights(self) -> Array:
        heights: Array = self.fishing.history.places[:, self.node, 1]
        return heights


@dataclass(frozen=True)
class FishedRig:
    """A rig fished, in figures.

    ``share`` is the drift's speed over the surface's, ``contact`` what the bed carries over what
    the rig weighs in the water, ``angle_deg`` the line's from upright.
    """

    fishing: RigInStream
    zone_m: float
    drift_s: float
    flies: tuple[FishedFly, ...]
    share: float | None
    contact: float
    angle_deg: float
    pulled_n: float
    goes_under: bool

    @cached_field
    def lowest(self) -> FishedFly:
        """The fly that fishes lowest, by which the rig is judged: the point fly, or the heavy one
        of a rig that has its heaviest first."""
        return min(reversed(self.flies), key=lambda fly: fly.height_m)

    @property
    def on_bed(self) -> bool:
        """Whether something of the rig touches the bed."""
        return self.contact > TOUCHES or self.lowest.height_m < ON_BED_M

    @property
    def drags(self) -> bool:
        """Whether the bed holds it back."""
        slow = self.share is not None and self.share < DRAGGING_SHARE
        return self.contact > DRAGS or (slow and self.on_bed)


def fish_rig(fishing: RigInStream) -> FishedRig:
    """Read a fishing."""
    zone_m = zone_top_m(fishing.stream.depth_m)
    weight_n = fishing.rig.tree.body_weight_n
    if fishing.settled is not None:
        share: float | None = fishing.settled.speed_m_s / fishing.stream.surface_m_s
        floor, top = fishing.settled.floor_n, np.array(fishing.settled.top_n)
    else:
        late = fishing.late
        share = None
        floor = float(fishing.history.floor_n[late].sum(axis=1).mean())
        top = fishing.history.top_n[late].mean(axis=0)
    pulled = float(-top[1])
    return FishedRig(
        fishing=fishing,
        zone_m=zone_m,
        drift_s=fishing.drift_s,
        flies=tuple(FishedFly(fishing, number, zone_m) for number in range(len(fishing.rig.flies))),
        share=share,
        contact=min(1.0, floor / weight_n) if weight_n > 0.0 else 0.0,
        angle_deg=degrees(atan2(abs(float(top[0])), max(1e-12, pulled))),
        pulled_n=pulled,
        goes_under=fishing.floats is not None and pulled > fishing.floats.carries_n,
    )
