"""A dry fly on the surface: how long slack keeps it from dragging, and how supple a tippet is."""

from dataclasses import dataclass

from nine_knots.core.domain.situation import Water, WaterKind
from nine_knots.core.mechanics.slack import across_s, along_s

# How much currents between angler and fly differ, as a share of the pace, and the width in metres
# of a lane of one pace, by the kind of water [G].
DIFFERS: dict[WaterKind, float] = {
    "pocket water": 0.3,
    "riffle": 0.25,
    "run": 0.2,
    "glide": 0.12,
    "pool": 0.15,
}
LANE_M: dict[WaterKind, float] = {"pocket water": 0.5, "riffle": 0.8, "run": 1.2}
USUAL_DIFFERS, USUAL_LANE_M = 0.1, 1.8
MICRO_M_S = 0.1  # of slip, at which suppleness is compared


@dataclass(frozen=True, slots=True)
class Drag:
    """How long slack keeps a dry fly free: seconds along the stream and across a lane, and inputs.

    None where no currents differ.
    """

    slack_m: float
    differs_m_s: float
    lane_m: float
    along_s: float | None
    across_s: float | None

    @property
    def free_s(self) -> float | None:
        """The smaller of the two."""
        times = [t for t in (self.along_s, self.across_s) if t is not None]
        return min(times) if times else None


def drag_of(water: Water, slack_m: float, differs_m_s: float | None = None) -> Drag:
    """A dry fly's free drift in this water with so much slack, in m."""
    differs = differs_m_s or DIFFERS.get(water.kind, USUAL_DIFFERS) * water.pace_m_s
    lane = LANE_M.get(water.kind, USUAL_LANE_M)
    if differs < 1e-3:
        return Drag(slack_m, 0.0, lane, None, None)
    return Drag(
        slack_m,
        differs,
        lane,
        along_s(slack_m, differs),
        across_s(lane, slack_m, differs),
    )
