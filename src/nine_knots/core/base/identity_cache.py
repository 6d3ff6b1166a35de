"""Answers kept for the very same argument: what is too large to be compared by what is in it."""

from collections import deque
from collections.abc import Callable
from functools import wraps
from typing import TypeVar

Argument = TypeVar("Argument")
Answer = TypeVar("Answer")


def cached_by_identity(
    many: int,
) -> Callable[[Callable[[Argument], Answer]], Callable[[Argument], Answer]]:
    """Keep what a function of one unchanging argument answered, for as ``many`` as came last."""

    def keeping(function: Callable[[Argument], Answer]) -> Callable[[Argument], Answer]:
        kept: deque[tuple[Argument, Answer]] = deque(maxlen=many)

        @wraps(function)
        def answer(argument: Argument) -> Answer:
            for before, answered in tuple(kept):
                if before is argument:
                    return answered
            answered = function(argument)
            kept.append((argument, answered))
            return answered

        return answer

    return keeping
