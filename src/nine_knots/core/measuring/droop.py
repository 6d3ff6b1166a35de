"""Droop: a strand or a line's tip clamped level; the stiffness that its sag tells."""

from dataclasses import dataclass
from math import hypot, log, pi
from typing import Literal

from pydantic import Field

from nine_knots.core.base.values import Frozen, TupleOf
from nine_knots.core.domain.measured import MeasuredSpread
from nine_knots.core.domain.strand import Strand
from nine_knots.core.measuring.readings import mean_and_off
from nine_knots.core.mechanics.elastica import bend_stiffness_from_droop

READS_TO_M = 1e-3  # of a ruler held beside a strand that moves [M]
LENGTH_OFF_M = 0.5e-3  # of the free length, at the clamp
STEP = 0.01


class DroopReadings(Frozen):
    """A free length in metres clamped level, and how far its end fell, again and again: it is
    turned by a quarter between two readings, so that its set does not count. ``belly`` where it was
    a fly line's belly and not its tip."""

    instrument: Literal["droop"] = "droop"
    belly: bool = False
    length_m: float = Field(gt=0.01, le=1.0)
    drops_m: TupleOf[float] = Field(min_length=1, max_length=24)


@dataclass(frozen=True, slots=True)
class MeasuredBend:
    """Bending stiffness EI in N·m², and its relative standard uncertainty."""

    bend_nm2: float
    off: float
    readings: int

    @property
    def measured(self) -> MeasuredSpread:
        """Its spread, to go with the figure."""
        return MeasuredSpread(off=min(1.0, self.off), readings=self.readings)


def bend_from(readings: DroopReadings, mass_kg_m: float, mass_off: float = 0.0) -> MeasuredBend:
    """Bending stiffness of a strand or tip of so much mass a metre, which is known to a share
    ``mass_off``; CannotCompute where so small or great a droop tells none.

    Uncertainties of drop, length and mass are carried through the elastica by its slopes.
    """
    drop_m, drop_off_m = mean_and_off(tuple(readings.drops_m), READS_TO_M)
    length_m = readings.length_m

    def bend(length: float, drop: float) -> float:
        return bend_stiffness_from_droop(mass_kg_m, length, drop)

    found = bend(length_m, drop_m)
    by_drop = log(bend(length_m, drop_m * (1 - STEP)) / found) / STEP
    by_length = log(bend(length_m * (1 + STEP), drop_m) / found) / STEP
    off = hypot(by_drop * drop_off_m / drop_m, by_length * LENGTH_OFF_M / length_m, mass_off)
    return MeasuredBend(found, off, len(readings.drops_m))


def with_bend(strand: Strand, found: MeasuredBend) -> Strand:
    """The strand as stiff as it drooped: with its thickness, the modulus that gives this EI."""
    modulus = found.bend_nm2 / (pi * strand.diameter_m**4 / 64.0)
    return strand.evolve(modulus_pa=modulus, modulus_by=found.measured)


def mass_deviation(strand: Strand) -> float:
    """The share by which a strand's mass a metre may be off, by its thickness."""
    return 2.0 * strand.across_by.off if strand.across_by is not None else 0.06
