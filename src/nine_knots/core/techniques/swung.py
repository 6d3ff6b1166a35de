"""Mended while it sinks, then held and swung below the angler."""

from dataclasses import dataclass

from nine_knots.core.base.score import Finding, Reason
from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.stepper import Leg
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.water.on_the_line import OnTheLine
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.scores import Found
from nine_knots.core.water.simulated import down_m
from nine_knots.core.water.slack_on_water import DRIFT_M
from nine_knots.core.water.surroundings import STILL_M_S
from nine_knots.core.water.time_in_zone import FishedRig

HANG_S = 6.0  # followed on the dangle
LAST_FRAMES = 10
SWIMS_M_S = (0.15, 1.1)  # of water past a swung fly [G]


class SwingReason(Reason):
    """How fast the water goes past a fly that is held."""

    SLOW = "hardly moved", "too little"
    SWIMS = "swims", "right"
    FAST = "too fast to follow", "too much"


@dataclass(frozen=True, slots=True)
class SwingFinding(Finding):
    """The water's speed past it on the dangle in m/s, how far down it hangs there, and how far it
    sank before, in m."""

    past_m_s: float
    hangs_m: float
    sank_m: float


class Swung(OnTheLine):
    """Held on a tight line below the angler: water moves it, no faster than a fish follows."""

    key = "swung"
    place = 30
    top = "rod"

    def fits(self, design: Design) -> bool:
        """Where it is to swing and the water moves."""
        day = design.situation
        return day.wish == "swing" and day.water.pace_m_s > STILL_M_S

    def legs(
        self,
        design: Design,
        stream: Stream,
        ask: WaterQuestion,
    ) -> tuple[float, tuple[Leg, ...]]:
        """With the stream for half a drift, then held."""
        sinks = min(8.0, max(2.0, 0.5 * DRIFT_M / stream.surface_m_s))
        return sinks, (Leg(sinks, stream.surface_m_s), Leg(HANG_S, 0.0))

    def fishes_in(self, count: int, begins: int) -> slice:
        """On the dangle."""
        return slice(max(0, count - LAST_FRAMES), count)

    def drifted(self, fished: FishedRig) -> Found:
        """The water's speed past it on the dangle."""
        fly, stream = fished.lowest, fished.fishing.stream
        past = stream.speed_m_s(fly.height_m)
        low, high = SWIMS_M_S
        reason, off = SwingReason.SWIMS, (past - 0.5) / 0.7
        if past < low:
            reason, off = SwingReason.SLOW, -1.2
        elif past > high:
            reason, off = SwingReason.FAST, 1.2
        sank_m = max(0.0, stream.depth_m - fly.lowest_m)
        return Found(SwingFinding(reason, past, down_m(fished), sank_m), off)


SWUNG = Swung()
