"""Which leaders are beaten by none, and which of them one could tell apart."""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.search.evaluated import SEEN, Evaluated

Array = NDArray[np.float64]


def non_dominated(axes: Array) -> NDArray[np.bool_]:
    """Of points (n, wishes), more being better, those that none is as good as in all and better
    than in one."""
    as_good = (axes[:, None, :] >= axes[None, :, :]).all(axis=2)
    better = (axes[:, None, :] > axes[None, :, :]).any(axis=2)
    return np.asarray(~(as_good & better).any(axis=0))


def front_of(found: Sequence[Evaluated]) -> list[Evaluated]:
    """Those that serve and are beaten by none."""
    serving = [found_item for found_item in found if found_item.serves]
    if not serving:
        return []
    kept = non_dominated(np.array([item.axes for item in serving]))
    return [item for item, stays in zip(serving, kept, strict=True) if stays]


def distinct(found: Sequence[Evaluated]) -> list[Evaluated]:
    """Those that one would want beside the others, the earlier going first: of two between which
    nobody would notice a difference one, and none that another betters noticeably in something and
    yields to it noticeably in nothing."""
    kept: list[Evaluated] = []
    for found_item in found:
        if not any(_spares(other, found_item) for other in kept):
            kept = [other for other in kept if not _betters(found_item, other)] + [found_item]
    return kept


def _spares(evaluated: Evaluated, other: Evaluated) -> bool:
    """Whether nobody who has one would want the other."""
    return bool((evaluated.axes >= other.axes - SEEN).all())


def _betters(evaluated: Evaluated, other: Evaluated) -> bool:
    return _spares(evaluated, other) and bool((evaluated.axes > other.axes + SEEN).any())


def within(axes: Array, least: Array, most: Array) -> Array:
    """Points on scales from the worst (0) to the best (1) of each wish; one without spread is 1."""
    room = most - least
    return np.where(room > SEEN, (axes - least) / np.maximum(room, 1e-12), 1.0)
