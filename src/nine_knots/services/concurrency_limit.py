"""Few at once of what takes much memory or time, whoever asks for it."""

import threading
from collections.abc import Iterator
from contextlib import contextmanager

from nine_knots.core.base.errors import TooBusy


class ConcurrencyLimit:
    """Lets ``at_once`` threads in; as many as ``waiting`` more wait, the others are refused, with
    what goes on in words."""

    def __init__(self, at_once: int, waiting: int, busy: str) -> None:
        self._busy = busy
        self._places = threading.Semaphore(at_once)
        self._known = threading.Semaphore(at_once + waiting)

    @contextmanager
    def place(self) -> Iterator[None]:
        """Holds a place; TooBusy where too many wait for one."""
        if not self._known.acquire(blocking=False):
            raise TooBusy(self._busy, retry_s=2, hint="Try again in a few seconds.")
        try:
            with self._places:
                yield
        finally:
            self._known.release()
