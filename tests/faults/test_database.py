"""A database that dies or hangs under load, or has no room: refused, restarted, all kept."""

import shutil
import subprocess
import threading
import time

import httpx
import psutil
import pytest

from nine_knots.run.supervisor import STEADY_S
from tests.faults.conftest import ROUNDS, answers, family
from tests.running import until
from tests.saving import Saver

WARM = False


class Reader(threading.Thread):
    """Asks for the page and for data all the while, and notes what came."""

    def __init__(self, url: str) -> None:
        super().__init__(daemon=True)
        self.pages: list[int] = []
        self.calls: list[httpx.Response] = []
        self.longest_s = 0.0
        self._url, self._stopping = url, threading.Event()

    def run(self) -> None:
        with httpx.Client(base_url=self._url, timeout=60.0) as client:
            while not self._stopping.is_set():
                self.pages.append(client.get("/shelf").status_code)
                begun = time.monotonic()
                self.calls.append(client.get("/api/v1/leaders", params={"limit": 5}))
                self.longest_s = max(self.longest_s, time.monotonic() - begun)
                time.sleep(0.02)

    def stop(self) -> None:
        """Stop asking."""
        self._stopping.set()
        self.join(60.0)


def test_a_killed_database_is_refused_with_a_time_and_comes_back(start):
    running = start().ready()
    saver, reader = Saver(running.http), Reader(running.url)
    saver.start()
    reader.start()
    for _ in range(ROUNDS):
        until(lambda: answers(running), "the database")
        before = len(saver.acknowledged)
        until(lambda have=before: len(saver.acknowledged) > have, "a save")
        time.sleep(STEADY_S)  # one that fails over and over is started at growing distances
        for database in family(running)["database"]:
            database.kill()
            database.wait(10)
    until(lambda: answers(running), "the database")
    saver.stop()
    reader.stop()
    saver.check()
    assert set(reader.pages) == {200}, "the page itself still loads"
    assert {call.status_code for call in reader.calls} == {200, 503}
    for call in reader.calls:
        if call.status_code == 503:
            assert int(call.headers["retry-after"]) >= 1
            assert call.headers["content-type"] == "application/problem+json"
            assert "content-security-policy" in call.headers


def test_a_hung_database_is_replaced(status):
    reader = Reader(status.url)
    reader.start()
    (hung,) = family(status)["database"]
    hung.suspend()
    until(lambda: not psutil.pid_exists(hung.pid) or hung.status() == "zombie", "it is ended")
    until(lambda: answers(status), "another one")
    until(lambda: reader.calls[-1].status_code == 200, "an answer")
    reader.stop()
    assert set(reader.pages) == {200}
    assert {call.status_code for call in reader.calls} <= {200, 503}


@pytest.fixture
def small_disk(folder):
    """The folder on a file system of its own that is soon full, where this machine allows one."""
    made = ["mount", "-t", "tmpfs", "-o", "size=260m,mode=755", "tmpfs", str(folder)]
    if shutil.which("mount") is None or subprocess.run(made, check=False).returncode != 0:
        pytest.skip("this machine mounts no small disk")
    yield folder
    subprocess.run(["umount", "-l", str(folder)], check=True)


def test_a_full_disk_is_said_and_recovered_from(small_disk, start):
    running = start().ready()
    saver = Saver(running.http)
    saver.start()
    until(lambda: len(saver.acknowledged) > 3, "saves")
    filler = small_disk / "filler"
    fill(filler)
    until(lambda: 507 in saver.statuses, "told that the disk is full")
    refused = running.http.post("/api/v1/leaders", json=saver.design, timeout=30.0)
    if refused.status_code == 507:
        assert "disk is full" in refused.json()["detail"]
    assert running.http.get("/").status_code == 200
    filler.unlink()
    before = len(saver.acknowledged)
    until(lambda: len(saver.acknowledged) > before + 3, "saves again")
    saver.stop()
    saver.check()
    running.stop()

    fill(filler)
    full = start()
    assert full.ended() == 1
    assert "disk is full" in full.said
    assert "--fresh" not in full.said
    filler.unlink()
    assert answers(start().ready())
    saver.check()


def fill(path) -> None:
    """Take all the room there is."""
    with path.open("wb", buffering=0) as out:
        try:
            while True:
                out.write(b"\0" * 65536)
        except OSError:
            pass
