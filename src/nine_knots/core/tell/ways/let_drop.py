"""Told on the drop."""

from nine_knots.core.base.units import Units
from nine_knots.core.judge.ways.let_drop import JUDGEMENT
from nine_knots.core.models.water.ask import WaterAsk
from nine_knots.core.models.ways.let_drop import LET_DROP
from nine_knots.core.tell.water_stage.reading import Field
from nine_knots.core.tell.water_stage.telling import (
    FollowedTelling,
    drift_field,
    lands_field,
    wanted_field,
)
from nine_knots.core.trade.design import Design


class LetDropTelling(FollowedTelling):
    """How far it falls and how soon."""

    way, judgement = LET_DROP, JUDGEMENT
    words = "Led in front of the fish and let drop"

    def fields(self, design: Design, ask: WaterAsk, units: Units) -> tuple[Field, ...]:
        """The depth wanted, where it lands, how long it is left."""
        return (
            wanted_field(ask, units),
            lands_field(ask),
            drift_field(self.way, design, ask, units),
        )


TELLING = LetDropTelling()
