"""Micrometer or caliper: round the strand at several places; how thick, how oval, how even."""

from dataclasses import dataclass
from itertools import accumulate
from math import hypot
from statistics import fmean
from typing import Literal

from pydantic import Field

from nine_knots.core.base.limits import DiameterM
from nine_knots.core.base.values import Frozen, TupleOf
from nine_knots.core.domain.measured import MeasuredSpread
from nine_knots.core.domain.strand import Strand
from nine_knots.core.measuring.readings import mean_and_off, outliers

READS_TO_M = 2e-6  # of a micrometer on something soft: it is squeezed a little [M]
ZERO_OFF_M = 1e-6  # of its zero [M]


class MicrometerReadings(Frozen):
    """Diameters in metres: at each place along the strand, several round it."""

    instrument: Literal["micrometer"] = "micrometer"
    places: TupleOf[TupleOf[DiameterM]] = Field(min_length=1, max_length=12)


@dataclass(frozen=True, slots=True)
class MeasuredDiameter:
    """How thick: mean and its standard uncertainty, from place to place, ovality as a share of the
    mean; ``odd`` readings by (place, number)."""

    mean_m: float
    off_m: float
    along_m: float
    oval: float
    places: int
    readings: int
    odd: tuple[tuple[int, int], ...]

    @property
    def measured(self) -> MeasuredSpread:
        """Its spread, to go with the figure."""
        return MeasuredSpread(off=self.off_m / self.mean_m, readings=self.readings)


def diameter_from(readings: MicrometerReadings) -> MeasuredDiameter:
    """What the readings say, all of them counted: an odd one is asked about, never dropped.

    Places differ because the strand does, so that the mean's uncertainty is that of their means.
    """
    places = [place for place in readings.places if place]
    everything = tuple(value for place in places for value in place)
    means = tuple(fmean(place) for place in places)
    if len(means) > 1:
        mean_m, off_m = mean_and_off(means, READS_TO_M)
        along_m = max(means) - min(means)
    else:
        mean_m, off_m = mean_and_off(everything, READS_TO_M)
        along_m = 0.0
    ends = list(accumulate((len(place) for place in places), initial=0))
    odd = tuple(
        next((p, at - ends[p]) for p in range(len(places)) if ends[p] <= at < ends[p + 1])
        for at in outliers(everything, READS_TO_M)
    )
    return MeasuredDiameter(
        mean_m=mean_m,
        off_m=hypot(off_m, ZERO_OFF_M),
        along_m=along_m,
        oval=max((max(place) - min(place)) / fmean(place) for place in places),
        places=len(places),
        readings=len(everything),
        odd=odd,
    )


def with_diameter(strand: Strand, found: MeasuredDiameter) -> Strand:
    """The strand as thick as it was measured; its stiffness, where that was measured, is of the
    thickness it was measured with, so that EI stays as it was."""
    modulus = strand.modulus_pa
    if modulus is not None and strand.modulus_by is not None:
        modulus *= (strand.diameter_m / found.mean_m) ** 4
    return strand.model_copy(
        update={
            "diameter_m": found.mean_m,
            "modulus_pa": modulus,
            "estimated": False,
            "across_by": found.measured,
        }
    )
