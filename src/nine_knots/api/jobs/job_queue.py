"""Whose turn it is: what waits for a worker, and which of it goes next.

Light tasks go before heavy ones, and heavy ones leave a worker free for them. Among equals the
page that was served longest ago comes first, and of one page the eldest. A newer task of the same
asker takes the older one's place.
"""

import asyncio
import time
from collections.abc import Callable
from dataclasses import dataclass, field

from nine_knots.api.jobs.tasks import Task
from nine_knots.api.jobs.worker import Told
from nine_knots.core.base.errors import TooBusy

MOST_WAITING = 64
MOST_OF_A_PAGE = 24
HEAVY_S, LIGHT_S = 3.0, 0.1  # what one takes, to say when to ask again


@dataclass(frozen=True)
class ClientKey:
    """Who asks: a page, which of its questions this is (its newest replaces its older), and of
    which account it is; of none at home."""

    page: str
    question: str
    whose: str = ""

    @property
    def party(self) -> str:
        """Who is dealt with fairly: an account with all its pages, at home each page."""
        return self.whose or self.page


@dataclass(eq=False)
class Job:
    """A task that waits or is worked on, the key under which its answer is kept; ``answer`` is
    waited for by whoever asked."""

    asker: ClientKey
    task: Task
    key: bytes
    answer: asyncio.Future[bytes]
    told: Callable[[Told], None]
    tries: int = 0
    order: int = field(default=0)
    since: float = field(default_factory=time.monotonic)


class JobQueue:
    """All that waits."""

    def __init__(self) -> None:
        self._waiting: list[Job] = []
        self._served: dict[str, int] = {}
        self._count = 0

    def __len__(self) -> int:
        return len(self._waiting)

    @property
    def eldest_s(self) -> float:
        """For how long the eldest has waited."""
        now = time.monotonic()
        return max((now - turn.since for turn in self._waiting), default=0.0)

    def add(self, turn: Job) -> None:
        """Let it wait; TooBusy where too much waits already."""
        mine = sum(other.asker.party == turn.asker.party for other in self._waiting)
        if len(self._waiting) >= MOST_WAITING or mine >= MOST_OF_A_PAGE:
            seconds = sum(HEAVY_S if job.task.heavy else LIGHT_S for job in self._waiting)
            raise TooBusy(
                "The service is busy just now.",
                retry_s=max(1, round(seconds)),
                hint="Try again in a moment.",
            )
        self._count += 1
        turn.order = self._count
        self._waiting.append(turn)

    def put_back(self, turn: Job) -> None:
        """Let one wait again that was begun and could not be ended."""
        self._waiting.append(turn)

    def remove(self, turn: Job) -> bool:
        """Take it out; False where it does not wait."""
        if turn in self._waiting:
            self._waiting.remove(turn)
            return True
        return False

    def of(self, asker: ClientKey) -> list[Job]:
        """What waits of one asker."""
        return [turn for turn in self._waiting if turn.asker == asker]

    def next(self, heavy_too: bool) -> Job | None:
        """The one whose turn it is, taken out; None where nothing may go."""
        fit = [turn for turn in self._waiting if heavy_too or not turn.task.heavy]
        if not fit:
            return None
        chosen = min(fit, key=lambda t: (t.task.heavy, self._served.get(t.asker.party, 0), t.order))
        self._waiting.remove(chosen)
        self._count += 1
        self._served[chosen.asker.party] = self._count
        if len(self._served) > 4 * MOST_WAITING:
            oldest = sorted(self._served, key=self._served.__getitem__)
            for page in oldest[:MOST_WAITING]:
                del self._served[page]
        return chosen
