"""Mended while it sinks, then held and swung below the angler."""

from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.stepper import Leg
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.water.on_the_line import OnTheLine
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.slack_on_water import DRIFT_M
from nine_knots.core.water.surroundings import STILL_M_S

HANG_S = 6.0  # followed on the dangle
LAST_FRAMES = 10


class Swung(OnTheLine):
    """Drifted while it sinks, then held against the stream."""

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


SWUNG = Swung()
