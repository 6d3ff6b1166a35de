"""The whole program as a process of its own, with its own folder, port and database."""

import os
import signal
import subprocess
import sys
import threading
import time
from pathlib import Path

import httpx

from nine_knots.run.mariadb import free_port
from nine_knots.run.service import WARM

PROJECT = Path(__file__).resolve().parents[1]
PATIENCE = 60.0  # s: a busy machine is no failure
UNREADY = 90.0  # s after which a program that does not answer is taken to be dead


def _as_from_a_window() -> None:
    """Under nohup hang-ups are ignored, and stay so in whatever is started."""
    signal.signal(signal.SIGHUP, signal.SIG_DFL)


class Running:
    """``python -m nine_knots.run`` in a folder; ``said`` is what it has printed,
    ``http`` asks it. Where it is not ``warm`` its workers wait for the first thing to compute."""

    def __init__(self, local: Path, *more: str, port: int | None = None, warm: bool = True) -> None:
        self.port = port or free_port()
        self.url = f"http://127.0.0.1:{self.port}"
        # the service closes what is idle for five seconds: a connection that old isn't used again
        limits = httpx.Limits(keepalive_expiry=2.0)
        self.http = httpx.Client(base_url=self.url, timeout=PATIENCE, limits=limits)
        self.said = ""
        self.local = local
        command = [sys.executable, "-m", "nine_knots.run", "--local", str(local)]
        self.process = subprocess.Popen(
            [*command, "--port", str(self.port), *more],
            cwd=PROJECT,
            env={**os.environ, "PYTHONPATH": str(PROJECT / "src"), WARM: str(int(warm))},
            stdout=subprocess.PIPE,
            stderr=subprocess.STDOUT,
            text=True,
            preexec_fn=_as_from_a_window,
        )
        self._is_ready = threading.Event()
        self._listener = threading.Thread(target=self._listen, daemon=True)
        self._listener.start()

    def _listen(self) -> None:
        """All that it prints, from beginning to end: a pipe that nobody reads would stop it."""
        assert self.process.stdout is not None
        for line in self.process.stdout:
            self.said += line
            if "Nine Knots is ready" in line:
                self._is_ready.set()
        self._is_ready.set()

    def ready(self) -> "Running":
        """Wait for the address; AssertionError with what was said where it never comes."""
        self._is_ready.wait()
        assert "Nine Knots is ready" in self.said, f"It did not start:\n{self.said}"
        return self

    def ended(self) -> int:
        """Wait until it ends by itself; the exit code."""
        code = self.process.wait(timeout=60)
        self._listener.join(10)
        return code

    def stop(self) -> int:
        """Ctrl-C; the exit code."""
        if self.process.poll() is None:
            self.process.send_signal(signal.SIGINT)
        return self.ended()


def until(true, what: str, seconds: float = UNREADY) -> None:
    """Wait for something to be true."""
    end = time.monotonic() + seconds
    while not true():
        assert time.monotonic() < end, f"{what}: not within {seconds:.0f} s"
        time.sleep(0.05)
