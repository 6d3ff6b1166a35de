"""Exchanges with other services on threads of their own: those that answer callers never wait."""

from collections.abc import Callable
from typing import Annotated, TypeVar

from anyio import CapacityLimiter, to_thread
from fastapi import Depends, Request

from nine_knots.api.caller import caller_of
from nine_knots.services.outward import AT_ONCE, one_of_few

R = TypeVar("R")


class Outside:
    """Other services, as one call may ask them."""

    def __init__(self, request: Request) -> None:
        self._threads: CapacityLimiter = request.app.state.outward_threads
        self._whose = caller_of(request).whose or "bench"

    async def exchange(self, ask: Callable[[], R]) -> R:
        """What an exchange comes to; TooBusy where too many go on, of all or of this caller."""
        with one_of_few(self._whose):
            return await to_thread.run_sync(ask, limiter=self._threads)


def outward_threads() -> CapacityLimiter:
    """As many threads as exchanges go on at once."""
    return CapacityLimiter(AT_ONCE)


async def _outside(request: Request) -> Outside:
    return Outside(request)


CurrentOutside = Annotated[Outside, Depends(_outside)]
