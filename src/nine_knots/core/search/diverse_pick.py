"""The dozen: the balanced one, the best by each wish, then those most unlike them."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.search.demands import WISHES, Demands, Wish
from nine_knots.core.search.evaluated import SEEN, Evaluated
from nine_knots.core.search.pareto_front import distinct, front_of, within

Array = NDArray[np.float64]

MOST_CHOSEN = 12
WEIGHTS = 1.0, 0.8, 0.6  # of the wishes in their order
UNWISHED = 0.3
ALL_ALIKE = 0.05  # of all that is given up, beside the worst of it


@dataclass(frozen=True, slots=True)
class Pick:
    """One of the dozen, and the wishes by which no other is noticeably better."""

    one: Evaluated
    best_at: tuple[Wish, ...]


def pick_dozen(found: Sequence[Evaluated], demands: Demands) -> tuple[Pick, ...]:
    """At most twelve truly different leaders that serve, the balanced one first, the others as the
    wishes have them; none where none serves."""
    front = front_of(found)
    if not front:
        return ()
    axes = np.array([item.axes for item in front])
    least, most = axes.min(axis=0), axes.max(axis=0)
    lost = regret(within(axes, least, most), weights_of(demands))
    kept = distinct([front[i] for i in np.argsort(lost, kind="stable")])
    taken = _taken(within(np.array([item.axes for item in kept]), least, most), demands)
    return tuple(Pick(kept[i], _best_at(kept[i], most)) for i in sorted(taken))


def weights_of(demands: Demands) -> Array:
    """What each wish counts, in the order of WISHES."""
    found = np.full(len(WISHES), UNWISHED)
    for wish, weight in zip(demands.wishes, WEIGHTS, strict=False):
        found[WISHES.index(wish)] = weight
    return found


def regret(scaled: Array, weights: Array) -> Array:
    """How much is given up of what is wished (n), of leaders on scales (n, wishes): the worst of
    it, and a little of all."""
    lost = (1.0 - scaled) * weights
    return np.asarray(lost.max(axis=1) + ALL_ALIKE * lost.sum(axis=1))


def _taken(scaled: Array, demands: Demands) -> list[int]:
    """Places taken of leaders in the order of their balance."""
    taken = [0]
    by_wish = [*demands.wishes, *(wish for wish in WISHES if wish not in demands.wishes)]
    for wish in by_wish:
        best = int(scaled[:, WISHES.index(wish)].argmax())
        if best not in taken:
            taken.append(best)
    while len(taken) < min(MOST_CHOSEN, len(scaled)):
        off = np.abs(scaled[:, None, :] - scaled[None, taken, :]).sum(axis=2).min(axis=1)
        off[taken] = -1.0
        taken.append(int(off.argmax()))
    return taken


def _best_at(evaluated: Evaluated, most: Array) -> tuple[Wish, ...]:
    near = evaluated.axes >= most - SEEN
    return tuple(wish for wish, best in zip(WISHES, near, strict=True) if best)
