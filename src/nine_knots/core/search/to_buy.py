"""Which one spool to buy, so that a day's best leaders improve most: guessed for many, cast for
few.

A spool that is not owned is put in place of each level piece of the best leaders. What it would be
worth is how much the best by many mixtures of the wishes gains in the mean.
"""

from collections.abc import Iterator, Sequence
from contextlib import suppress
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.assess.assessor import Assessor
from nine_knots.core.base.errors import CannotCompute, Refused
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.leader import Leader, LevelSection
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import UseStock
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.strand import Spool
from nine_knots.core.propose.shop import ID, SOLD, is_owned, sold_spool
from nine_knots.core.search.acquisition import predicted_axes
from nine_knots.core.search.candidates import Candidate, CandidateFilter
from nine_knots.core.search.diverse_pick import Pick, weights_of
from nine_knots.core.search.evaluated import Evaluated, evaluate_candidate
from nine_knots.core.search.pareto_front import within
from nine_knots.core.search.plausible import is_plausible
from nine_knots.core.search.search import Search, SearchProgress
from nine_knots.core.search.surrogate import Surrogate

Array = NDArray[np.float64]

BEST_LEADERS, MIXTURES = 6, 64
GUESSED, CAST_OF_EACH = 8, 4  # spools of which leaders are cast, and how many
WORTH = 0.02  # of the scale from the worst to the best that is had, which one would notice


@dataclass(frozen=True, slots=True)
class ToBuy:
    """A spool that is worth having, what it gains, and the leader that shows it."""

    spool: Spool
    gain: float
    shown_by: Evaluated


def to_buy(asked: Search, so_far: SearchProgress, dozen: Sequence[Pick]) -> ToBuy | None:
    """The spool that gains most; None where none gains what one would notice."""
    if not dozen:
        return None
    worth = _Worth(asked, [chosen.one for chosen in dozen])
    guess = Surrogate(
        np.array(so_far.features),
        np.array([(evaluated.margin, evaluated.by("fishing well")) for evaluated in so_far.tried]),
    )
    guessed = []
    for spool in _not_owned(asked):
        shop = _Shop(asked, spool)
        pool = [
            variant
            for variant in shop.variants(dozen[:BEST_LEADERS])
            if not any(variant.table.short.values())
        ]
        if pool:
            at = guess.at(np.array([candidate.features for candidate in pool]))
            gains = [worth.of([axes]) for axes in predicted_axes(pool, at)]
            first = sorted(range(len(pool)), key=lambda i: -gains[i])[:CAST_OF_EACH]
            guessed.append((max(gains), shop, [pool[i] for i in first]))
    guessed.sort(key=lambda pair: -pair[0])
    found = [
        bought
        for _, shop, variants in guessed[:GUESSED]
        if (bought := shop.cast(variants, worth)) is not None
    ]
    best = max(found, key=lambda found_item: found_item.gain, default=None)
    return best if best is not None and best.gain >= WORTH else None


class _Worth:
    """What leaders add to those that are had, by many mixtures of the wishes."""

    def __init__(self, asked: Search, had: list[Evaluated]) -> None:
        axes = np.array([item.axes for item in had])
        self._least, self._most = axes.min(axis=0), axes.max(axis=0)
        draws = np.random.default_rng(asked.seed).dirichlet(np.ones(axes.shape[1]), MIXTURES)
        self._weights = draws * weights_of(asked.demands)
        self._had = self._best(axes)

    def of(self, axes: list[Array]) -> float:
        """The gain in the mean, of scales from the worst to the best that is had."""
        return float(np.maximum(0.0, self._best(np.array(axes)) - self._had).mean())

    def _best(self, axes: Array) -> Array:
        scaled = within(axes, self._least, self._most)
        weights = self._weights / self._weights.sum(axis=1, keepdims=True)
        return np.asarray((scaled @ weights.T).max(axis=0))


def _not_owned(asked: Search) -> Iterator[Spool]:
    for material, sizes in SOLD.items():
        for thou in sizes:
            if not is_owned(material, thou * THOU_M, asked.angler.stock):
                yield sold_spool(material, thou, ID)


class _Shop:
    """The shelf with one spool more."""

    def __init__(self, asked: Search, spool: Spool) -> None:
        angler = asked.angler.model_copy(update={"stock": (*asked.angler.stock, spool)})
        self._spool, self._day, self._stroke = spool, asked.held_day, asked.stroke
        self._reader = Assessor(self._day, angler, asked.gust)
        self._filter = CandidateFilter(self._reader, asked.stroke, asked.demands)
        self._bench = Workbench(stock=angler.stock, fly=self._day.fly, units=angler.units)

    def variants(self, dozen: Sequence[Pick]) -> list[Candidate]:
        """The best leaders with the spool in place of one piece, as far as they may be."""
        return self._filter.sifted(self._changed(dozen))

    def _changed(self, dozen: Sequence[Pick]) -> Iterator[tuple[str, Leader]]:
        for chosen in dozen:
            leader = chosen.one.table.leader
            # one that is not as others tie it is so by its school, which knows better
            origin = "" if is_plausible(leader, self._day) else leader.school or ""
            for number, piece in enumerate(leader.pieces):
                if isinstance(piece, LevelSection):
                    with suppress(Refused):
                        edit = UseStock(piece=number, spool_id=ID)
                        yield origin, apply_edit(leader, edit, self._bench)

    def cast(self, variants: list[Candidate], worth: _Worth) -> ToBuy | None:
        """What the spool gains by those of them that serve."""
        cast = []
        for variant in variants:
            with suppress(CannotCompute):
                cast.append(evaluate_candidate(variant.table, "", self._reader, self._stroke, None))
        serving = [item for item in cast if item.serves]
        if not serving:
            return None
        shown_by = max(serving, key=lambda item: worth.of([item.axes]))
        return ToBuy(self._spool, worth.of([item.axes for item in serving]), shown_by)
