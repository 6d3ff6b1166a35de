"""The search: the schools first, then free tapers and changes of the best, cast by cast.

What is cast next is what promises most after all that was cast. Everything is seeded: the same
question has the same answer.
"""

import random
from collections.abc import Iterable, Iterator
from dataclasses import dataclass, replace
from itertools import islice

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.assessor import Assessor, FishedScores
from nine_knots.core.base.errors import CannotCompute, Refused, TimedOut
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import STEADY, Gust
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.situation import Situation
from nine_knots.core.search.acquisition import most_promising
from nine_knots.core.search.candidates import Candidate, CandidateFilter
from nine_knots.core.search.changes import Changes
from nine_knots.core.search.demands import Demands
from nine_knots.core.search.diverse_pick import pick_dozen
from nine_knots.core.search.evaluated import Evaluated, evaluate_candidate
from nine_knots.core.search.flies import Flies
from nine_knots.core.search.nearest import nearest_of
from nine_knots.core.search.pareto_front import front_of
from nine_knots.core.search.plausible import is_plausible
from nine_knots.core.search.random_tapers import RandomTapers
from nine_knots.core.search.surrogate import nearest
from nine_knots.core.search.variants import Variant, build_all, school_designs, variants

Array = NDArray[np.float64]

MOST_TRIED = 300  # leaders cast in a search, or in one stage of a longer one
ROUND = 16
FREE_TIED, FREE_BOUGHT = 2.2, 0.4  # made by chance, for each leader that a stage will cast
CHANGED = 28  # made by changes in each round, for each leader that is cast in it; all by trial
OF_SCHOOLS, LATER = 0.07, 0.25  # of the first stage, and of others, for variants of the schools by
# chance; as many may be chosen among in the others [by trial]
OFTEN = 3  # times as many cast, after which what is shown is settled again
SETTLED_NEAREST = 3  # leaders that are cast exactly where none serves
NEAR_FRONT = 12  # leaders that serve not quite, from which changes are made too


@dataclass(frozen=True)
class SearchProgress:
    """What a search has come to: all that was cast, with its features, of how many that will be.

    ``settled`` where those that would be chosen were cast exactly as the bench casts them.
    """

    tried: tuple[Evaluated, ...]
    features: tuple[Array, ...]
    most: int
    settled: bool


@dataclass(frozen=True)
class Search:
    """What is sought: leaders for a day under a stroke, of what an angler owns, by demands.

    ``most`` of them are cast; the same ``seed`` finds the same.
    """

    day: Situation
    stroke: Stroke
    angler: Angler
    demands: Demands
    gust: Gust = STEADY
    seed: int = 1
    most: int = MOST_TRIED

    @property
    def held_day(self) -> Situation:
        """The day with the fish that must be held."""
        return self.demands.day(self.day)

    def rounds(self) -> Iterator[SearchProgress]:
        """Ever better leaders, round by round; the last is the end of it.

        CannotCompute where nothing on the shelf makes a leader, or none can be cast so. Where time
        runs out TimedOut is raised after all that was cast till then.
        """
        going = _Rounds(self)
        try:
            yield from going.rounds()
        except TimedOut:
            yield going.so_far()
            raise


Casts = dict[tuple[str, Leader], Evaluated]
_last: tuple[Search, Casts] | None = None


def _cast_before(asked: Search) -> Casts:
    """What was cast for this question before, if it was the last one: a search that ran out of time
    goes on from there. The same seed tries the same leaders in the same order."""
    global _last
    question, last = replace(asked, most=0), _last
    if last is None or last[0] != question:
        _last = last = (question, {})
    return last[1]


