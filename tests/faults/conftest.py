"""The real program in a folder that its own user may enter, and somebody who saves all the while.

``NINE_KNOTS_ROUNDS`` says how often each fault is tried; scripts/campaign tries a hundred times.
"""

import os
import shutil
import signal
import tempfile
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

import httpx
import psutil
import pytest

from nine_knots.run.mariadb import free_port
from tests.running import Running

ROUNDS = int(os.environ.get("NINE_KNOTS_ROUNDS", "1"))


@contextmanager
def own_folder() -> Iterator[Path]:
    """A folder of the program's, outside of those that only this user may enter."""
    made = Path(tempfile.mkdtemp(prefix="nine-knots-faults-"))
    made.chmod(0o755)
    yield made
    shutil.rmtree(made, ignore_errors=True)


@pytest.fixture
def folder() -> Iterator[Path]:
    """A folder for one test."""
    with own_folder() as made:
        yield made


@pytest.fixture(scope="session")
def status() -> Iterator[Running]:
    """A running program for tests that do not end it."""
    with own_folder() as made:
        running = Running(made).ready()
        yield running
        running.stop()
        assert left_in(made) == []


@pytest.fixture
def start(folder, request) -> Iterator:
    """Starts the program in the folder, always on the same port; all is ended afterwards. In
    modules that say ``WARM = False`` nothing is computed, and no worker is started."""
    begun: list[Running] = []
    port, warm = free_port(), getattr(request.module, "WARM", True)

    def make(*more: str) -> Running:
        begun.append(Running(folder, *more, port=port, warm=warm))
        return begun[-1]

    yield make
    for item in begun:
        if item.process.poll() is None:
            item.process.send_signal(signal.SIGTERM)
        item.ended()
    assert left_in(folder) == []


def left_in(folder: Path) -> list[psutil.Process]:
    """Processes that work on a folder: the program, its database, and what they started."""
    found = []
    for process in psutil.process_iter():
        try:
            if str(folder) in " ".join(process.cmdline()) and process.pid != os.getpid():
                found.append(process)
        except psutil.Error:
            continue
    return found


def family(running: Running) -> dict[str, list[psutil.Process]]:
    """The processes of a running program by what they are."""
    found: dict[str, list[psutil.Process]] = {"database": [], "service": [], "workers": []}
    children = psutil.Process(running.process.pid).children(recursive=True)
    for process in children:
        try:
            line = " ".join(process.cmdline())
        except psutil.Error:  # it has just ended
            continue
        if "mariadbd" in line:
            found["database"].append(process)
        elif "run.serving" in line:
            found["service"].append(process)
        elif "spawn_main" in line:
            found["workers"].append(process)
    return found


def answers(running: Running) -> bool:
    """Whether the program and its database answer."""
    try:
        return running.http.get("/api/v1/angler", timeout=5.0).status_code == 200
    except httpx.HTTPError:
        return False
