"""On the surface or in its film: nothing sinks, slack is what counts."""

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.models.water.ask import WaterAsk
from nine_knots.core.models.water.way import Fishing, Way
from nine_knots.core.trade.design import Design


class OnTop(Way):
    """A floating fly, which is not followed: how long its slack lasts is asked instead."""

    key = "on top"
    place = 10
    top = "fly"
    followed = False

    def fits(self, design: Design) -> bool:
        """Where the fly is to float."""
        return design.situation.floats

    def fish(self, design: Design, ask: WaterAsk) -> Fishing:
        """CannotCompute: ask for its drag."""
        raise CannotCompute(
            "A floating fly is not followed down.", where="wish", mend="Ask for its drift."
        )


ON_TOP = OnTop()
