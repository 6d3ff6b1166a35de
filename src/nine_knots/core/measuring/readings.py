"""Readings of one thing, again and again: their mean, its spread, the odd ones."""

from math import hypot, sqrt
from statistics import fmean, median, stdev

ODD = 3.5  # in modified z-scores [S: IglewiczHoaglin1993]
_TO_SIGMA = 0.6745


def outliers(values: tuple[float, ...], resolution: float) -> tuple[int, ...]:
    """Places of readings that are far from the others: by more than 3.5 modified z-scores, from
    median and median deviation, which never falls below the instrument's resolution.

    >>> outliers((0.150, 0.151, 0.149, 0.150, 0.181), 0.001)
    (4,)
    """
    if len(values) < 3:
        return ()
    middle = median(values)
    spread = max(resolution, median(abs(value - middle) for value in values))
    return tuple(
        place
        for place, value in enumerate(values)
        if _TO_SIGMA * abs(value - middle) / spread > ODD
    )


def mean_and_off(values: tuple[float, ...], reads_to: float) -> tuple[float, float]:
    """Mean, and its standard uncertainty: from the scatter of the readings (of two or more) and
    from what the instrument reads to, taken as evenly spread between two marks [S: GUM2008].

    >>> mean, off = mean_and_off((10.0, 10.2, 9.8), 0.1)
    >>> round(mean, 3), round(off, 3)
    (10.0, 0.119)
    """
    by_scatter = stdev(values) / sqrt(len(values)) if len(values) > 1 else 0.0
    return fmean(values), hypot(by_scatter, reads_to / sqrt(12.0))
