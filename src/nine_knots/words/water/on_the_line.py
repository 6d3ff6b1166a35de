"""The words of ways in which line and leader hang below the rod's tip."""

from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.time_in_zone import FishedRig
from nine_knots.words.facts import Fact
from nine_knots.words.water.leader_lengths import line_and_fly, other_leaders
from nine_knots.words.water.reading import TypedField
from nine_knots.words.water.telling import (
    SimulatedWords,
    Told,
    line_field,
    wanted_field,
)


class OnTheLineWords(SimulatedWords):
    """Where the fly swims beside the line's tip, and with other leaders."""

    def fields(
        self,
        design: Design,
        ask: WaterQuestion,
        units: Units,
    ) -> tuple[TypedField, ...]:
        """The depth wanted and the line out."""
        return (wanted_field(ask, units), line_field(ask, units))

    def own_facts(
        self,
        design: Design,
        fished: FishedRig,
        ask: WaterQuestion,
        units: Units,
    ) -> tuple[Fact | None, ...]:
        """Whether the fly is level with the line."""
        return (line_and_fly(fished, units),)

    def what_if(self, design: Design, fished: FishedRig, ask: WaterQuestion, units: Units) -> Told:
        """Shorter and longer leaders."""
        return (), other_leaders(design, fished, ask, units)
