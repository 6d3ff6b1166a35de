"""The words of ways in which line and leader hang below the rod's tip."""

from nine_knots.core.base.measure import Fact
from nine_knots.core.base.units import Units
from nine_knots.core.models.water.ask import WaterAsk
from nine_knots.core.models.water.fished import Fished
from nine_knots.core.tell.water_stage.leader_lengths import line_and_fly, other_leaders
from nine_knots.core.tell.water_stage.reading import Field
from nine_knots.core.tell.water_stage.telling import (
    FollowedTelling,
    Told,
    line_field,
    wanted_field,
)
from nine_knots.core.trade.design import Design


class OnTheLineTelling(FollowedTelling):
    """Where the fly swims beside the line's tip, and with other leaders."""

    def fields(
        self,
        design: Design,
        ask: WaterAsk,
        units: Units,
    ) -> tuple[Field, ...]:
        """The depth wanted and the line out."""
        return (wanted_field(ask, units), line_field(ask, units))

    def own_facts(
        self,
        design: Design,
        fished: Fished,
        ask: WaterAsk,
        units: Units,
    ) -> tuple[Fact | None, ...]:
        """Whether the fly is level with the line."""
        return (line_and_fly(fished, units),)

    def what_if(self, design: Design, fished: Fished, ask: WaterAsk, units: Units) -> Told:
        """Shorter and longer leaders."""
        return (), other_leaders(design, fished, ask, units)
