"""Backups: when asked for, once a day, and before the tables are changed.

The automatic ones are kept for two weeks in the folder ``backups`` beside the database.
"""

import time
from collections.abc import Callable
from contextlib import AbstractContextManager
from pathlib import Path

from nine_knots.core.base.errors import NineKnotsError
from nine_knots.run.console import print_line
from nine_knots.run.dump import write_dump
from nine_knots.run.mariadb import PrivateServer
from nine_knots.store import Database
from nine_knots.store.migrate import applied_version, shipped_migrations

DAY_S = 86_400.0
KEPT_DAYS = 14
RETRY_S = 900.0  # after one that failed
DAILY, BEFORE = "daily", "before-tables"
_next_try: dict[Path, float] = {}


def back_up(
    server: PrivateServer, to: Path, only_one: Callable[[], AbstractContextManager[None]]
) -> str:
    """Write a backup of the running program's data, or of the resting data; answers a sentence.

    ``only_one`` holds the folder while a server is started for it, and refuses where one runs.
    """
    to = to.resolve()
    try:
        with only_one():
            server.start()
            try:
                return _written(server, to)
            finally:
                server.stop()
    except NineKnotsError as held:
        if held.code != "cannot-start":
            raise
    return _written(PrivateServer.running(server.folder), to)


def _written(server: PrivateServer, to: Path) -> str:
    made = write_dump(server, _tables(server), to)
    return f"Everything is in {to} ({to.stat().st_size / 1e6:.1f} MB, as of {made.made_at})."


def _tables(server: PrivateServer) -> int:
    database = Database(server.address, most=1)
    try:
        return database.transact(applied_version)
    finally:
        database.close()


def before_migrating(server: PrivateServer, database: Database, local: Path) -> None:
    """A backup where these tables are about to be changed."""
    there = database.transact(applied_version)
    newest = max(migration.version for migration in shipped_migrations())
    if 0 < there < newest:
        to = _folder(local) / f"{BEFORE}-{newest:04d}-{time.strftime('%Y%m%d-%H%M%S')}.zip"
        write_dump(server, there, to)
        print_line(f"Before updating the tables, a backup was written to {to}.")


def daily(server: PrivateServer, local: Path) -> None:
    """A backup where the newest daily one is a day old, and the oldest ones let go."""
    now = time.time()
    if now < _next_try.get(local, 0.0):
        return
    _next_try[local] = now + RETRY_S
    folder = _folder(local)
    made = sorted(folder.glob(f"{DAILY}-*.zip"), key=lambda path: path.stat().st_mtime)
    if made and now - made[-1].stat().st_mtime < DAY_S:
        return
    try:
        write_dump(
            server, _tables(server), folder / f"{DAILY}-{time.strftime('%Y%m%d-%H%M%S')}.zip"
        )
    except NineKnotsError as error:
        print_line(f"The daily backup was not made. {error.what} {error.hint}".strip())
        return
    for old in [*made, *folder.glob(f"{BEFORE}-*.zip")]:
        if now - old.stat().st_mtime > KEPT_DAYS * DAY_S:
            old.unlink(missing_ok=True)


def _folder(local: Path) -> Path:
    folder = local / "backups"
    folder.mkdir(mode=0o700, exist_ok=True)
    return folder
