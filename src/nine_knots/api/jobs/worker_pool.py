"""The crew: workers, what waits for them, and the answers kept."""

import asyncio
import time
from collections.abc import Callable
from typing import Literal, Protocol, get_args

from nine_knots.api.jobs.answer_cache import AnswerCache
from nine_knots.api.jobs.job_queue import ClientKey, Job, JobQueue
from nine_knots.api.jobs.quota import Quota
from nine_knots.api.jobs.tasks import Task
from nine_knots.api.jobs.worker import JobResult, Told, Worker, WorkerDied
from nine_knots.core.base.errors import CannotCompute, NineKnotsError, Superseded

WORKERS = 2
MOST_TRIES = 2


End = Literal["known", "worked out", "refused", "given up", "died"]
ENDS: tuple[End, ...] = get_args(End)
"""How a task ends: its answer was known, or worked out; it was refused or given up; its worker
died."""


def _end_of(done: JobResult) -> End:
    if done.answer is None:
        return "given up"
    return "worked out" if isinstance(done.answer, bytes) else "refused"


def _ignore(_told: Told) -> None:
    return


class WorkerHandle(Protocol):
    """A worker as its crew sees it, here or elsewhere."""

    memory: int

    @property
    def pid(self) -> int | None:
        """Its process, where it is one of this machine."""

    @property
    def is_worn(self) -> bool:
        """Whether another should take its place."""

    async def work(self, task: Task, told: Callable[[Told], None]) -> JobResult:
        """What came of a task; Died where it did not live to tell."""

    def give_up(self) -> None:
        """The task under way is not wanted any more."""

    def end(self) -> None:
        """End it, whatever it does."""


