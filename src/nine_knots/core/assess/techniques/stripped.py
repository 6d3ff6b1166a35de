"""Judged on the strip."""

import numpy as np

from nine_knots.core.assess.water.on_the_line import OnTheLineAssessment
from nine_knots.core.assess.water.scores import WaterScore
from nine_knots.core.base.units import Units
from nine_knots.core.mechanics.tree import Array
from nine_knots.core.techniques.stripped import STRIPPED
from nine_knots.core.water.time_in_zone import JIGS_M, ON_BED_M, FishedRig

WOBBLE_M = 0.01
SLOW_S = 1.5  # about a pull and its pause [G]
CLIMBS_M = 0.25  # over the strip, from which it does not swim at one depth [G]


class StrippedAssessment(OnTheLineAssessment):
    """It may jig or track level, but not plough the bed."""

    way = STRIPPED
    question = "Does it jig, or track the line?"
    remedies = (*OnTheLineAssessment.remedies, "count")
    at_the_water = ("count", "bead")

    def drifted(self, fished: FishedRig, units: Units) -> WaterScore:
        """How it swims from pull to pull."""
        fly, history = fished.lowest, fished.fishing.history
        heights = history.places[:, fly.node, 1]
        begins = int(fished.fishing.begins_s / history.every_s)
        late = heights[min(len(heights) - 1, begins + len(heights[begins:]) // 3) :]
        swims = heights[begins:]
        leap = jig_m(swims[swims > ON_BED_M], history.every_s)
        if self.ploughs(fished):
            why = (
                "Line and fly drag along the bed: shorten the count, strip sooner, or use a "
                "slower-sinking line."
            )
            return WaterScore("too much", 1.3, "drags on the bed", why)
        if leap > JIGS_M:
            why = f"It lifts at each pull and drops between, by {units.depth(leap).text}."
            return WaterScore("right", min(0.9, leap / 0.3), "jigs", why)
        climbs = float(late[-1] - late[0])
        goes = "swims at one depth"
        if abs(climbs) > CLIMBS_M:
            word = "climbs" if climbs > 0.0 else "goes down"
            goes = f"{word} by {units.depth(abs(climbs)).text} as the line comes in"
        why = f"The pulls hardly lift it: it {goes}."
        return WaterScore("right", -0.5, "tracks the line", why)


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


JUDGEMENT = StrippedAssessment()
