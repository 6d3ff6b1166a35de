"""Whether what a gauge says can be gone by: how old it is, and whether it leaps."""

from dataclasses import dataclass
from typing import Literal

STALE_S = 6 * 3600.0
LEAP_M = 2.0  # between two observations: no river the size that is waded does so [G]
Status = Literal["fresh", "stale", "odd"]


@dataclass(frozen=True, slots=True)
class GaugeReading:
    """A level in metres, how old it is in seconds, how it changed by the hour (metres), and
    whether it can be gone by."""

    level_m: float
    age_s: float
    rises_m_h: float
    status: Status


def read_gauge(levels: tuple[tuple[float, float], ...]) -> GaugeReading:
    """Of (level in metres, age in seconds), the newest first and at least one."""
    level_m, age_s = levels[0]
    rises = 0.0
    odd = False
    if len(levels) > 1:
        before_m, before_s = levels[-1]
        hours = max(1e-6, (before_s - age_s) / 3600.0)
        rises = (level_m - before_m) / hours
        odd = abs(level_m - levels[1][0]) > LEAP_M
    status: Status = "odd" if odd else "stale" if age_s > STALE_S else "fresh"
    return GaugeReading(level_m, age_s, rises, status)
