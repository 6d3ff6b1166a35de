"""Judged on the swing."""

from nine_knots.core.base.units import Units
from nine_knots.core.judge.water.cords import Reckoned
from nine_knots.core.judge.water.judgement import down_m
from nine_knots.core.judge.water.on_the_line import OnTheLineJudgement
from nine_knots.core.models.water.fished import Fished
from nine_knots.core.models.ways.swung import SWUNG

SWIMS_M_S = (0.15, 1.1)  # of water past a swung fly [G]


class SwungJudgement(OnTheLineJudgement):
    """Water should move it, and no faster than a fish follows."""

    way = SWUNG
    asks = "How fast does it swim?"

    def drifted(self, fished: Fished, units: Units) -> Reckoned:
        """The water's speed past it on the dangle."""
        fly, stream = fished.lowest, fished.fishing.stream
        past = stream.speed_m_s(fly.height_m)
        low, high = SWIMS_M_S
        figure = f"swims at {units.speed(past).text}"
        hang = units.depth(down_m(fished)).text
        deep = units.depth(max(0.0, stream.depth_m - fly.lowest_m)).text
        why = f"It sinks to {deep} while you mend, and rises to {hang} on the dangle."
        if past < low:
            return Reckoned("too little", -1.2, figure, f"Hardly any water moves it. {why}")
        if past > high:
            return Reckoned("too much", 1.2, figure, f"Fast for a fish to follow. {why}")
        return Reckoned("right", (past - 0.5) / 0.7, figure, why)


JUDGEMENT = SwungJudgement()