class _Rounds:
    def __init__(self, asked: Search) -> None:
        self._asked, self._day = asked, asked.held_day
        self._reader = Assessor(self._day, asked.angler, asked.gust)
        self._filter = CandidateFilter(self._reader, asked.stroke, asked.demands)
        bench = Workbench(stock=asked.angler.stock, fly=self._day.fly, units=asked.angler.units)
        self._flies = Flies(bench, asked.demands.flies)
        self._changes = Changes(bench, self._day, asked.demands.bought, self._flies)
        self._rng, self._draws = random.Random(asked.seed), np.random.default_rng(asked.seed)
        self._pool: list[Candidate] = []
        self._tried: list[Evaluated] = []
        self._features: list[Array] = []
        self._refused: Refused | None = None
        self._settle_at = 0
        self._cast_before = _cast_before(asked)

    def rounds(self) -> Iterator[SearchProgress]:
        """Schools as they are, then by stages their variants, free tapers and changes. A longer
        search begins with all that a shorter one casts."""
        self._cast(self._of_schools(school_designs(self._day)))
        yield self._settled()
        shuffled = variants(self._day, self._asked.demands)
        self._rng.shuffle(shuffled)
        others, most = iter(shuffled), self._asked.most
        for begun in range(0, most, MOST_TRIED):
            size = min(MOST_TRIED, most - begun)
            share = round((LATER if begun else OF_SCHOOLS) * size)
            for first in range(0, share, ROUND):
                self._cast(self._of_schools(islice(others, min(ROUND, share - first))))
                yield self._after_a_round()
            if begun:  # enough is known to choose
                self._pool += self._of_schools(islice(others, share))
            yield from self._stage(begun + size, size)

    def _stage(self, until: int, size: int) -> Iterator[SearchProgress]:
        """What promises most of as many as a stage of such a size looks at, until so many are
        cast."""
        self._pool += self._filter.sifted(("", leader) for leader in self._free(size))
        if not self._tried:
            self._cast(self._pool[:ROUND])
            self._pool = self._pool[ROUND:]
        if not self._tried:
            raise self._refused or CannotCompute(
                "Nothing on the shelf makes a leader for this day.",
                where="spools",
                hint="Add spools from butt to tippet, or a bought taper.",
            )
        while len(self._tried) < until:
            self._pool += self._filter.sifted(("", leader) for leader in self._changed())
            count = min(ROUND, until - len(self._tried), len(self._pool))
            if not count:
                break
            self._cast(self._taken(count))
            yield self._after_a_round()
        self._cast(self._filter.sifted(("", leader) for leader in self._simpler()))
        yield self._settled()

    def _taken(self, count: int) -> list[Candidate]:
        """Out of the pool, what promises most."""
        demands = self._asked.demands
        chosen = most_promising(
            self._pool, self._tried, self._features, demands, self._draws, count
        )
        taken = [self._pool[i] for i in chosen]
        self._pool = [item for i, item in enumerate(self._pool) if i not in set(chosen)]
        return taken

    def _after_a_round(self) -> SearchProgress:
        """All that was cast; settled each time that three times as many were."""
        return self.so_far() if len(self._tried) < self._settle_at else self._settled()

    def _settled(self) -> SearchProgress:
        """All that was cast, those that would be chosen as exactly as the bench casts them."""
        self._settle_at = OFTEN * len(self._tried)
        for item in self._nearest():
            self._cast_exactly(item)
        while True:
            chosen = [item.one for item in pick_dozen(self._tried, self._asked.demands)]
            rough = [item for item in chosen if item.rough]
            if not rough:
                return self.so_far(settled=True)
            for item in rough:
                self._cast_exactly(item)

    def _cast_exactly(self, item: Evaluated) -> None:
        place = next(number for number, tried in enumerate(self._tried) if tried is item)
        reader, stroke = self._reader, self._asked.stroke
        try:
            exact = evaluate_candidate(item.table, item.origin, reader, stroke, item.fished)
        except CannotCompute:
            del self._tried[place], self._features[place]
            return
        self._tried[place] = exact
        self._cast_before[item.origin, item.table.leader] = exact

    def _nearest(self) -> list[Evaluated]:
        """Of what may be shown where nothing meets every demand, those not cast exactly yet."""
        if any(tried.serves for tried in self._tried):
            return []
        nearest_first = sorted(self._tried, key=lambda tried: tried.falls_short)
        found = nearest_of(self._tried)
        gives = [give.one for give in found.gives] if found is not None else []
        shown = [*nearest_first[:SETTLED_NEAREST], *gives]
        return [tried for tried in self._tried if tried.rough and any(tried is x for x in shown)]

    def so_far(self, *, settled: bool = False) -> SearchProgress:
        """All that was cast."""
        most = self._asked.most
        return SearchProgress(tuple(self._tried), tuple(self._features), most, settled)

    def _of_schools(self, wanted: Iterable[Variant]) -> list[Candidate]:
        schools = build_all(wanted, self._day, self._asked.angler)
        return self._filter.sifted(
            (origin, made)
            for origin, leader in schools
            for made in self._flies.as_wanted(self._rng, leader)
        )

    def _free(self, most: int) -> Iterator[Leader]:
        chains = RandomTapers(self._day, self._asked.angler, self._asked.demands)
        for leader in chains.made(self._rng, round(FREE_TIED * most), round(FREE_BOUGHT * most)):
            if is_plausible(leader, self._day):
                yield from self._flies.as_wanted(self._rng, leader)

    def _changed(self) -> Iterator[Leader]:
        near = sorted(self._tried, key=lambda evaluated: evaluated.falls_short)[:NEAR_FRONT]
        parents = [item.table.leader for item in front_of(self._tried) + near]
        return self._changes.of(self._rng, parents, CHANGED * ROUND)

    def _simpler(self) -> Iterator[Leader]:
        """Those that would be chosen with one piece fewer: no knot for one in a hundred."""
        for chosen in pick_dozen(self._tried, self._asked.demands):
            yield from self._changes.without_a_piece(chosen.one.table.leader)

    def _cast(self, candidates: list[Candidate]) -> None:
        for candidate in candidates:
            near = self._near(candidate.features)
            key = (candidate.origin, candidate.table.leader)
            found = self._cast_before.get(key)
            try:
                found = found or evaluate_candidate(
                    candidate.table,
                    candidate.origin,
                    self._reader,
                    self._asked.stroke,
                    near,
                    rough=True,
                )
            except CannotCompute as refused:  # a model cannot follow it
                self._refused = refused
                continue
            self._cast_before[key] = found
            self._tried.append(found)
            self._features.append(candidate.features)

    def _near(self, features: Array) -> FishedScores | None:
        """What a leader is compared with: how the most like it was cast and fished."""
        if not self._tried:
            return None
        return self._tried[nearest(features, np.array(self._features))].fished
