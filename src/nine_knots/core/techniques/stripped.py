"""Cast out, counted down and stripped back."""

from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.stepper import Leg
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.schools import line_leads
from nine_knots.core.water.on_the_line import OnTheLine, usual_count_s
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.surroundings import STILL_M_S

PULLS = 8


class Stripped(OnTheLine):
    """Pulled back in strips, with pauses."""

    key = "stripped"
    place = 20
    top = "rod"

    def fits(self, design: Design) -> bool:
        """Where it is to be stripped, or to swing where nothing swings it."""
        wish, pace = design.situation.wish, design.situation.water.pace_m_s
        return wish == "strip" or (wish == "swing" and pace <= STILL_M_S)

    def legs(
        self,
        design: Design,
        stream: Stream,
        ask: WaterQuestion,
    ) -> tuple[float, tuple[Leg, ...]]:
        """Counted down, the rod's tip going with the stream or still; then line taken in by pulls,
        with pauses."""
        sinks = ask.count_s if ask.count_s is not None else usual_count_s(design)
        along = follow_of(design, ask) * stream.surface_m_s
        pull = Leg(ask.pull_m / ask.pull_m_s, along, reel_m_s=ask.pull_m_s)
        pause = (Leg(ask.pause_s, along),) if ask.pause_s > 0.0 else ()
        first = (Leg(sinks, along),) if sinks > 0.0 else ()
        return sinks, (*first, *((pull, *pause) * PULLS))

    def fishes_in(self, count: int, begins: int) -> slice:
        """From the first pull."""
        return slice(min(begins, count - 1), count)


def follow_of(design: Design, ask: WaterQuestion) -> float:
    """How the rod goes with the stream: as said, or with it where mono is cast up and across by its
    fly, and not at all where a line hangs down the stream [P]."""
    if ask.follow is not None:
        return ask.follow
    return 0.0 if line_leads(design.leader) else 1.0


STRIPPED = Stripped()
