"""Counts and what may be said of them: a share only of enough, and always with how sure it is."""

from dataclasses import dataclass

import numpy as np
import scipy

ENOUGH = 4  # takes, of which a share is said at all
INSIDE = 0.8  # of the chance lies within an interval that is told
EDGES = (0.5 - 0.5 * INSIDE, 0.5, 0.5 + 0.5 * INSIDE)


@dataclass(frozen=True, slots=True)
class Share:
    """So many of so many, the middle of what that leaves likely, and the interval: Beta(1 + of, 1 +
    rest), the posterior of an even prior [S: Gelman2013]."""

    hits: int
    of: int
    low: float
    middle: float
    high: float

    @property
    def enough(self) -> bool:
        """Whether it is worth saying."""
        return self.of >= ENOUGH


def share_of(hits: int, of: int) -> Share:
    """The share of ``hits`` among ``of``.

    >>> share = share_of(7, 10)
    >>> round(share.low, 2), round(share.high, 2)
    (0.49, 0.83)
    """
    low, middle, high = (
        float(scipy.special.betaincinv(1 + hits, 1 + of - hits, edge)) for edge in EDGES
    )
    return Share(hits, of, low, middle, high)


@dataclass(frozen=True, slots=True)
class Rate:
    """So many in so many hours, and how many an hour that leaves likely: Gamma(count + 1/2), the
    posterior of Jeffreys' prior for a rate [S: Gelman2013]."""

    count: int
    hours: float
    low: float
    high: float


def rate_of(count: int, hours: float) -> Rate | None:
    """How often an hour; None in less than half an hour."""
    if hours < 0.5:
        return None
    low, _, high = (float(scipy.special.gammaincinv(count + 0.5, edge)) / hours for edge in EDGES)
    return Rate(count, hours, low, high)


def between(chances: list[float]) -> tuple[float, int, int]:
    """Of events with these chances, one each, how many are expected, and between how many it comes
    to in four of five cases: the exact sum of unlike coins (Poisson's binomial).

    >>> between([0.5] * 10)
    (5.0, 3, 7)
    """
    spread = np.array([1.0])
    for chance in chances:
        spread = np.convolve(spread, [1.0 - chance, chance])
    upto = np.cumsum(spread)
    low, _, high = EDGES
    return float(sum(chances)), int(np.argmax(upto >= low)), int(np.argmax(upto >= high - 1e-12))
