"""How much of the workers each account has had within the hour: beyond its share it waits."""

from collections import defaultdict
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta

from nine_knots.core.base.errors import TooBusy

SHARE_S = 1200.0  # of a worker, in an hour: an evening at the table takes fifty (docs/scale.md)
HOUR = timedelta(hours=1)
MOST_KEPT = 10_000


@dataclass
class _Had:
    seconds: float
    ends_at: datetime


def _now() -> datetime:
    return datetime.now(UTC)


class Quota:
    """Seconds of workers by account; whoever is of none, as at home, has no share to keep to.

    What this process worked is to be told to the others by whoever takes the news, and what
    they worked is then heard.
    """

    def __init__(self, share_s: float = SHARE_S) -> None:
        self._share_s = share_s
        self._had: dict[str, _Had] = {}
        self._news: defaultdict[str, float] = defaultdict(float)

    def check(self, whose: str) -> None:
        """TooBusy where an account has had its share of this hour."""
        had = self._had.get(whose)
        if had is None:
            return
        left = had.ends_at - _now()
        if left <= timedelta():
            del self._had[whose]
        elif had.seconds > self._share_s:
            minutes = max(1, round(left / timedelta(minutes=1)))
            raise TooBusy(
                "You have used this hour's computing time.",
                retry_s=60 * minutes,
                hint=f"In {minutes} min you can go on. You can read what you saved meanwhile.",
            )

    def add(self, whose: str, seconds: float) -> None:
        """An account has had so much more."""
        if not whose:
            return
        if len(self._had) > MOST_KEPT:
            self._had = {who: had for who, had in self._had.items() if had.ends_at > _now()}
        had = self._had.get(whose)
        if had is None or had.ends_at <= _now():
            had = self._had[whose] = _Had(0.0, _now() + HOUR)
        had.seconds += seconds
        self._news[whose] += seconds

    def take_news(self) -> dict[str, float]:
        """What was worked here since they were last taken."""
        taken, self._news = dict(self._news), defaultdict(float)
        return taken

    def hear(self, whose: str, seconds: float, ends_at: datetime) -> None:
        """What all processes worked for an account, what was taken from here among it."""
        self._had[whose] = _Had(seconds + self._news.get(whose, 0.0), ends_at)

    def put_back(self, news: dict[str, float]) -> None:
        """They could not be told: they are to be taken once more."""
        for whose, seconds in news.items():
            self._news[whose] += seconds
