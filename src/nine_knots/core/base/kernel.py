"""The marks of compiled kernels: small functions on plain numbers and arrays."""

from collections.abc import Callable
from typing import ParamSpec, TypeVar, cast

from numba import njit

P = ParamSpec("P")
R = TypeVar("R")

KERNELS: list[str] = []
"""The names of all kernels that were imported, each of which is compiled once and kept."""


def kernel(function: Callable[P, R]) -> Callable[P, R]:
    """Compile with Numba, kept on disk between runs; callable from Python and other kernels."""
    KERNELS.append(function.__qualname__)
    return cast(Callable[P, R], njit(cache=True, error_model="numpy", nogil=True)(function))


def row_kernel(function: Callable[P, R]) -> Callable[P, R]:
    """As ``kernel``, for a loop along rows of finite numbers: sums may be taken in any order.

    That lets the compiler take several numbers at once. What such a kernel answers differs from
    machine to machine in the last digits, and it may not be asked whether a number is finite.
    """
    KERNELS.append(function.__qualname__)
    marked = njit(cache=True, error_model="numpy", nogil=True, fastmath=True)
    return cast(Callable[P, R], marked(function))
