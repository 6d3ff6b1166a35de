"""What the water models find: where the lowest fly fishes; how far a finding is off its band."""

from dataclasses import dataclass
from typing import NamedTuple

from nine_knots.core.base.score import Finding, Reason, Score, ScoreKey, position_in_band


class DepthReason(Reason):
    """Where the lowest fly of a rig that is followed down fishes."""

    ON_BED = "on the bed", "too much"
    TICKS_BED = "ticks the bed", "right"
    ABOVE_ZONE = "above the zone", "too little"
    LATE_IN_ZONE = "a longer drift only brings it down", "too little"
    IN_ZONE = "in the zone", "right"
    UNDER_SURFACE = "just under the surface", "right"
    IN_THE_WATER = "in the water", "right"
    LINE_ON_BED = "the line lies on the bed", "too much"
    PLOUGHS_BED = "ploughs along the bed", "too much"
    ABOVE_WANTED = "above the depth asked for", "too little"
    AS_WANTED = "at the depth asked for", "right"
    BELOW_WANTED = "below the depth asked for", "too much"


@dataclass(frozen=True, slots=True)
class OtherFlyDepth:
    """A fly that is not the lowest, and how far below the surface it swims, in m."""

    title: str
    down_m: float


@dataclass(frozen=True, slots=True)
class DepthFinding(Finding):
    """How far below the surface the lowest fly fishes (``down_m``), how high above the bed, the
    depth of the water and the top of the zone at the bed, all in m; ``deepest_m`` below the surface
    where a longer drift would bring it further down, ``wanted_m`` where a depth was asked for."""

    down_m: float
    height_m: float
    water_m: float
    zone_m: float
    deepest_m: float | None = None
    wanted_m: float | None = None
    others: tuple[OtherFlyDepth, ...] = ()


class Found(NamedTuple):
    """A finding, and how far off it is: 1 either way at the edge of trouble."""

    finding: Finding
    deviation: float


def water_score(key: ScoreKey, found: Found, marginal: bool = False) -> Score:
    """The score of what was found; ``marginal`` where it is right, and only just."""
    right = found.finding.reason.status == "right"
    return Score(key, found.finding, position_in_band(found.deviation), marginal and right)
