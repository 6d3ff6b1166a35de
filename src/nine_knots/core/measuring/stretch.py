"""Stretch and memory: a weight on a length of the strand; how stiff it is, what set it keeps."""

from dataclasses import dataclass
from math import hypot, pi, sqrt
from typing import Literal

from pydantic import Field

from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.measured import MeasuredSpread
from nine_knots.core.domain.strand import Strand

READS_TO_M = 1e-3
MOST_SHARE = 0.35  # of the strand's strength: beyond, it creeps and does not come back [M]
LABEL_OFF = 0.06  # of a thickness that is a label's: half a thousandth on eight [M]


class StretchReadings(Frozen):
    """A length in metres, the weight hung on it, how much longer it was under it, and how much
    longer it stayed a minute after."""

    instrument: Literal["stretch"] = "stretch"
    length_m: float = Field(gt=0.1, le=10.0)
    mass_kg: float = Field(gt=0.0, le=10.0)
    longer_m: float = Field(gt=0.0, le=5.0)
    stays_m: float = Field(default=0.0, ge=0.0, le=5.0)


@dataclass(frozen=True, slots=True)
class MeasuredModulus:
    """Young's modulus in Pa and its relative standard uncertainty; the set that stays, a share of
    the length."""

    modulus_pa: float
    off: float
    stays: float

    @property
    def measured(self) -> MeasuredSpread:
        """Its spread, to go with the figure."""
        return MeasuredSpread(off=min(1.0, self.off), readings=1)


def modulus_from(readings: StretchReadings, strand: Strand) -> MeasuredModulus:
    """E = F l / (A δ), δ what comes back of the stretch; OutOfRange where the weight is more than
    a third of what the strand holds, or nothing of the stretch comes back."""
    force_n = readings.mass_kg * GRAVITY_M_S2
    if force_n > MOST_SHARE * strand.breaking_n:
        raise OutOfRange(
            "That weight is more than a third of what the strand holds: it would creep.",
            where="mass",
            hint="Hang a lighter one on a longer piece.",
        )
    springs_m = readings.longer_m - readings.stays_m
    if springs_m <= 0.0:
        raise OutOfRange(
            "The line didn't recover at all, so its stiffness can't be worked out.",
            where="stays",
            hint="Let it rest for a minute, then measure how much longer it still is.",
        )
    area_m2 = pi / 4.0 * strand.diameter_m**2
    across = strand.across_by.off if strand.across_by is not None else LABEL_OFF
    off = hypot(sqrt(2.0 / 12.0) * READS_TO_M / springs_m, 2.0 * across)
    modulus = force_n * readings.length_m / (area_m2 * springs_m)
    return MeasuredModulus(modulus, off, readings.stays_m / readings.length_m)


def with_modulus(strand: Strand, found: MeasuredModulus) -> Strand:
    """The strand with the modulus that it showed."""
    return strand.evolve(modulus_pa=found.modulus_pa, modulus_by=found.measured)
