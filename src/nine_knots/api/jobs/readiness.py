"""Show whether simulations are ready: on a first start they are compiled, once."""

import asyncio
import os
from dataclasses import dataclass
from pathlib import Path

from nine_knots.api.jobs.job_queue import ClientKey
from nine_knots.api.jobs.tasks import Task
from nine_knots.api.jobs.worker_pool import WorkerPool
from nine_knots.core.base.errors import NineKnotsError
from nine_knots.core.base.kernel import KERNELS

ME = ClientKey("service", "ready")


@dataclass(frozen=True, slots=True)
class Readiness:
    """Whether workers answer, and which share of the kernels is compiled and kept."""

    ready: bool
    compiled: float


class NoOpTask(Task):
    """Nothing to work out: it is answered as soon as a worker is up."""

    answers = str

    def work(self) -> str:
        """That it is up."""
        return "up"


class ReadinessWatch:
    """Starts a crew, and waits for its first worker."""

    def __init__(self, crew: WorkerPool) -> None:
        self._up = asyncio.ensure_future(crew.ask(ME, NoOpTask()))

    def end(self) -> None:
        """Wait no longer."""
        self._up.cancel()

    def read(self) -> Readiness:
        """How far it is."""
        done = self._up.done() and not self._up.cancelled()
        ready = done and not isinstance(self._up.exception(), NineKnotsError)
        return Readiness(ready=ready, compiled=1.0 if ready else _compiled())


def _compiled() -> float:
    """The share of the kernels whose index is kept on disk."""
    folder = os.environ.get("NUMBA_CACHE_DIR")
    if not folder:
        return 0.0
    return min(1.0, len(list(Path(folder).rglob("*.nbi"))) / max(1, len(KERNELS)))
