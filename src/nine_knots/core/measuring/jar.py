"""Jar: a fly timed over a measured fall in still water; how fast it sinks, and how surely."""

from dataclasses import dataclass
from math import hypot
from typing import Literal

from pydantic import Field

from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.base.values import Frozen, TupleOf
from nine_knots.core.domain.measured import MeasuredSpread
from nine_knots.core.measuring.readings import mean_and_off, outliers

REACTION_S = 0.06  # of a thumb, start and stop together [M]
FALL_OFF_M = 2e-3  # of the marks on the jar
SLOWEST_M_S, FASTEST_M_S = 0.005, 3.0


class JarReadings(Frozen):
    """Times in seconds of a fall in metres between two marks, the fly already at its speed."""

    instrument: Literal["jar"] = "jar"
    fall_m: float = Field(gt=0.03, le=3.0)
    times_s: TupleOf[float] = Field(min_length=1, max_length=12)


@dataclass(frozen=True, slots=True)
class MeasuredSinkRate:
    """How fast a fly sinks in m/s, its relative standard uncertainty, places of odd times."""

    speed_m_s: float
    off: float
    readings: int
    odd: tuple[int, ...]

    @property
    def measured(self) -> MeasuredSpread:
        """Its spread, to go with the figure."""
        return MeasuredSpread(off=min(1.0, self.off), readings=self.readings)


def sink_rate_from(readings: JarReadings) -> MeasuredSinkRate:
    """What the times say; OutOfRange where no fly sinks so."""
    times = tuple(readings.times_s)
    mean_s, off_s = mean_and_off(times, 0.01)
    speed = readings.fall_m / mean_s if mean_s > 0.0 else FASTEST_M_S + 1.0
    if min(times) <= 0.0 or not SLOWEST_M_S <= speed <= FASTEST_M_S:
        raise OutOfRange(
            "That sink rate isn't possible for a fly.",
            where="times",
            hint="Enter seconds, for a fall of 10 cm or more.",
        )
    reaction_s = REACTION_S / len(times) ** 0.5
    off = hypot(off_s / mean_s, reaction_s / mean_s, FALL_OFF_M / readings.fall_m)
    return MeasuredSinkRate(speed, off, len(times), outliers(times, REACTION_S))
