"""A cache that never keeps what was cut short."""

from collections.abc import Callable
from functools import lru_cache, wraps
from typing import ParamSpec, TypeVar, cast

from nine_knots.core.base.cancellation import check_cancelled

Arguments = ParamSpec("Arguments")
Answer = TypeVar("Answer")


def cached_result(
    maxsize: int,
) -> Callable[[Callable[Arguments, Answer]], Callable[Arguments, Answer]]:
    """An LRU cache for long work on hashable arguments.

    A deadline that has passed stays passed, so asking once more after the work tells whether any of
    it was cut short; if so the error goes out and nothing is kept.
    """

    def keeping(function: Callable[Arguments, Answer]) -> Callable[Arguments, Answer]:
        @lru_cache(maxsize=maxsize)
        @wraps(function)
        def whole(*args: Arguments.args, **kwargs: Arguments.kwargs) -> Answer:
            answer = function(*args, **kwargs)
            check_cancelled()
            return answer

        return cast(Callable[Arguments, Answer], whole)

    return keeping