class WorkerPool:
    """Works tasks out; used from the event loop only. Workers start with the first use.

    Every worker begins with the tasks ``first``. One of several is always free for light tasks;
    those of a crew that works ``behind`` yield to whoever else wants the processors.
    """

    def __init__(
        self,
        first: tuple[Task, ...] = (),
        workers: int = WORKERS,
        *,
        behind: bool = False,
        shares: Quota | None = None,
    ) -> None:
        self._first, self._workers, self._behind = first, workers, behind
        self._idle: list[WorkerHandle] = []
        self._busy: dict[Job, WorkerHandle] = {}
        self._far: set[WorkerHandle] = set()
        self._turns = JobQueue()
        self._kept = AnswerCache()
        self._shares = shares or Quota()
        self._running: set[asyncio.Task[None]] = set()
        self._closed = False
        self.ended: dict[End, int] = dict.fromkeys(ENDS, 0)
        self.worked_s = 0.0

    @property
    def waiting(self) -> JobQueue:
        """What waits for a worker."""
        return self._turns

    @property
    def busy(self) -> int:
        """How many are at work."""
        return len(self._busy)

    @property
    def kept_bytes(self) -> int:
        """Of answers kept."""
        return self._kept.bytes

    @property
    def elsewhere(self) -> int:
        """How many of the workers are on other machines."""
        return len(self._far)

    @property
    def pids(self) -> list[int]:
        """The workers' processes."""
        workers = [*self._idle, *self._busy.values()]
        return [worker.pid for worker in workers if worker.pid is not None]

    def start(self) -> None:
        """Start the workers that are missing."""
        here = len(self._idle) + len(self._busy) - len(self._far)
        for _ in range(self._workers - here):
            self._idle.append(Worker(self._first, behind=self._behind))

    def join(self, worker: WorkerHandle) -> None:
        """Take in a worker from elsewhere, which is ready."""
        self._far.add(worker)
        self._idle.append(worker)
        self._go_on()

    def leave(self, worker: WorkerHandle) -> None:
        """Do without a worker from elsewhere; what it works on goes to another."""
        self._far.discard(worker)
        if worker in self._idle:
            self._idle.remove(worker)
        worker.end()

    async def ask(
        self, asker: ClientKey, task: Task, told: Callable[[Told], None] = _ignore
    ) -> bytes:
        """The answer; ``told`` hears how far it is, and what it has come to.

        Raises Superseded where the same asker asked for another meanwhile, TooBusy where too much
        waits, TimedOut, and whatever the task refuses. A caller that is cancelled gives it up.
        """
        self._replace(asker)
        key = AnswerCache.key(task, asker.whose)
        kept = self._kept.get(key)
        if kept is not None:
            self.ended["known"] += 1
            return kept
        self._shares.check(asker.whose)
        turn = Job(asker, task, key, asyncio.get_running_loop().create_future(), told)
        self._turns.add(turn)
        self._go_on()
        try:
            return await turn.answer
        finally:
            self._give_up(turn)

    def _replace(self, asker: ClientKey) -> None:
        newer = Superseded("A newer question from the same bench replaced this one.")
        under_way = [turn for turn in self._busy if turn.asker == asker]
        for turn in [*self._turns.of(asker), *under_way]:
            if not turn.answer.done():
                turn.answer.set_exception(newer)
            self._give_up(turn)

    def _give_up(self, turn: Job) -> None:
        if not self._turns.remove(turn) and turn in self._busy:
            self._busy[turn].give_up()

    def _go_on(self) -> None:
        """Give every idle worker what is next."""
        if self._closed:
            return
        self.start()
        while self._idle:
            heavy = sum(turn.task.heavy for turn in self._busy)
            most = max(1, self._workers + len(self._far) - 1)
            turn = self._turns.next(heavy_too=heavy < most)
            if turn is None:
                return
            worker = self._next_for(turn)
            self._busy[turn] = worker
            run = asyncio.get_running_loop().create_task(self._run(turn, worker))
            self._running.add(run)
            run.add_done_callback(self._running.discard)

    def _next_for(self, turn: Job) -> WorkerHandle:
        """Light work stays here, where it is answered sooner; heavy work goes elsewhere first."""
        fit = [
            worker_handle
            for worker_handle in self._idle
            if (worker_handle in self._far) == turn.task.heavy
        ]
        worker = fit[-1] if fit else self._idle[-1]
        self._idle.remove(worker)
        return worker

    async def _run(self, turn: Job, worker: WorkerHandle) -> None:
        turn.tries += 1
        begun = time.monotonic()
        try:
            done = await worker.work(turn.task, turn.told)
        except WorkerDied:
            self.ended["died"] += 1
            del self._busy[turn]
            self.leave(worker)
            if turn.answer.done():
                pass
            elif turn.tries < MOST_TRIES:
                self._turns.put_back(turn)
            else:
                turn.answer.set_exception(
                    CannotCompute(
                        "This could not be computed: the worker crashed twice.",
                        hint="Change the leader or the day a little, and try again.",
                    )
                )
            self._go_on()
            return
        took_s = time.monotonic() - begun
        self.worked_s += took_s
        self._shares.add(turn.asker.whose, took_s)
        self.ended[_end_of(done)] += 1
        del self._busy[turn]
        if worker.is_worn or self._closed:
            worker.end()
        else:
            self._idle.append(worker)
        self._go_on()  # before anything else: meanwhile a worker stands still
        if isinstance(done.answer, bytes) and not done.hurried:
            self._kept.put(turn.key, done.answer)
        if not turn.answer.done():
            if isinstance(done.answer, NineKnotsError):
                turn.answer.set_exception(done.answer)
            elif done.answer is None:
                turn.answer.set_exception(Superseded("It was cancelled."))
            else:
                turn.answer.set_result(done.answer)

    def close(self) -> None:
        """End the workers at once; whoever waits is told so."""
        self._closed = True
        for run in self._running:
            run.cancel()
        for worker in [*self._idle, *self._busy.values()]:
            worker.end()
        for turn in self._busy:
            if not turn.answer.done():
                turn.answer.cancel()
