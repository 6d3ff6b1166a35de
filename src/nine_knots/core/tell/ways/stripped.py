"""Told on the strip."""

from nine_knots.core.base.units import Units
from nine_knots.core.judge.ways.stripped import JUDGEMENT
from nine_knots.core.models.water.ask import WaterAsk
from nine_knots.core.models.water.on_the_line import usual_count_s
from nine_knots.core.models.water.surroundings import STILL_M_S
from nine_knots.core.models.ways.stripped import STRIPPED, follow_of
from nine_knots.core.tell.water_stage.on_the_line import OnTheLineTelling
from nine_knots.core.tell.water_stage.reading import Field
from nine_knots.core.tell.water_stage.telling import line_field, wanted_field
from nine_knots.core.trade.design import Design


class StrippedTelling(OnTheLineTelling):
    """The count, the pulls and the pauses."""

    way, judgement = STRIPPED, JUDGEMENT
    words = "Cast out, counted down and stripped back"

    def fields(self, design: Design, ask: WaterAsk, units: Units) -> tuple[Field, ...]:
        """How long it is counted down, how it is pulled."""
        count = ask.count_s if ask.count_s is not None else usual_count_s(design)
        moving: tuple[Field, ...] = ()
        if design.situation.water.pace_m_s > STILL_M_S:
            followed = f"{follow_of(design, ask):.0%}"
            moving = (Field("follow", "Rod goes with it, of the pace", followed),)
        return (
            wanted_field(ask, units),
            Field("count", "Count down", f"{count:g} s"),
            Field("pull", "Pull", units.length(ask.pull_m).text),
            Field("pull_speed", "Pull speed", units.speed(ask.pull_m_s).text),
            Field("pause", "Pause", f"{ask.pause_s:g} s"),
            line_field(ask, units),
            *moving,
        )


TELLING = StrippedTelling()
