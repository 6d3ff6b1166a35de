"""One worker: a process that works out one task after another, and its end in the service.

It is told on a pipe what to do and answers on it how far it is and what came of it. A number in
shared memory says which task is still wanted; simulations look at it before they begin.
"""

import asyncio
import ctypes
import logging
import multiprocessing
import os
import signal
import time
from collections.abc import Callable
from contextlib import suppress
from dataclasses import dataclass
from multiprocessing.connection import Connection

import psutil
from pydantic import ValidationError

from nine_knots.api.jobs.tasks import Task
from nine_knots.core.base.cancellation import cancellable
from nine_knots.core.base.errors import NineKnotsError, OutOfRange, TimedOut, WorkFailed

TELLS_EVERY_S = 0.2
BOOT_S = 240.0  # to compile everything on a first start
GRACE_S = 4.0  # after a task's time is up, until the process is ended by force
MOST_BYTES = 700_000_000  # of memory, beyond which a worker is replaced when it has answered
_CHANGE_IT = "Change the leader or the day a little and try again. The log has details."
BEHIND = 10  # by how much nicer a process is that works behind the others
_PARENT_DIED = 1  # PR_SET_PDEATHSIG of prctl(2)


UP = "up"
Told = float | bytes
"""What is heard of work under way: which share of it is done, or what it has come to."""


class JobCancelled(Exception):
    """Nobody waits for the task any more."""


class WorkerDied(Exception):
    """The worker's process ended before it answered."""


@dataclass(frozen=True)
class JobResult:
    """A task's end: bytes or a refusal, whether its time ran out, the process's memory."""

    answer: bytes | NineKnotsError | None
    hurried: bool
    memory: int


class _Patience:
    """Waits for a task while it is the one wanted and its time is not up.

    Its time is that of the processor, in all threads, so that a busy machine does not use it up.
    """

    def __init__(self, number: int, wanted: "ctypes.c_long", task: Task, ends: Connection):
        self.hurried = False
        self._number, self._wanted, self._ends, self._task = number, wanted, ends, task
        self._worked_until = time.process_time() + task.most_s
        self._until = time.monotonic() + task.most_wall_s
        self._next = 0.0

    def check(self) -> None:
        """Raise JobCancelled or TimedOut."""
        self._check_wanted()
        if time.process_time() > self._worked_until or time.monotonic() > self._until:
            self.hurried = True
            raise TimedOut("This ran out of time.", hint=self._task.when_too_long)

    def _check_wanted(self) -> None:
        if self._wanted.value != self._number:
            raise JobCancelled

    def told(self, share: float) -> None:
        """Pass it on, a few times a second at most."""
        now = time.monotonic()
        if now >= self._next:
            self._next = now + TELLS_EVERY_S
            self._ends.send(share)

    def shown(self, so_far: bytes) -> None:
        """Pass on what the answer has come to, also where time has run out."""
        self._check_wanted()
        self._ends.send(so_far)


def run_worker(
    ends: Connection, wanted: "ctypes.c_long", first: tuple[Task, ...], parent: int, nicer: int
) -> None:
    """The process: until the pipe closes or its parent dies.

    It begins with ``first``, so that everything is loaded and compiled before time is taken.
    """
    os.nice(nicer)
    signal.signal(signal.SIGINT, signal.SIG_IGN)
    signal.signal(signal.SIGTERM, signal.SIG_DFL)
    with suppress(OSError, AttributeError):
        ctypes.CDLL(None).prctl(_PARENT_DIED, signal.SIGKILL)
    if os.getppid() != parent:  # it died before this could be said
        return
    memory = psutil.Process().memory_info
    with suppress(EOFError, OSError):
        for task in first:
            _answer(task)
        ends.send(UP)
        while True:
            number, task = ends.recv()
            patience = _Patience(number, wanted, task, ends)
            with cancellable(patience):
                answer = _answer(task)
            ends.send(JobResult(answer, patience.hurried, memory().rss))


def _answer(task: Task) -> bytes | NineKnotsError | None:
    try:
        return task.written()
    except JobCancelled:
        return None
    except NineKnotsError as refused:
        return refused
    except ValidationError as error:  # a value that the asked-for figures lead to
        said = str(error.errors(include_input=False)[0]["msg"]).removeprefix("Value error, ")
        return OutOfRange(f"That gives an impossible value: {said}.", hint="Change it a little.")
    except Exception:
        logging.getLogger("nine_knots").exception("in a worker: %s", type(task).__name__)
        return WorkFailed("Something went wrong while this was worked out.", hint=_CHANGE_IT)


class Worker:
    """The service's end of one worker; used from the event loop only."""

    def __init__(self, first: tuple[Task, ...] = (), *, behind: bool = False) -> None:
        nicer = BEHIND if behind else 0
        context = multiprocessing.get_context("spawn")
        self._wanted = context.RawValue(ctypes.c_long, 0)
        self._number = 0
        self._ends, theirs = context.Pipe()
        self._process = context.Process(
            target=run_worker, args=(theirs, self._wanted, first, os.getpid(), nicer), daemon=True
        )
        self._process.start()
        theirs.close()
        self._is_up = False
        self.memory = 0

    @property
    def pid(self) -> int | None:
        """Its process."""
        return self._process.pid

    async def work(self, task: Task, told: Callable[[Told], None]) -> JobResult:
        """What came of a task; Died where the process did not live to tell."""
        self._number += 1
        self._wanted.value = self._number
        loop, heard_on = asyncio.get_running_loop(), self._ends.fileno()
        up: asyncio.Future[None] = loop.create_future()
        done: asyncio.Future[JobResult] = loop.create_future()
        if self._is_up:
            up.set_result(None)

        def heard() -> None:
            try:
                found = self._ends.recv()
            except (EOFError, OSError):
                for awaited in (up, done):
                    if not awaited.done():
                        awaited.set_exception(WorkerDied())
                loop.remove_reader(heard_on)
                return
            if found == UP:
                self._is_up = True
                up.set_result(None)
            elif isinstance(found, float | bytes):
                told(found)
            elif not done.done():
                done.set_result(found)

        loop.add_reader(heard_on, heard)
        try:
            try:
                self._ends.send((self._number, task))
            except OSError as gone:
                raise WorkerDied from gone
            await asyncio.wait_for(up, BOOT_S)
            found = await asyncio.wait_for(done, task.most_wall_s + GRACE_S)
        except TimeoutError as stuck:
            raise WorkerDied from stuck
        finally:
            loop.remove_reader(heard_on)
        self.memory = found.memory
        return found

    def give_up(self) -> None:
        """The task under way is not wanted any more; it ends before its next simulation."""
        self._wanted.value = 0

    @property
    def is_worn(self) -> bool:
        """Whether it has grown so large that another should take its place."""
        return self.memory > MOST_BYTES

    def end(self) -> None:
        """End the process, whatever it does."""
        self._process.kill()
        self._process.join()
        self._ends.close()
