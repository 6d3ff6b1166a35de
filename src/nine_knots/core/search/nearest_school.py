"""Which school's leader a found one is like: by length and by thickness along it."""

from collections.abc import Iterable
from math import log

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.domain.leader import Leader
from nine_knots.core.search.evaluated import Evaluated

PLACES = np.linspace(0.02, 0.98, 25)  # of the length
ALIKE = 0.12  # of the logarithms of thickness and length, in the mean
FAR = 0.45


class SchoolNeighbours:
    """The schools' leaders that were tried."""

    def __init__(self, found: Iterable[Evaluated]) -> None:
        self._known = [
            (evaluated.origin, _shape(evaluated.table.leader))
            for evaluated in found
            if evaluated.origin
        ]

    def of(self, leader: Leader) -> tuple[str | None, bool]:
        """The school whose leader is most like one, and whether it is much like it; None where
        none is anything like it."""
        mine = _shape(leader)
        off = [(float(np.abs(shape - mine).mean()), key) for key, shape in self._known]
        if not off or min(off)[0] > FAR:
            return None, False
        least, key = min(off)
        return key, least < ALIKE


def _shape(leader: Leader) -> NDArray[np.float64]:
    starts = leader.joints_at_m
    found = []
    for place in PLACES * leader.length_m:
        number = min(
            range(len(leader.pieces)),
            key=lambda i: (not starts[i] <= place <= starts[i + 1], i),
        )
        found.append(log(leader.pieces[number].diameter_at_m(float(place - starts[number]))))
    long = [log(leader.length_m)] * (len(PLACES) // 4)
    return np.array(found + long)
