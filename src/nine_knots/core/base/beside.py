"""Work done beside other work, on another processor where one is free: kernels let go of Python."""

from collections.abc import Callable
from concurrent.futures import Future, ThreadPoolExecutor
from contextvars import copy_context
from functools import cache
from typing import TypeVar

Result = TypeVar("Result")


@cache
def _pool() -> ThreadPoolExecutor:
    return ThreadPoolExecutor(max_workers=1, thread_name_prefix="beside")


def beside(work: Callable[[], Result]) -> Future[Result]:
    """Begin work that is waited for by whoever waits here; its result or error is asked later."""
    context = copy_context()
    return _pool().submit(lambda: context.run(work))
