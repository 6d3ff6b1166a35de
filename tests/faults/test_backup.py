"""Backups: consistent while it runs, proven whole, and back to the last acknowledged save."""

import signal
import subprocess
import sys
import time
import zipfile

from nine_knots.run.mariadb import PrivateServer
from nine_knots.store import Database
from nine_knots.store.migrate import applied_version
from tests.faults.conftest import answers
from tests.running import PROJECT, until
from tests.saving import Saver

WARM = False


def launch(folder, *arguments: str) -> subprocess.CompletedProcess:
    command = [sys.executable, "-m", "nine_knots.run", "--local", str(folder), *arguments]
    return subprocess.run(
        command,
        cwd=PROJECT,
        env={"PYTHONPATH": str(PROJECT / "src"), "PATH": "/usr/bin:/bin:/usr/sbin:/sbin"},
        capture_output=True,
        text=True,
        check=False,
    )


def test_back_to_the_last_acknowledged_save(start, folder, tmp_path):
    running = start().ready()
    saver = Saver(running.http)
    saver.start()
    until(lambda: len(saver.acknowledged) > 5, "saves")
    backup = tmp_path / "season.zip"
    made = launch(folder, "--backup", str(backup))
    assert made.returncode == 0, made.stderr
    in_backup = len(saver.acknowledged)
    until(lambda: len(saver.acknowledged) > in_backup + 5, "more saves")
    running.process.send_signal(signal.SIGKILL)
    running.ended()
    saver.stop()

    back = launch(folder, "--restore", str(backup), "--until", "last")
    assert back.returncode == 0, back.stderr
    assert "old data is kept in" in back.stdout
    again = start().ready()
    saver.check()
    assert len(list(folder.glob("database-until-*"))) == 1
    again.stop()

    back = launch(folder, "--restore", str(backup))
    assert back.returncode == 0, back.stderr
    start().ready()
    titles = saver.titles()
    assert 5 < len(titles) < len(saver.acknowledged), "as it was when the backup was made"
    assert len(titles) == len(set(titles))


def test_a_point_in_time_between_backups(start, folder, tmp_path):
    running = start().ready()
    backup = tmp_path / "morning.zip"
    assert launch(folder, "--backup", str(backup)).returncode == 0
    saver = Saver(running.http)
    saver._save("Save before")
    time.sleep(2.0)
    noon = time.strftime("%Y-%m-%d %H:%M:%S", time.gmtime())
    time.sleep(1.0)
    saver._save("Save after")
    running.stop()
    back = launch(folder, "--restore", str(backup), "--until", noon)
    assert back.returncode == 0, back.stderr
    start().ready()
    assert saver.titles() == ["Save before"]


def test_what_is_no_whole_backup_changes_nothing(start, folder, tmp_path):
    running = start().ready()
    backup = tmp_path / "good.zip"
    resting = tmp_path / "resting.zip"
    assert launch(folder, "--backup", str(backup)).returncode == 0
    busy = launch(folder, "--restore", str(backup))
    assert busy.returncode == 1
    assert "already running" in busy.stderr
    running.stop()
    assert launch(folder, "--backup", str(resting)).returncode == 0

    broken = tmp_path / "broken.zip"
    with zipfile.ZipFile(backup) as good, zipfile.ZipFile(broken, "w") as bad:
        bad.writestr("manifest.json", good.read("manifest.json"))
        bad.writestr("data.sql", good.read("data.sql")[:-20])
    for path, said in (
        (broken, "not a complete"),
        (tmp_path / "none.zip", "not a complete"),
        (backup, ""),
    ):
        arguments = ["--restore", str(path)] + ([] if said else ["--until", "tomorrow"])
        refused = launch(folder, *arguments)
        assert refused.returncode == 1
        assert (said or "is not a time") in refused.stderr
        assert "Traceback" not in refused.stderr
    assert list(folder.glob("database-until-*")) == []
    assert answers(start().ready())
    assert running.http.get("/api/v1/leaders").json()


def test_a_daily_backup_is_made_and_a_new_one_not_the_same_day(status):
    backups = status.local / "backups"
    until(lambda: len(list(backups.glob("daily-*.zip"))) == 1, "the daily backup")
    time.sleep(1.0)
    assert len(list(backups.glob("*"))) == 1


def test_a_backup_is_made_before_the_tables_are_changed(start, folder):
    start().ready().stop()
    server = PrivateServer(folder / "database")
    database = Database(server.start())
    newest = database.transact(applied_version)
    forget = "DELETE FROM schema_migration WHERE version = %s"
    database.transact(lambda c: c.execute(forget, (newest,)))
    database.close()
    server.stop()
    again = start().ready()
    assert "Before updating the tables" in again.said
    (kept,) = (folder / "backups").glob("before-tables-*.zip")
    again.stop()
    assert launch(folder, "--restore", str(kept)).returncode == 0
    assert answers(start().ready())


def test_a_time_without_a_backup_is_refused(folder):
    refused = launch(folder, "--until", "last")
    assert refused.returncode == 1
    assert "--restore FILE" in refused.stderr
