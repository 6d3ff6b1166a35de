"""What an instrument read of a thing that is owned, kept as it was read."""

from typing import Annotated, Literal

from pydantic import Field

from nine_knots.core.base.limits import Key, Title
from nine_knots.core.base.values import Frozen
from nine_knots.core.measuring.droop import DroopReadings
from nine_knots.core.measuring.jar import JarReadings
from nine_knots.core.measuring.micrometer import MicrometerReadings
from nine_knots.core.measuring.stretch import StretchReadings
from nine_knots.core.measuring.weighing import ScaleReadings

Readings = Annotated[
    MicrometerReadings | DroopReadings | JarReadings | StretchReadings | ScaleReadings,
    Field(discriminator="instrument"),
]
Instrument = Literal["micrometer", "droop", "jar", "stretch", "scale"]


class Measurement(Frozen):
    """Readings of a spool, a line or a fly, by its id, with what came of them in words."""

    of: Literal["spool", "line", "fly"]
    of_id: Key
    title: Title
    readings: Readings
    words: str = Field(max_length=400)
