"""Which candidates promise most, by a ridge on all that was cast and many mixtures of the wishes (a
Chebyshev scalarisation of each, as in ParEGO) [S: Knowles2006]."""

from collections.abc import Sequence

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.search.candidates import Candidate
from nine_knots.core.search.demands import Demands
from nine_knots.core.search.diverse_pick import regret, weights_of
from nine_knots.core.search.evaluated import SEEN, Evaluated, axes_of
from nine_knots.core.search.pareto_front import front_of, within
from nine_knots.core.search.standing_leader import SEEN_EASE
from nine_knots.core.search.surrogate import Surrogate

Array = NDArray[np.float64]

LEARNED = 24  # leaders cast, from which on others are guessed
ONE_SIDED = 0.4  # concentration of the mixtures: most are of one wish or two [G, by trial]
SHORT_COSTS = 0.15  # of a scale from worst to best, each step by which a demand is missed
MARGIN = 0.1  # of the logarithm of a reserve, that the worse cast takes


def most_promising(
    pool: Sequence[Candidate],
    tried: Sequence[Evaluated],
    features: Sequence[Array],
    demands: Demands,
    draws: np.random.Generator,
    count: int,
) -> list[int]:
    """Places in a pool of so many candidates, the most promising by one mixture each; ``tried`` and
    their ``features`` are what was cast, at least one."""
    axes, short = _promised(pool, tried, features)
    front = front_of(tried) or tried
    known = np.array([item.axes for item in front])
    scaled = within(axes, known.min(axis=0), known.max(axis=0))
    taken: list[int] = []
    for weights in _mixtures(draws, demands, count):
        score = -regret(scaled, weights) - short
        score[taken] = -np.inf
        taken.append(int(score.argmax()))
    return taken


def _mixtures(draws: np.random.Generator, demands: Demands, count: int) -> Array:
    """Weights of the wishes by chance (n, wishes), every other one as the angler wishes."""
    found = draws.dirichlet(np.full(len(SEEN), ONE_SIDED), count)
    found[::2] *= weights_of(demands)
    return np.asarray(found / found.sum(axis=1, keepdims=True))


def _promised(
    pool: Sequence[Candidate], tried: Sequence[Evaluated], features: Sequence[Array]
) -> tuple[Array, Array]:
    """Axes guessed (n, wishes), and what the demands that are missed would cost (n)."""
    at = _guessed(np.array([candidate.features for candidate in pool]), tried, features)
    axes = predicted_axes(pool, at)
    short = np.maximum(0.0, MARGIN - at[:, 0]) / SEEN_EASE + np.maximum(0.0, at[:, 2])
    short += np.maximum(0.0, at[:, 0] - [candidate.band for candidate in pool]) / SEEN_EASE
    short += np.array([sum(candidate.table.short.values()) for candidate in pool])
    return axes, SHORT_COSTS * short


def predicted_axes(pool: Sequence[Candidate], at: Array) -> Array:
    """Axes (n, wishes) of candidates whose margin and fishing are guessed ``at`` (n, 2 or more)."""
    return np.array(
        [
            axes_of(c.table, margin, fishing, c.band)
            for c, (margin, fishing, *_) in zip(pool, at, strict=True)
        ]
    )


def _guessed(at: Array, tried: Sequence[Evaluated], features: Sequence[Array]) -> Array:
    """Margin, fishing, and how far from fishing as is asked (n, 3); nothing while too few were
    cast."""
    if len(tried) < LEARNED:
        return np.zeros((len(at), 3))
    known = [
        (evaluated.margin, evaluated.by("fishing well"), evaluated.short["fishes"])
        for evaluated in tried
    ]
    return Surrogate(np.array(features), np.array(known)).at(at)
