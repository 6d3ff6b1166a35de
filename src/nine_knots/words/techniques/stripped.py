"""Told on the strip."""

from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.techniques.stripped import STRIPPED, follow_of
from nine_knots.core.water.on_the_line import usual_count_s
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.surroundings import STILL_M_S
from nine_knots.words.water.on_the_line import OnTheLineWords
from nine_knots.words.water.reading import TypedField
from nine_knots.words.water.telling import line_field, wanted_field


class StrippedWords(OnTheLineWords):
    """The count, the pulls and the pauses."""

    technique = STRIPPED
    words = "Cast out, counted down and stripped back"

    def fields(self, design: Design, ask: WaterQuestion, units: Units) -> tuple[TypedField, ...]:
        """How long it is counted down, how it is pulled."""
        count = ask.count_s if ask.count_s is not None else usual_count_s(design)
        moving: tuple[TypedField, ...] = ()
        if design.situation.water.pace_m_s > STILL_M_S:
            followed = f"{follow_of(design, ask):.0%}"
            moving = (TypedField("follow", "Rod follows, share of speed", followed),)
        return (
            wanted_field(ask, units),
            TypedField("count", "Count down", f"{count:g} s"),
            TypedField("pull", "Pull", units.length(ask.pull_m).text),
            TypedField("pull_speed", "Pull speed", units.speed(ask.pull_m_s).text),
            TypedField("pause", "Pause", f"{ask.pause_s:g} s"),
            line_field(ask, units),
            *moving,
        )


TELLING = StrippedWords()
