"""The Water stage of a design: everything it shows, by the way it is fished."""

from nine_knots.core.base.units import Units
from nine_knots.core.models.water.ask import WaterAsk
from nine_knots.core.models.ways import way_of
from nine_knots.core.tell.water_stage.reading import WaterReading
from nine_knots.core.tell.ways import telling_of
from nine_knots.core.trade.design import Design


def water_reading(design: Design, ask: WaterAsk, units: Units, movie: bool = True) -> WaterReading:
    """Read a design in its water, with its movie or without; CannotCompute where it cannot."""
    return telling_of(way_of(design)).reading(design, ask, units, movie)
