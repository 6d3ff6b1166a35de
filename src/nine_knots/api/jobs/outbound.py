"""Exchanges with other services on threads of their own: those that answer callers never wait."""

from collections.abc import Callable
from typing import Annotated, TypeVar

from anyio import CapacityLimiter, to_thread
from fastapi import Depends, Request

from nine_knots.api.principal import principal_of
from nine_knots.services.outbound import AT_ONCE, outbound_slot

R = TypeVar("R")


class OutboundCalls:
    """Other services, as one call may ask them."""

    def __init__(self, request: Request) -> None:
        self._threads: CapacityLimiter = request.app.state.outbound_threads
        self._whose = principal_of(request).whose or "bench"

    async def exchange(self, ask: Callable[[], R]) -> R:
        """What an exchange comes to; TooBusy where too many go on, of all or of this caller."""
        with outbound_slot(self._whose):
            return await to_thread.run_sync(ask, limiter=self._threads)


def outbound_threads() -> CapacityLimiter:
    """As many threads as exchanges go on at once."""
    return CapacityLimiter(AT_ONCE)


async def _outside(request: Request) -> OutboundCalls:
    return OutboundCalls(request)


CurrentOutside = Annotated[OutboundCalls, Depends(_outside)]
