"""Casts and drifts are worked out in processes of their own, so that no other call waits.

A newer one asked for by the same bench takes the older one's place: one that has not begun is
dropped, one that runs is not waited for. Answers are kept by what was asked.
"""

import asyncio
import multiprocessing
import signal
from collections import OrderedDict
from concurrent.futures import Future, ProcessPoolExecutor
from concurrent.futures.process import BrokenProcessPool
from typing import TypeVar

from nine_knots.api.tasks import Answer, CastTask, Task, WaterTask, work
from nine_knots.core.errors import CannotCompute, Superseded

A = TypeVar("A")
WORKERS = 2
MOST_KEPT = 400


def _begin_worker() -> None:
    """Ctrl-C is for the parent, which ends its workers."""
    signal.signal(signal.SIGINT, signal.SIG_IGN)


class Casting:
    """The workers, what each bench waits for, and the answers kept."""

    def __init__(self) -> None:
        self._pool = self._new_pool()
        self._latest: dict[str, Future[Answer | CannotCompute]] = {}
        self._kept: OrderedDict[str, Answer | CannotCompute] = OrderedDict()

    @staticmethod
    def _new_pool() -> ProcessPoolExecutor:
        context = multiprocessing.get_context("spawn")
        return ProcessPoolExecutor(WORKERS, context, _begin_worker)

    def warm_up(self, cast: CastTask, water: WaterTask) -> None:
        """Let every worker load and compile what it needs, without waiting for it."""
        for resolution in ("fast", "full") * WORKERS:
            self._pool.submit(work, cast.model_copy(update={"resolution": resolution}))
            self._pool.submit(work, water)

    async def ask(self, bench: str, task: Task, kind: type[A]) -> A:
        """The answer, of this kind; Superseded where the same bench asked for another meanwhile."""
        key = f"{type(task).__name__} {task.model_dump_json()}"
        answer = self._kept.get(key)
        if answer is None:
            answer = await self._worked_out(bench, task)
            self._kept[key] = answer
            while len(self._kept) > MOST_KEPT:
                self._kept.popitem(last=False)
        else:
            self._kept.move_to_end(key)
        if isinstance(answer, CannotCompute):
            raise answer
        assert isinstance(answer, kind)
        return answer

    async def _worked_out(self, bench: str, task: Task) -> Answer | CannotCompute:
        older = self._latest.get(bench)
        if older is not None:
            older.cancel()
        try:
            mine = self._pool.submit(work, task)
        except BrokenProcessPool:
            self._pool = self._new_pool()
            mine = self._pool.submit(work, task)
        self._latest[bench] = mine
        try:
            answer = await asyncio.wrap_future(mine)
        except asyncio.CancelledError:
            if not mine.cancelled():  # whoever asked has gone away
                raise
            raise Superseded("A newer one of the same bench took its place.") from None
        finally:
            if self._latest.get(bench) is mine:
                del self._latest[bench]
        return answer

    def close(self) -> None:
        """End the workers."""
        self._pool.shutdown(wait=True, cancel_futures=True)
