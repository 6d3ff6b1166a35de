"""Cast out, counted down and stripped back."""

from dataclasses import dataclass

import numpy as np

from nine_knots.core.base.score import Finding, Reason
from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.stepper import Leg
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.mechanics.tree import Array
from nine_knots.core.schools import line_leads
from nine_knots.core.water.on_the_line import OnTheLine, usual_count_s
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.scores import Found
from nine_knots.core.water.surroundings import STILL_M_S
from nine_knots.core.water.time_in_zone import JIGS_M, ON_BED_M, FishedRig

PULLS = 8
WOBBLE_M = 0.01
SLOW_S = 1.5  # about a pull and its pause [G]
CLIMBS_M = 0.25  # over the strip, from which it does not swim at one depth [G]


class StripReason(Reason):
    """How a fly swims from pull to pull."""

    DRAGS_ON_BED = "drags on the bed", "too much"
    JIGS = "jigs", "right"
    TRACKS_LINE = "tracks the line", "right"


@dataclass(frozen=True, slots=True)
class StripFinding(Finding):
    """By how much it rises and drops between pulls, and climbs (or goes down, negative) over the
    strip, in m."""

    leap_m: float
    climbs_m: float

    @property
    def level(self) -> bool:
        """Whether it swims at one depth."""
        return abs(self.climbs_m) <= CLIMBS_M


class Stripped(OnTheLine):
    """Pulled back in strips, with pauses: it may jig or track level, but not drag along the bed."""

    key = "stripped"
    place = 20
    top = "rod"
    remedies = ("count", *OnTheLine.remedies)
    at_the_water = ("count", "shot", "bead")

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

    def drifted(self, fished: FishedRig) -> Found:
        """How it swims from pull to pull."""
        fly, history = fished.lowest, fished.fishing.history
        heights = history.places[:, fly.node, 1]
        begins = int(fished.fishing.begins_s / history.every_s)
        late = heights[min(len(heights) - 1, begins + len(heights[begins:]) // 3) :]
        swims = heights[begins:]
        leap = jig_m(swims[swims > ON_BED_M], history.every_s)
        climbs = float(late[-1] - late[0])
        if self.ploughs(fished):
            return Found(StripFinding(StripReason.DRAGS_ON_BED, leap, climbs), 1.3)
        if leap > JIGS_M:
            return Found(StripFinding(StripReason.JIGS, leap, climbs), min(0.9, leap / 0.3))
        return Found(StripFinding(StripReason.TRACKS_LINE, leap, climbs), -0.5)


def follow_of(design: Design, ask: WaterQuestion) -> float:
    """How the rod goes with the stream: as said, or with it where mono is cast up and across by its
    fly, and not at all where a line hangs down the stream [P]."""
    if ask.follow is not None:
        return ask.follow
    return 0.0 if line_leads(design.leader) else 1.0


def jig_m(heights: Array, every_s: float) -> float:
    """By how much a fly goes up and down from pull to pull, in m, beside the slow way that it takes
    on the whole; 0 where it is too short to tell."""
    window = max(2, round(SLOW_S / every_s))
    if len(heights) < 2 * window:
        return 0.0
    slow = np.convolve(heights, np.full(window, 1.0 / window), "valid")
    return _rise_m(heights[window // 2 : window // 2 + len(slow)] - slow)


def _rise_m(heights: Array) -> float:
    """Mean of the rises, from a low to the next high, of a way that goes up and down by more than
    a wobble; 0 where there are none."""
    rises, low, high, rising = [], float(heights[0]), float(heights[0]), False
    for height in map(float, heights):
        if rising and height < high - WOBBLE_M:
            rises.append(high - low)
            rising, low = False, height
        elif not rising and height > low + WOBBLE_M:
            rising, high = True, height
        low, high = min(low, height), max(high, height)
    return sum(rises) / len(rises) if rises else 0.0


STRIPPED = Stripped()
