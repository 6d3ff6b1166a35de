"""Judged on the strip."""

from nine_knots.core.base.units import Units
from nine_knots.core.judge.water.cords import Reckoned
from nine_knots.core.judge.water.on_the_line import OnTheLineJudgement
from nine_knots.core.models.water.fished import JIGS_M, Fished
from nine_knots.core.models.ways.stripped import STRIPPED
from nine_knots.core.physics.tree import Array


class StrippedJudgement(OnTheLineJudgement):
    """It may jig or track level, but not plough the bed."""

    way = STRIPPED
    asks = "Does it jig, or track level?"
    remedies = (*OnTheLineJudgement.remedies, "count")
    at_the_water = ("count", "bead")

    def drifted(self, fished: Fished, units: Units) -> Reckoned:
        """How it swims from pull to pull."""
        fly, history = fished.lowest, fished.fishing.history
        heights = history.places[:, fly.node, 1]
        begins = int(fished.fishing.begins_s / history.every_s)
        late = heights[min(len(heights) - 1, begins + len(heights[begins:]) // 3) :]
        leap = _leap_m(late, history.every_s)
        if self.ploughs(fished):
            why = "Line and fly plough the bed: count less, strip sooner, or a slower line."
            return Reckoned("too much", 1.3, "ploughs the bed", why)
        if leap > JIGS_M:
            why = f"It rises and falls by {units.depth(leap).text} from pull to pull."
            return Reckoned("right", min(0.9, leap / 0.3), "jigs", why)
        why = "The pulls hardly lift it: it swims at one depth."
        return Reckoned("right", -0.5, "tracks level", why)


def _leap_m(heights: Array, every_s: float) -> float:
    """Mean rise and fall within two seconds, the slow change taken out."""
    window = max(2, int(2.0 / every_s))
    leaps = [
        float(part.max() - part.min()) - abs(float(part[-1] - part[0]))
        for part in (heights[i : i + window] for i in range(0, len(heights) - window, window))
    ]
    return sum(leaps) / len(leaps) if leaps else 0.0


JUDGEMENT = StrippedJudgement()
