"""Reading what is sent in a process of its own: one thing at a time, in so much time and memory.

A picture of sixty million pixels or a file of a season takes seconds and hundreds of megabytes to
read, and a password can be one that takes seconds to judge. In a process of their own they neither
keep the service from answering nor make it grow.
"""

import asyncio
import os
import time
from collections.abc import Callable
from concurrent.futures import TimeoutError as TookTooLong
from multiprocessing import get_context
from typing import TYPE_CHECKING, Annotated, ParamSpec, TypeVar

from fastapi import Depends, Request

from nine_knots.api.jobs.child_process import configure_child
from nine_knots.api.jobs.quota import Quota
from nine_knots.api.principal import principal_of
from nine_knots.core.base.errors import TooBusy
from nine_knots.formats.errors import FileRefused

if TYPE_CHECKING:
    from pebble import ProcessPool

P = ParamSpec("P")
R = TypeVar("R")

MOST_S, OWN_MOST_S = 30.0, 120.0  # for what is sent; for what is the service's own
MOST_BYTES = 1_500_000_000  # of the process's addresses, most of which are its libraries'
MOST_WAITING = 8
IDLE_S = 60.0  # after which the process ends


class IsolatedProcess:
    """The process, started with the first thing to do; used from the event loop only."""

    def __init__(self, shares: Quota) -> None:
        self._shares = shares
        self._pool: ProcessPool | None = None
        self._turn = asyncio.Lock()
        self._waiting = 0
        self._idle: asyncio.TimerHandle | None = None

    async def run(
        self,
        account_id: str,
        most_s: float,
        task: Callable[P, R],
        *args: P.args,
        **kwargs: P.kwargs,
    ) -> R:
        """What a task comes to in so many seconds; its time is the account's.

        Raises what the task raises, TooBusy where too many wait, and FileRefused where it takes
        more time or memory than any file of an angler's.
        """
        self._shares.check(account_id)
        if self._waiting >= MOST_WAITING:
            raise TooBusy(
                "Other files are being read first.", retry_s=10, hint="Try again in a moment."
            )
        self._waiting += 1
        try:
            async with self._turn:
                return await self._run(account_id, most_s, task, *args, **kwargs)
        finally:
            self._waiting -= 1

    async def _run(
        self,
        account_id: str,
        most_s: float,
        task: Callable[P, R],
        *args: P.args,
        **kwargs: P.kwargs,
    ) -> R:
        from pebble import ProcessExpired, ProcessPool  # with the first task

        if self._idle is not None:
            self._idle.cancel()
        if self._pool is None or not self._pool.active:
            self._pool = ProcessPool(
                max_workers=1,
                initializer=configure_child,
                initargs=(os.getpid(), MOST_BYTES),
                context=get_context("spawn"),
            )
        begun = time.monotonic()
        try:
            answer: R = await asyncio.wrap_future(
                self._pool.schedule(task, args=args, kwargs=kwargs, timeout=most_s)
            )
        except (TookTooLong, MemoryError, ProcessExpired) as beyond:
            raise FileRefused(
                "This takes too long to read, or too much memory.", hint="Send something smaller."
            ) from beyond
        finally:
            self._shares.add(account_id, time.monotonic() - begun)
            self._idle = asyncio.get_running_loop().call_later(IDLE_S, self.close)
        return answer

    def close(self) -> None:
        """End the process; the next task starts another."""
        if self._idle is not None:
            self._idle.cancel()
        pool, self._pool = self._pool, None
        if pool is not None:
            pool.stop()  # type: ignore[no-untyped-call]


class IsolatedCall:
    """That process, as one call sees it."""

    def __init__(self, request: Request) -> None:
        self._process: IsolatedProcess = request.app.state.isolated
        self._account_id = principal_of(request).account_id or ""

    async def run(self, task: Callable[P, R], *args: P.args, **kwargs: P.kwargs) -> R:
        """What a task of this caller's comes to."""
        return await self._process.run(self._account_id, MOST_S, task, *args, **kwargs)

    async def run_own(self, task: Callable[P, R], *args: P.args, **kwargs: P.kwargs) -> R:
        """What a task of the service's own comes to, which nobody sent."""
        return await self._process.run(self._account_id, OWN_MOST_S, task, *args, **kwargs)


async def _isolated(request: Request) -> IsolatedCall:
    return IsolatedCall(request)


CurrentIsolated = Annotated[IsolatedCall, Depends(_isolated)]
