"""Bringing a backup's data back, and from there on by the binary log to a point in time.

The data are built up in a folder of their own; only when they are whole does it take the place
of what was there, which is kept beside it.
"""

import re
import shutil
import subprocess
import time
from collections.abc import Callable
from pathlib import Path

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import Unreadable
from nine_knots.formats.errors import FileRefused
from nine_knots.run.console import print_line
from nine_knots.run.dump import Manifest, opened
from nine_knots.run.dump_check import check_dump
from nine_knots.run.log_lineage import (
    LogPlace,
    ReplaySpan,
    RestoreCut,
    generations,
    lineage_of,
    log_files,
    now_text,
    parts_until,
    write_lineage,
)
from nine_knots.run.mariadb import DB_NAME, PrivateServer, program
from nine_knots.run.orphans import end_servers_on
from nine_knots.run.owner import owner_of
from nine_knots.store import Database
from nine_knots.store.errors import DatabaseUnavailable
from nine_knots.store.migrate import migrate, shipped_migrations

LAST = "last"
ELSEWHERE = (
    "This backup comes from a database that isn't on this machine, or from an earlier version. "
    "Restore it only if you know where it comes from."
)
WHEN = re.compile(r"^\d{4}-\d\d-\d\d \d\d:\d\d(:\d\d)?$")


def restore(path: Path, local: Path, until: str | None, set_aside: Callable[[Path], None]) -> str:
    """Restore a backup; with ``until`` the changes logged since then are made again as well, those
    made after earlier restores included.

    Raises FileRefused for what is no backup of this program's time or where a log is missing,
    Unreadable for no time or one before the backup.
    """
    if until is not None and until != LAST and not WHEN.match(until):
        raise Unreadable(
            f"“{until}” is not a time.",
            where="--until",
            hint="Write it like 2026-11-26 18:30 (UTC), or last.",
        )
    place, beside = local / "database", local / "database-restoring"
    shutil.rmtree(beside, ignore_errors=True)
    beside.mkdir(parents=True)
    with opened(path) as (manifest, dumped):
        newest = max(migration.version for migration in shipped_migrations())
        if manifest.tables > newest:
            raise FileRefused(
                f"{path} was written by a newer Nine Knots.", hint="Restore it with that one."
            )
        check_dump(dumped)
        if not _made_here(local, manifest):
            print_line(ELSEWHERE)
        parts = _parts(local, manifest, until) if until else []
        server = PrivateServer(beside)
        try:
            database = Database(server.start())
            with dumped.open("rb") as data:
                _feed(server, data.fileno())
            for part, files in parts:
                _replay(server, part, files)
            migrate(database)
            begins = database.transact(_log_place)
            database.close()
        finally:
            server.stop(patience_s=60.0)
    last = parts[-1][0] if parts else None
    cut = RestoreCut(
        log_id=lineage_of(last.folder).log_id if last else manifest.log_id,
        backup=last.since if last else manifest.place,
        until=(last.until or LAST) if last else "",
    )
    made = lineage_of(beside).evolve(cut=cut, made_at=now_text(time.time()), begins=begins)
    write_lineage(beside, made)
    set_aside(place)
    beside.rename(place)
    since = f" and the changes logged since, until {until}" if parts else ""
    return f"The data of {path}{since} is restored (backup of {manifest.made_at})."


def _parts(local: Path, manifest: Manifest, until: str) -> list[tuple[ReplaySpan, list[Path]]]:
    """The stretches of logs to make again, each with its files; all of them are here."""
    for folder in (local / "database", *local.glob("database-until-*")):
        end_servers_on(folder / "data")
    made_at = manifest.made_at.replace("T", " ").removesuffix("Z")
    moment = "" if until == LAST else f"{until}:00"[: len("2026-11-26 18:30:00")]
    if moment and moment < made_at:
        raise Unreadable(
            f"{until} is before the backup was made ({made_at} UTC).",
            where="--until",
            hint="Name a later time, or an earlier backup.",
        )
    parts = parts_until(local, manifest.place, manifest.log_id, made_at, moment)
    return [(part, log_files(part)) for part in parts]


def _made_here(local: Path, manifest: Manifest) -> bool:
    """Whether the database that the backup was made of lies here."""
    return any(generation.lineage.log_id == manifest.log_id for generation in generations(local))


def _log_place(cursor: DictCursor) -> LogPlace:
    cursor.execute("SHOW MASTER STATUS")
    found = cursor.fetchone()
    assert found is not None
    return LogPlace(file=found["File"], at=int(found["Position"]))


def _replay(server: PrivateServer, part: ReplaySpan, files: list[Path]) -> None:
    command = [
        program("mariadb-binlog", "mariadb-client"),
        "--no-defaults",
        f"--database={DB_NAME}",
        f"--start-position={part.since.at}",
        *([f"--stop-datetime={part.until}"] if part.until else []),
        *([f"--stop-position={part.to.at}"] if part.to else []),
        *map(str, files),
    ]
    read = subprocess.Popen(
        command, stdout=subprocess.PIPE, stderr=subprocess.DEVNULL, env={"TZ": "UTC"}
    )
    assert read.stdout is not None
    with read.stdout as changes:
        _feed(server, changes.fileno())
    if read.wait() != 0:
        raise DatabaseUnavailable("The changes logged since the backup could not be read.")


def _feed(server: PrivateServer, source: int) -> None:
    """Have statements run by a client that knows no commands of the system, as the user whom the
    database runs as."""
    owner = owner_of(server.folder)
    owner.hand_over(server.options)
    command = [
        program("mariadb", "mariadb-client-core"),
        f"--defaults-file={server.options}",
        "--sandbox",
        DB_NAME,
    ]
    done = subprocess.run(
        owner.command(command),
        stdin=source,
        capture_output=True,
        text=True,
        check=False,
        env={"PATH": "/usr/bin:/bin"},
    )
    if done.returncode != 0:
        raise DatabaseUnavailable(f"The backup could not be restored: {done.stderr.strip()}.")
