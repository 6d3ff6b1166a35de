"""The mark of a compiled kernel: a small function on plain numbers and arrays."""

from collections.abc import Callable
from typing import ParamSpec, TypeVar, cast

from numba import njit

P = ParamSpec("P")
R = TypeVar("R")


def kernel(function: Callable[P, R]) -> Callable[P, R]:
    """Compile with Numba, kept on disk between runs; callable from Python and other kernels."""
    return cast(Callable[P, R], njit(cache=True, error_model="numpy")(function))
