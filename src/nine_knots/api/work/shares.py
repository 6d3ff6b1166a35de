"""How much of the workers each account has had within the hour: beyond its share it waits."""

import time
from dataclasses import dataclass

from nine_knots.core.base.errors import TooBusy

SHARE_S = 1200.0  # of a worker, in an hour: an evening at the table takes fifty (docs/scale.md)
HOUR_S = 3600.0
MOST_KEPT = 10_000


@dataclass
class _Had:
    since: float
    seconds: float = 0.0


class Shares:
    """Seconds of workers by account; whoever is of none, as at home, has no share to keep to."""

    def __init__(self, share_s: float = SHARE_S) -> None:
        self._share_s = share_s
        self._had: dict[str, _Had] = {}

    def check(self, whose: str) -> None:
        """TooBusy where an account has had its share of this hour."""
        had = self._had.get(whose)
        if had is None:
            return
        left_s = had.since + HOUR_S - time.monotonic()
        if left_s <= 0.0:
            del self._had[whose]
        elif had.seconds > self._share_s:
            minutes = max(1, round(left_s / 60.0))
            raise TooBusy(
                "You have had your share of this hour's reckoning.",
                retry_s=60 * minutes,
                mend=f"In {minutes} min there is more; what is saved can be read meanwhile.",
            )

    def add(self, whose: str, seconds: float) -> None:
        """An account has had so much more."""
        if not whose:
            return
        if len(self._had) > MOST_KEPT:
            self._forget()
        now = time.monotonic()
        had = self._had.get(whose)
        if had is None or now - had.since > HOUR_S:
            had = self._had[whose] = _Had(now)
        had.seconds += seconds

    def _forget(self) -> None:
        """Whose hour is over."""
        now = time.monotonic()
        self._had = {who: had for who, had in self._had.items() if now - had.since <= HOUR_S}
