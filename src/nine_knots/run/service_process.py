"""The application as a process of its own; needs little itself, so that it is started early."""

import os
import subprocess
from contextlib import suppress
from dataclasses import replace
from pathlib import Path
from typing import TYPE_CHECKING

from nine_knots.run.owner import owner_of

if TYPE_CHECKING:
    from nine_knots.run.startup_options import StartupOptions

ENDS_S = 1.8
RETURNED = {"MALLOC_ARENA_MAX": "2", "MALLOC_MMAP_THRESHOLD_": "131072"}
"""Large bodies and hashes come and go in many threads: their memory goes back to the system."""


class Service:
    """The application's process: it loads, and begins to serve once it has its orders."""

    def __init__(self, folder: Path) -> None:
        self._folder = folder
        self._orders: StartupOptions | None = None
        self._process: subprocess.Popen[bytes] | None = None

    def load(self) -> None:
        """Start it without orders: what it needs takes longer to load than a database to start."""
        command = owner_of(self._folder).python("-m", "nine_knots.run.serving")
        self._process = subprocess.Popen(
            command,
            stdin=subprocess.PIPE,
            start_new_session=True,
            env={**os.environ, **RETURNED},
        )

    def serve(self, orders: "StartupOptions") -> None:
        """Give it its orders; it says itself when it is ready."""
        assert self._process is not None
        assert self._process.stdin is not None
        self._orders = orders
        with suppress(BrokenPipeError), self._process.stdin as told:  # one that ended is seen later
            told.write(orders.line())

    def restart(self) -> None:
        """Start it with the orders it had."""
        assert self._orders is not None
        self.load()
        self.serve(replace(self._orders, again=True))

    @property
    def ended(self) -> bool:
        """Whether it has ended."""
        return self._process is None or self._process.poll() is not None

    def stop(self) -> None:
        """Ask it to end, and make it end."""
        process, self._process = self._process, None
        if process is None or process.poll() is not None:
            return
        process.terminate()
        try:
            process.wait(ENDS_S)
        except subprocess.TimeoutExpired:
            process.kill()
            process.wait()
