"""Work done beside other work, on another processor where one is free: kernels let go of Python."""

from collections.abc import Callable, Sequence
from concurrent.futures import Future, ThreadPoolExecutor
from contextvars import copy_context
from functools import cache
from typing import TypeVar, cast

Result = TypeVar("Result")


@cache
def _pool() -> ThreadPoolExecutor:
    return ThreadPoolExecutor(max_workers=1, thread_name_prefix="beside")


def submit(work: Callable[[], Result]) -> Future[Result]:
    """Begin work that is waited for by whoever waits here; its result or error is asked later."""
    context = copy_context()
    return _pool().submit(lambda: context.run(work))


def _hear_nothing(_done: int) -> None:
    return


def run_parallel(
    work: Sequence[Callable[[], Result]], each: Callable[[int], None] = _hear_nothing
) -> list[Result]:
    """The results of several pieces of work, in their order; ``each`` hears how many are done."""
    begun = [submit(item) for item in work]
    found: list[Result | None] = [None] * len(work)
    try:
        for done, number in enumerate(reversed(range(len(work)))):  # the other begins in front
            each(done)
            mine = begun[number].cancel()
            found[number] = work[number]() if mine else begun[number].result()
    finally:
        for future in begun:
            future.cancel()
    return cast(list[Result], found)
