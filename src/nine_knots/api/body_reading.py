"""Reading bodies of requests: how much of them is held in memory at once, for how long and whose.

A body that is sent slowly, or large ones from many at once, would otherwise take all the memory
there is. What is reserved for a body is free again when its call has been answered.
"""

import asyncio
from collections import Counter
from collections.abc import AsyncIterator, Iterator
from contextlib import asynccontextmanager, contextmanager

from starlette.datastructures import Headers
from starlette.types import Message, Receive

from nine_knots.api.request_limits import (
    MOST_BYTES,
    RejectedRequest,
    check_density,
    check_kind,
    check_shape,
)
from nine_knots.core.base.errors import TooBusy

AT_ONCE_BYTES = 40_000_000
OF_ONE_CALLER_BYTES = 33_000_000
FIRST_S, SLOWEST_BYTES_S = 10.0, 20_000  # to begin sending, and how fast a phone's line is at least
READ_BY_WORKERS = ("/api/v1/account-data",)
"""Bodies of any shape: a worker reads them."""


class BodyBudget:
    """What all bodies in flight take together, and those of each caller; for one event loop."""

    def __init__(self) -> None:
        self._taken: Counter[str] = Counter()

    @contextmanager
    def reserved(self, caller: str, size: int) -> Iterator[None]:
        """Hold so many bytes for a caller; TooBusy where there is no room for them."""
        mine, all_of_it = self._taken[caller] + size, self._taken.total() + size
        if mine > max(size, OF_ONE_CALLER_BYTES) or all_of_it > max(size, AT_ONCE_BYTES):
            raise TooBusy(
                "Too much is being uploaded at once.", retry_s=5, hint="Try again in a few seconds."
            )
        self._taken[caller] += size
        try:
            yield
        finally:
            self._taken[caller] -= size
            self._taken[caller] or self._taken.pop(caller)


def _declared_length(headers: Headers, most: int) -> int:
    """How many bytes a body takes, as its headers say, or may take where they do not; Unfit where
    that is more than ``most``."""
    length = headers.get("content-length")
    if length is None:
        return min(most, MOST_BYTES) if "transfer-encoding" in headers else 0
    if not (length.isascii() and length.isdigit()) or int(length[:12]) > most:
        raise _too_large(most)
    return int(length)


@asynccontextmanager
async def read_body(
    path: str, headers: Headers, receive: Receive, budget: BodyBudget, caller: str, most: int
) -> AsyncIterator[Receive]:
    """Read a body and look at it; what is passed on receives it as one piece, and its room is kept
    till then."""
    size = _declared_length(headers, most)
    with budget.reserved(caller, size):
        try:
            async with asyncio.timeout(FIRST_S + size / SLOWEST_BYTES_S):
                body = await _whole(receive, size)
        except TimeoutError as slow:
            raise RejectedRequest(
                408, "too-slow", "The body took too long to arrive.", "Send it again."
            ) from slow
        if body:
            check_kind(headers.get("content-type", ""))
            if len(body) > MOST_BYTES:
                check_density(body)
            if path not in READ_BY_WORKERS:
                check_shape(body)
        yield _receiving(body, receive)


async def _whole(receive: Receive, most: int) -> bytes:
    body = bytearray()
    while True:
        message = await receive()
        if message["type"] != "http.request":
            break
        body += message.get("body", b"")
        if len(body) > most:
            raise _too_large(most)
        if not message.get("more_body", False):
            break
    return bytes(body)


def _receiving(body: bytes, receive: Receive) -> Receive:
    given = False

    async def receive_whole() -> Message:
        nonlocal given, body
        if given:
            return await receive()
        given, whole, body = True, body, b""
        return {"type": "http.request", "body": whole, "more_body": False}

    return receive_whole


def _too_large(most: int) -> RejectedRequest:
    return RejectedRequest(
        413, "too-large", f"At most {most // 1000} kB are accepted.", "Send less at once."
    )
