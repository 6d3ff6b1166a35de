"""Judged on the swing."""

from nine_knots.core.assess.water.on_the_line import OnTheLineAssessment
from nine_knots.core.assess.water.scores import WaterScore
from nine_knots.core.assess.water.technique_assessment import down_m
from nine_knots.core.base.units import Units
from nine_knots.core.techniques.swung import SWUNG
from nine_knots.core.water.time_in_zone import FishedRig

SWIMS_M_S = (0.15, 1.1)  # of water past a swung fly [G]


class SwungAssessment(OnTheLineAssessment):
    """Water should move it, and no faster than a fish follows."""

    way = SWUNG
    question = "How fast does it swim?"

    def drifted(self, fished: FishedRig, units: Units) -> WaterScore:
        """The water's speed past it on the dangle."""
        fly, stream = fished.lowest, fished.fishing.stream
        past = stream.speed_m_s(fly.height_m)
        low, high = SWIMS_M_S
        figure = f"swims at {units.speed(past).text}"
        hang = units.depth(down_m(fished)).text
        deep = units.depth(max(0.0, stream.depth_m - fly.lowest_m)).text
        why = f"It sinks to {deep} while you mend, and rises to {hang} on the dangle."
        if past < low:
            return WaterScore("too little", -1.2, figure, f"Hardly any water moves it. {why}")
        if past > high:
            return WaterScore("too much", 1.2, figure, f"Fast for a fish to follow. {why}")
        return WaterScore("right", (past - 0.5) / 0.7, figure, why)


JUDGEMENT = SwungAssessment()
