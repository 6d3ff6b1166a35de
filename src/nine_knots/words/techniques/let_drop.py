"""Told on the drop."""

from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.techniques.let_drop import LET_DROP
from nine_knots.core.water.question import WaterQuestion
from nine_knots.words.water.reading import TypedField
from nine_knots.words.water.telling import (
    SimulatedWords,
    drift_field,
    lands_field,
    wanted_field,
)


class LetDropWords(SimulatedWords):
    """How far it falls and how soon."""

    technique = LET_DROP
    words = "Led in front of the fish and let drop"

    def fields(self, design: Design, ask: WaterQuestion, units: Units) -> tuple[TypedField, ...]:
        """The depth wanted, where it lands, how long it is left."""
        return (
            wanted_field(ask, units),
            lands_field(ask),
            drift_field(self.technique, design, ask, units),
        )


TELLING = LetDropWords()
