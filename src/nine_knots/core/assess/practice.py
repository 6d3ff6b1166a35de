"""Practising knots: which is due, from timed attempts that the angler rated.

Spaced by FSRS, the free spaced repetition scheduler [S: YeSuCao2022; package fsrs], without
its random fuzz, so that the same attempts give the same days.
"""

from dataclasses import dataclass
from datetime import datetime
from typing import Literal, get_args

from fsrs import Card, Rating, Scheduler

from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.knots.table import KnotKey

Rated = Literal["slipped", "ugly", "good", "clean"]
_RATING = dict(
    zip(get_args(Rated), (Rating.Again, Rating.Hard, Rating.Good, Rating.Easy), strict=True)
)
LONGEST_S = 3600.0


class Attempt(Frozen):
    """One knot tied against the clock; ``at`` in UTC."""

    knot: KnotKey
    seconds: float
    rated: Rated
    at: datetime


@dataclass(frozen=True, slots=True)
class Progress:
    """How a knot stands: when it is due (None where it was never tied), times, the last rating."""

    knot: KnotKey
    due: datetime | None
    attempts: tuple[Attempt, ...]

    @property
    def best_s(self) -> float | None:
        """The quickest that did not slip, in seconds."""
        held = [item.seconds for item in self.attempts if item.rated != "slipped"]
        return min(held, default=None)


def progress_of(knot: KnotKey, attempts: tuple[Attempt, ...]) -> Progress:
    """A knot's progress from all attempts at it, oldest first."""
    scheduler = Scheduler(enable_fuzzing=False)
    card, due = Card(card_id=1), None
    for attempt in attempts:
        card, _ = scheduler.review_card(card, _RATING[attempt.rated], attempt.at)
        due = card.due
    return Progress(knot=knot, due=due, attempts=attempts)


def in_order(progress: tuple[Progress, ...], now: datetime) -> tuple[Progress, ...]:
    """What to tie next: what is due longest first, then what was never tied, then the rest."""

    def rank(item: Progress) -> tuple[int, float]:
        if item.due is None:
            return 1, 0.0
        overdue = (now - item.due).total_seconds()
        return (0, -overdue) if overdue >= 0 else (2, -overdue)

    return tuple(sorted(progress, key=rank))
