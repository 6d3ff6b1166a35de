"""On the surface or in its film: nothing sinks, slack is what counts."""

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.domain.design import Design
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.technique import RigInStream, Technique


class OnTop(Technique):
    """A floating fly, which is not followed: how long its slack lasts is asked instead."""

    key = "on top"
    place = 10
    top = "fly"
    followed = False

    def fits(self, design: Design) -> bool:
        """Where the fly is to float."""
        return design.situation.floats

    def fish(self, design: Design, ask: WaterQuestion) -> RigInStream:
        """CannotCompute: ask for its drag."""
        raise CannotCompute(
            "A floating fly is not followed down.", where="wish", hint="Ask for its drift."
        )


ON_TOP = OnTop()
