"""Starting and stopping: what is entered stays, what is in the way is said in a sentence."""

import os
import subprocess
from pathlib import Path

import pytest

from nine_knots.run import mariadb
from nine_knots.store.errors import DatabaseUnavailable
from tests.running import PROJECT, Running


@pytest.fixture
def start(tmp_path):
    begun: list[Running] = []

    def make(*more: str, port: int | None = None) -> Running:
        begun.append(Running(tmp_path / "local", *more, port=port, warm=False))
        return begun[-1]

    yield make
    for item in begun:
        item.stop()


def refused(running: Running) -> str:
    """What a start that cannot be said, in a sentence and without a traceback."""
    assert running.ended() == 1
    assert "Traceback" not in running.said
    return running.said


def servers_in(folder: Path) -> list[str]:
    found = []
    for path in Path("/proc").glob("[0-9]*/cmdline"):
        try:
            line = path.read_bytes().decode(errors="replace")
        except OSError:
            continue
        if "mariadbd" in line and str(folder) in line:
            found.append(line)
    return found


def test_what_was_entered_stays_and_fresh_begins_again(start, tmp_path):
    first = start().ready()
    assert "demo" in first.said
    assert first.url in first.said
    assert '<div id="app">' in first.http.get("/").text
    settings = {"name": "Kept", "units": "metric", "theme": "dark"}
    first.http.put("/api/v1/angler", json=settings)
    assert servers_in(tmp_path)
    assert first.stop() == 0
    assert not servers_in(tmp_path), "Ctrl-C stops everything it started"

    second = start().ready()
    assert "demo" not in second.said
    assert second.http.get("/api/v1/angler").json() == settings
    second.stop()

    fresh = start("--fresh").ready()
    assert "old data is kept in" in fresh.said
    assert fresh.http.get("/api/v1/angler").json()["name"] != "Kept"
    assert list((tmp_path / "local").glob("database-until-*"))


def test_a_second_start_and_a_busy_port_are_said(start, tmp_path):
    first = start().ready()
    assert "already running from this folder" in refused(start())
    said = refused(start(port=first.port))
    assert f"Port {first.port} is in use" in said
    assert f"--port {first.port + 1}" in said


def test_a_port_that_cannot_be_is_said(start):
    assert "Choose one from 1024" in refused(start(port=80))


def test_a_broken_data_directory_is_said_with_the_mend(start, tmp_path):
    start().ready().stop()
    data = tmp_path / "local" / "database" / "data"
    (data / "ibdata1").write_bytes(b"rubbish")
    said = refused(start())
    assert "folder may be damaged" in said
    assert "mariadb.log" in said
    assert "--fresh" in said


def test_a_missing_server_program_is_said_with_the_package(monkeypatch, tmp_path):
    monkeypatch.setattr(mariadb.shutil, "which", lambda *_args, **_more: None)
    with pytest.raises(DatabaseUnavailable, match="not installed") as found:
        mariadb.PrivateServer(tmp_path / "db").start()
    assert "apt-get install" in found.value.hint


def test_an_ordinary_user_is_told_which_packages_to_ask_for():
    script = f"PROJECT={PROJECT}; . scripts/prepare.sh; need_packages no-such:some-package"
    as_nobody = ["setpriv", "--reuid=65534", "--regid=65534", "--clear-groups", "--"]
    command = [*(as_nobody if os.geteuid() == 0 else []), "bash", "-c", script]
    done = subprocess.run(command, cwd=PROJECT, capture_output=True, text=True, check=False)
    assert done.returncode == 1
    assert "As root: apt-get install" in done.stderr
    assert "some-package" in done.stderr


def test_empty_begins_without_the_demo(start):
    running = start("--empty").ready()
    assert "The shelf is empty" in running.said
    (only,) = running.http.get("/api/v1/anglers").json()
    assert not only["demo"]
    assert (
        running.http.get("/api/v1/stock").json() == running.http.get("/api/v1/leaders").json() == []
    )
    assert running.http.post("/api/v1/anglers/demo").json()["demo"]
    assert running.http.get("/api/v1/leaders").json()
