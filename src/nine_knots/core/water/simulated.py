"""Techniques whose rig is followed down: how deep it fishes, and how it drifts."""

from abc import abstractmethod
from collections.abc import Iterator
from dataclasses import replace

from nine_knots.core.base.score import Score
from nine_knots.core.domain.design import Design
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.scores import (
    DepthFinding,
    DepthReason,
    Found,
    OtherFlyDepth,
    water_score,
)
from nine_knots.core.water.technique import Technique
from nine_knots.core.water.time_in_zone import FishedRig, fish_rig
from nine_knots.core.water.zone import zone_top_m

NEAR_SHARE, NEAR_LEAST_M = 0.12, 0.06  # of a wanted depth, within which it is met


class SimulatedTechnique(Technique):
    """A technique whose rig is followed down through the water."""

    def measures(self, design: Design, ask: WaterQuestion) -> Iterator[Score]:
        """Depth, which a settled drift tells at once, and then the drift."""
        fished = fish_rig(self.fish(design, ask))
        yield self.depth(fished, ask)
        yield self.drift(fished)

    @abstractmethod
    def drifted(self, fished: FishedRig) -> Found:
        """How it drifts."""

    def drift(self, fished: FishedRig) -> Score:
        """The drift score."""
        return water_score("drift", self.drifted(fished))

    def depth(self, fished: FishedRig, ask: WaterQuestion) -> Score:
        """The depth score: the lowest fly against the depth that was asked for, or as is usual."""
        if ask.wanted_m is not None:
            return water_score("depth", _against_wanted(fished, ask.wanted_m))
        return water_score("depth", self.deep(fished))

    def deep(self, fished: FishedRig) -> Found:
        """Where the lowest fly fishes, against the zone at the bed."""
        fly, stream = fished.lowest, fished.fishing.stream
        if fished.drags and not self.may_lie:
            return Found(depth_finding(fished, DepthReason.ON_BED), 1.3)
        if fished.on_bed:
            return Found(depth_finding(fished, DepthReason.TICKS_BED), 0.7)
        zone = zone_top_m(stream.depth_m)
        off = 1.0 - 2.0 * fly.height_m / zone
        if fly.height_m > zone:
            return Found(depth_finding(fished, DepthReason.ABOVE_ZONE), max(-2.5, off))
        if fished.fishing.technique.drifts and fly.zone_after_s is None:
            late = depth_finding(fished, DepthReason.LATE_IN_ZONE)
            return Found(replace(late, deepest_m=stream.depth_m - fly.lowest_m), -1.05)
        return Found(depth_finding(fished, DepthReason.IN_ZONE), off)


def depth_finding(fished: FishedRig, reason: DepthReason) -> DepthFinding:
    """The depths of a rig's flies, for a reason."""
    water_m, lowest = fished.fishing.stream.depth_m, fished.lowest
    others = (fly for fly in fished.flies if fly.number != lowest.number)
    return DepthFinding(
        reason=reason,
        down_m=down_m(fished),
        height_m=lowest.height_m,
        water_m=water_m,
        zone_m=zone_top_m(water_m),
        others=tuple(OtherFlyDepth(fly.title, max(0.0, water_m - fly.height_m)) for fly in others),
    )


def down_m(fished: FishedRig) -> float:
    """How far below the surface the lowest fly fishes, in m."""
    return max(0.0, fished.fishing.stream.depth_m - fished.lowest.height_m)


def _against_wanted(fished: FishedRig, wanted_m: float) -> Found:
    near = max(NEAR_LEAST_M, NEAR_SHARE * wanted_m)
    off = (down_m(fished) - min(wanted_m, fished.fishing.stream.depth_m)) / near
    reason = DepthReason.AS_WANTED
    if abs(off) > 1.0:
        reason = DepthReason.ABOVE_WANTED if off < 0.0 else DepthReason.BELOW_WANTED
    return Found(replace(depth_finding(fished, reason), wanted_m=wanted_m), off)
