"""Scale: a fly weighed dry and wet; it is cast wet."""

from dataclasses import dataclass
from typing import Annotated, Literal

from pydantic import Field, model_validator

from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.base.values import Frozen, TupleOf
from nine_knots.core.domain.measured import MeasuredSpread
from nine_knots.core.domain.tackle.fly import HEAVIEST_KG
from nine_knots.core.measuring.readings import mean_and_off

READS_TO_KG = 1e-5  # of a small scale for grams [M]
MassKg = Annotated[float, Field(gt=0.0, le=HEAVIEST_KG)]


class ScaleReadings(Frozen):
    """Masses of a fly in kg, dry and wet, each as often as it was weighed."""

    instrument: Literal["scale"] = "scale"
    dry_kg: TupleOf[MassKg] = Field(default=(), max_length=12)
    wet_kg: TupleOf[MassKg] = Field(default=(), max_length=12)

    @model_validator(mode="after")
    def _weighed(self) -> "ScaleReadings":
        if not self.dry_kg and not self.wet_kg:
            raise ValueError("nothing was weighed")
        return self


@dataclass(frozen=True, slots=True)
class MeasuredMass:
    """Mass in kg as cast and its relative standard uncertainty; the water it soaks up, where it was
    weighed dry and wet."""

    mass_kg: float
    off: float
    soaks_kg: float | None
    readings: int

    @property
    def measured(self) -> MeasuredSpread:
        """Its spread, to go with the figure."""
        return MeasuredSpread(off=min(1.0, self.off), readings=self.readings)


def mass_from(readings: ScaleReadings) -> MeasuredMass:
    """What the readings say: wet where it was weighed wet; OutOfRange where it is lighter wet."""
    dry, wet = tuple(readings.dry_kg), tuple(readings.wet_kg)
    mass_kg, off_kg = mean_and_off(wet or dry, READS_TO_KG)
    soaks_kg = mass_kg - mean_and_off(dry, READS_TO_KG)[0] if dry and wet else None
    if soaks_kg is not None and soaks_kg < -3.0 * READS_TO_KG:
        raise OutOfRange(
            "It weighed less wet than dry.", where="wet", hint="Check that the two aren't swapped."
        )
    return MeasuredMass(mass_kg, off_kg / mass_kg, soaks_kg, len(wet or dry))
