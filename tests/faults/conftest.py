"""The real program in a folder that its own user may enter, and somebody who saves all the while.

``NINE_KNOTS_ROUNDS`` says how often each fault is tried; scripts/campaign tries a hundred times.
"""

import os
import shutil
import signal
import tempfile
import threading
import time
import uuid
from collections.abc import Iterator
from pathlib import Path

import httpx
import psutil
import pytest

from nine_knots.launch.mariadb import free_port
from tests.running import PATIENCE, Running

ROUNDS = int(os.environ.get("NINE_KNOTS_ROUNDS", "5"))
UNREADY = 90.0  # seconds after which a program that does not answer is taken to be dead


@pytest.fixture
def folder() -> Iterator[Path]:
    """A folder of the program's, outside of those that only this user may enter."""
    made = Path(tempfile.mkdtemp(prefix="nine-knots-faults-"))
    made.chmod(0o755)
    yield made
    shutil.rmtree(made, ignore_errors=True)


@pytest.fixture
def start(folder) -> Iterator:
    """Starts the program in the folder, always on the same port; all is ended afterwards."""
    begun: list[Running] = []
    port = free_port()

    def make(*more: str) -> Running:
        begun.append(Running(folder, *more, port=port))
        return begun[-1]

    yield make
    for one in begun:
        if one.process.poll() is None:
            one.process.send_signal(signal.SIGTERM)
        one.ended()
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
        elif "launch.serving" in line:
            found["service"].append(process)
        elif "spawn_main" in line:
            found["workers"].append(process)
    return found


def until(true, what: str, seconds: float = UNREADY) -> None:
    """Wait for something to be true."""
    end = time.monotonic() + seconds
    while not true():
        assert time.monotonic() < end, f"{what}: not within {seconds:.0f} s"
        time.sleep(0.05)


def answers(running: Running) -> bool:
    """Whether the program and its database answer."""
    try:
        return running.http.get("/api/angler", timeout=5.0).status_code == 200
    except httpx.HTTPError:
        return False


class Saver(threading.Thread):
    """Saves one leader after another, each under one key until it is acknowledged."""

    def __init__(self, url: str) -> None:
        super().__init__(daemon=True)
        self.url = url
        self.acknowledged: list[str] = []
        self.statuses: set[int] = set()
        self._stopping = threading.Event()
        with httpx.Client(base_url=url, timeout=PATIENCE) as client:
            first = client.get("/api/leaders").json()[0]
            self._design = client.get(f"/api/leaders/{first['leader_id']}").json()["design"]

    def run(self) -> None:
        number = 0
        while not self._stopping.is_set():
            number += 1
            self._save(f"Save {number}")

    def _save(self, title: str) -> None:
        headers = {"idempotency-key": uuid.uuid4().hex}
        body = {**self._design, "title": title}
        while not self._stopping.is_set():
            try:
                answer = httpx.post(
                    f"{self.url}/api/leaders", json=body, headers=headers, timeout=30.0
                )
            except httpx.HTTPError:
                time.sleep(0.1)
                continue
            self.statuses.add(answer.status_code)
            if answer.status_code == 201:
                self.acknowledged.append(title)
                return
            time.sleep(0.1)

    def stop(self) -> None:
        """Stop, after the save under way."""
        self._stopping.set()
        self.join(60.0)

    def check(self) -> None:
        """Everything acknowledged is there once; nothing is there twice; no fault was answered."""
        titles = saved_titles(self.url)
        assert len(titles) == len(set(titles)), "a save was done twice"
        assert set(self.acknowledged) <= set(titles), "an acknowledged save is lost"
        assert not {status for status in self.statuses if status >= 500} - {503, 507}


def saved_titles(url: str) -> list[str]:
    """The titles of all leaders that were saved by a Saver."""
    found: list[str] = []
    page = f"{url}/api/leaders?limit=200"
    while page:
        answer = httpx.get(page, timeout=30.0)
        found += [card["title"] for card in answer.json()]
        following = answer.links.get("next", {}).get("url")
        page = f"{url}{following}" if following else ""
    return [title for title in found if title.startswith("Save ")]
