"""Bringing a backup's data back, and from there on by the binary log to a point in time.

The data are built up in a folder of their own; only when they are whole does it take the place
of what was there, which is kept beside it.
"""

import re
import shutil
import subprocess
from collections.abc import Callable
from pathlib import Path

from nine_knots.core.base.errors import DatabaseTrouble, FileRefused, Unreadable
from nine_knots.launch.dump import Manifest, opened
from nine_knots.launch.mariadb import DB_NAME, PrivateServer, program
from nine_knots.launch.stale import end_servers_on
from nine_knots.store import Database
from nine_knots.store.migrate import migrate, shipped_migrations

LAST = "last"
WHEN = re.compile(r"^\d{4}-\d\d-\d\d \d\d:\d\d(:\d\d)?$")


def restore(path: Path, local: Path, until: str | None, set_aside: Callable[[Path], None]) -> str:
    """Restore a backup; with ``until`` the changes logged since then are made again as well.

    Raises FileRefused for what is no backup of this program's time, Unreadable for no time.
    """
    if until is not None and until != LAST and not WHEN.match(until):
        raise Unreadable(
            f"“{until}” is no time.", where="--until", mend="Write 2026-11-26 18:30, or last."
        )
    place, beside = local / "database", local / "database-restoring"
    shutil.rmtree(beside, ignore_errors=True)
    beside.mkdir(parents=True)
    with opened(path) as (manifest, dumped):
        newest = max(one.version for one in shipped_migrations())
        if manifest.tables > newest:
            raise FileRefused(
                f"{path} was written by a newer Nine Knots.", mend="Restore it with that one."
            )
        logs = _logs(place / "data", manifest) if until else []
        server = PrivateServer(beside)
        try:
            database = Database(server.start())
            with dumped.open("rb") as data:
                _feed(server, data.fileno())
            if logs:
                _replay(server, logs, manifest, until or LAST)
            migrate(database)
            database.close()
        finally:
            server.stop(patience_s=60.0)
    set_aside(place)
    beside.rename(place)
    since = f" and the changes logged since, until {until}" if logs else ""
    return f"The data of {path}{since} are in place (backup of {manifest.made_at})."


def _logs(data: Path, manifest: Manifest) -> list[Path]:
    """The binary logs from the backup's on, in order; FileRefused where the first one is gone."""
    end_servers_on(data)
    logs = sorted(path for path in data.glob("changes.*") if path.suffix[1:].isdigit())
    found = [path for path in logs if path.name >= manifest.log_file]
    if not found or found[0].name != manifest.log_file:
        raise FileRefused(
            "The changes since that backup are not all logged any more.",
            where="--until",
            mend="Restore without --until, or take a newer backup.",
        )
    return found


def _replay(server: PrivateServer, logs: list[Path], manifest: Manifest, until: str) -> None:
    command = [
        program("mariadb-binlog", "mariadb-client"),
        "--no-defaults",
        f"--database={DB_NAME}",
        f"--start-position={manifest.log_at}",
        *([] if until == LAST else [f"--stop-datetime={until}"]),
        *map(str, logs),
    ]
    read = subprocess.Popen(
        command, stdout=subprocess.PIPE, stderr=subprocess.DEVNULL, env={"TZ": "UTC"}
    )
    assert read.stdout is not None
    with read.stdout as changes:
        _feed(server, changes.fileno())
    if read.wait() != 0:
        raise DatabaseTrouble("The changes logged since the backup could not be read.")


def _feed(server: PrivateServer, source: int) -> None:
    command = [
        program("mariadb", "mariadb-client-core"),
        f"--defaults-file={server.options}",
        DB_NAME,
    ]
    done = subprocess.run(command, stdin=source, capture_output=True, text=True, check=False)
    if done.returncode != 0:
        raise DatabaseTrouble(f"The backup could not be read back: {done.stderr.strip()}.")
