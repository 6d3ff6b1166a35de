"""Techniques whose rig is followed down: how deep it fishes, and how it drifts."""

from abc import abstractmethod
from collections.abc import Iterator

from nine_knots.core.base.score import Score, Status
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.scores import WaterScore, depth_score, drift_score
from nine_knots.core.water.technique import Technique
from nine_knots.core.water.time_in_zone import FishedRig, fish_rig
from nine_knots.core.water.zone import zone_top_m

NEAR_SHARE, NEAR_LEAST_M = 0.12, 0.06  # of a wanted depth, within which it is met


class SimulatedTechnique(Technique):
    """A technique whose rig is followed down through the water."""

    def measures(self, design: Design, ask: WaterQuestion, units: Units) -> Iterator[Score]:
        """Depth, which a settled drift tells at once, and then the drift."""
        fished = fish_rig(self.fish(design, ask))
        yield self.depth(fished, ask, units)
        yield self.drift(fished, units)

    @abstractmethod
    def drifted(self, fished: FishedRig, units: Units) -> WaterScore:
        """How it drifts."""

    def drift(self, fished: FishedRig, units: Units) -> Score:
        """The drift cord."""
        return drift_score(self.question, self.drifted(fished, units))

    def depth(self, fished: FishedRig, ask: WaterQuestion, units: Units) -> Score:
        """The depth cord: the lowest fly against the depth that was asked for, or as is usual; and
        where each of the others swims."""
        if ask.wanted_m is not None:
            found = _against_wanted(fished, ask.wanted_m, units)
        else:
            found = self.deep(fished, units)
        return depth_score(found._replace(why=f"{found.why}{_others(fished, units)}"))

    def deep(self, fished: FishedRig, units: Units) -> WaterScore:
        """Where the lowest fly fishes, against the zone at the bed."""
        fly, stream = fished.lowest, fished.fishing.stream
        whole, zone = units.depth(stream.depth_m).text, zone_top_m(stream.depth_m)
        if fished.drags and not self.may_lie:
            return WaterScore(
                "too much", 1.3, "on the bed", f"It rests and drags on the bed, {whole} down."
            )
        if fished.on_bed:
            why = f"At the bed, {whole} down, and still moving."
            return WaterScore("right", 0.7, "ticks the bed", why)
        off, up = 1.0 - 2.0 * fly.height_m / zone, units.depth(fly.height_m).text
        if fly.height_m > zone:
            top = units.depth(zone).text
            why = f"{up} above the bed; the zone there is the lowest {top} of {whole}."
            return WaterScore("too little", max(-2.5, off), fishes_at(fished, units), why)
        if fished.fishing.technique.drifts and fly.zone_after_s is None:
            comes = units.depth(stream.depth_m - fly.lowest_m).text
            why = (
                "A drift this long brings it no lower; only a longer one reaches the bed, "
                f"{whole} down."
            )
            return WaterScore("too little", -1.05, f"comes to {comes}", why)
        why = f"{up} above the bed of {whole}: in the zone."
        return WaterScore("right", off, fishes_at(fished, units), why)


def _others(fished: FishedRig, units: Units) -> str:
    """Where the flies swim that are not the lowest one: `` The Olive 16 swims at 2 ft.``"""
    depth_m, lowest = fished.fishing.stream.depth_m, fished.lowest
    said = [
        f" The {fly.title} swims at {units.depth(max(0.0, depth_m - fly.height_m)).text}."
        for fly in fished.flies
        if fly.number != lowest.number
    ]
    return "".join(said)


def down_m(fished: FishedRig) -> float:
    """How far below the surface the lowest fly fishes, in m."""
    return max(0.0, fished.fishing.stream.depth_m - fished.lowest.height_m)


def fishes_at(fished: FishedRig, units: Units) -> str:
    """``fishes at 2½ ft``."""
    return f"fishes at {units.depth(down_m(fished)).text}"


def _against_wanted(fished: FishedRig, wanted_m: float, units: Units) -> WaterScore:
    depth_m = fished.fishing.stream.depth_m
    near = max(NEAR_LEAST_M, NEAR_SHARE * wanted_m)
    off = (down_m(fished) - min(wanted_m, depth_m)) / near
    status: Status = "too little" if off < -1.0 else "too much" if off > 1.0 else "right"
    why = f"You asked for {units.depth(wanted_m).text} in {units.depth(depth_m).text} of water."
    return WaterScore(status, off, fishes_at(fished, units), why)
