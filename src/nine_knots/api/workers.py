"""Casts are worked out in processes of their own, so that they keep no other call waiting.

A newer cast asked for by the same bench takes the older one's place: one that has not begun is
dropped, one that runs is not waited for. Answers are kept by what was asked.
"""

import asyncio
import multiprocessing
import signal
from collections import OrderedDict
from concurrent.futures import Future, ProcessPoolExecutor
from concurrent.futures.process import BrokenProcessPool

from nine_knots.core.cast.effort import Effort, effort_of
from nine_knots.core.cast.landings import Seen, landing_of
from nine_knots.core.cast.own_cast import UNKNOWN, Landing, OwnCast
from nine_knots.core.cast.reading import CastReading, Resolution, cast_of
from nine_knots.core.cast.stroke import Stroke
from nine_knots.core.cast.turnover import STEADY, Gust
from nine_knots.core.design import Design
from nine_knots.core.errors import CannotCompute, Superseded
from nine_knots.core.remedies import Remedy, remedies_for
from nine_knots.core.strand import Stock
from nine_knots.core.tackle import Fly
from nine_knots.core.tying import USUAL_TIER, Tier
from nine_knots.core.units import Units
from nine_knots.core.values import Frozen, System

WORKERS = 2
MOST_KEPT = 400


class CastTask(Frozen):
    """What a worker is asked: everything that a cast depends on."""

    design: Design
    stroke: Stroke
    resolution: Resolution
    units: System
    first_deg: float | None = None
    own: OwnCast = UNKNOWN
    gust: Gust = STEADY


def _begin_worker() -> None:
    """Ctrl-C is for the parent, which ends its workers."""
    signal.signal(signal.SIGINT, signal.SIG_IGN)


class RemedyTask(Frozen):
    """What a worker is asked for remedies."""

    design: Design
    stroke: Stroke
    stock: tuple[Stock, ...]
    flies: tuple[Fly, ...]
    units: System
    own: OwnCast = UNKNOWN
    gust: Gust = STEADY
    tier: Tier = USUAL_TIER


class EffortTask(Frozen):
    """What a worker is asked for the effort of a leader."""

    design: Design
    stroke: Stroke
    units: System


class LandingTask(Frozen):
    """What a worker is asked of a landing that was seen."""

    seen: Seen


Task = CastTask | RemedyTask | EffortTask | LandingTask
Answer = CastReading | tuple[Remedy, ...] | Effort | Landing


def work(task: Task) -> Answer | CannotCompute:
    """The answer, in a worker; a refusal comes back as a value."""
    try:
        return _answer(task)
    except CannotCompute as refused:
        return refused


def _answer(task: Task) -> Answer:
    if isinstance(task, LandingTask):
        return landing_of(task.seen)
    units = Units(task.units)
    if isinstance(task, CastTask):
        return cast_of(
            task.design,
            task.stroke,
            task.resolution,
            units,
            task.first_deg,
            task.own,
            task.gust,
        )
    if isinstance(task, EffortTask):
        return effort_of(task.design, task.stroke, units)
    titles = {item.spool_id: item.title for item in task.stock}
    return remedies_for(
        task.design,
        task.stroke,
        task.stock,
        task.flies,
        titles,
        units,
        task.own,
        task.gust,
        task.tier,
    )


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

    def warm_up(self, task: CastTask) -> None:
        """Let every worker load and compile what a cast needs, without waiting for it."""
        for resolution in ("fast", "full") * WORKERS:
            self._pool.submit(work, task.model_copy(update={"resolution": resolution}))

    async def ask(self, bench: str, task: Task) -> Answer:
        """The answer; Superseded where the same bench asked for another meanwhile."""
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
            raise Superseded("A newer cast of the same bench took its place.") from None
        finally:
            if self._latest.get(bench) is mine:
                del self._latest[bench]
        return answer

    def close(self) -> None:
        """End the workers."""
        self._pool.shutdown(wait=True, cancel_futures=True)
