"""The Water stage of a design: everything it shows, by the way it is fished."""

from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.techniques import technique_of
from nine_knots.core.water.question import WaterQuestion
from nine_knots.words.techniques import technique_words_of
from nine_knots.words.water.reading import WaterReading


def water_reading(
    design: Design, ask: WaterQuestion, units: Units, movie: bool = True
) -> WaterReading:
    """Read a design in its water, with its movie or without; CannotCompute where it cannot."""
    return technique_words_of(technique_of(design)).reading(design, ask, units, movie)
