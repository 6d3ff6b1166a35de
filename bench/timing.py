"""Running a piece of work again and again, and a line of a table."""

import statistics
import time
from collections.abc import Callable

RUNS = 300


def laps(work: Callable[[], object], runs: int = RUNS) -> list[float]:
    """Milliseconds of each run, warm."""
    for _ in range(5):
        work()
    found = []
    for _ in range(runs):
        begun = time.perf_counter()
        work()
        found.append(1e3 * (time.perf_counter() - begun))
    return sorted(found)


def row(name: str, found: list[float], more: str = "") -> None:
    """One line of a table."""
    p95 = found[int(0.95 * (len(found) - 1))]
    print(f"{name:<34}{statistics.median(found):>9.2f}{p95:>9.2f}   {more}")
