"""How long an answer is waited for: simulations ask first whether they are still wanted.

The core reads no clock and knows no process. Whoever asks it for something long may put a
``Cancellation`` in place; without one, everything is waited for.
"""

from collections.abc import Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from typing import Protocol


class Cancellation(Protocol):
    """Somebody who waits."""

    def check(self) -> None:
        """Raise whatever ends the work where it is no longer waited for."""

    def told(self, share: float) -> None:
        """Take note that about this share (0 to 1) of the work is done."""

    def shown(self, so_far: bytes) -> None:
        """Take what the answer has come to so far."""


_waiting: ContextVar[Cancellation | None] = ContextVar("waiting", default=None)


@contextmanager
def cancellable(somebody: Cancellation) -> Iterator[None]:
    """Work done inside is waited for by somebody."""
    token = _waiting.set(somebody)
    try:
        yield
    finally:
        _waiting.reset(token)


def check_cancelled() -> None:
    """To be asked before each simulation; raises what the waiting one raises."""
    somebody = _waiting.get()
    if somebody is not None:
        somebody.check()


def report_progress(done: int, of: int) -> None:
    """Say how many of so many parts of the work are done."""
    somebody = _waiting.get()
    if somebody is not None:
        somebody.told(done / of if of else 1.0)


def report_partial(so_far: bytes) -> None:
    """Give what an answer has come to so far, while work on it goes on."""
    somebody = _waiting.get()
    if somebody is not None:
        somebody.shown(so_far)
