"""Backup files: a ZIP of one SQL dump and a manifest with version, checksum and place in the log.

Both are open: any MariaDB reads the dump, any tool the manifest.
"""

import hashlib
import re
import shutil
import subprocess
import time
import zipfile
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path
from tempfile import TemporaryDirectory
from typing import Annotated

from pydantic import Field, ValidationError

from nine_knots.core.base.values import Frozen
from nine_knots.formats.errors import FileRefused
from nine_knots.run.log_lineage import LogPlace, lineage_of
from nine_knots.run.mariadb import DB_NAME, PrivateServer, program
from nine_knots.store.db_errors import tells_full_disk
from nine_knots.store.errors import DatabaseUnavailable, DiskFull

FORMAT = "nine-knots-backup"
VERSION = 2
MANIFEST, DATA = "manifest.json", "data.sql"
LOG_PLACE = re.compile(rb"MASTER_LOG_FILE='([\w.-]{1,40})', MASTER_LOG_POS=(\d{1,18})")
HEAD_BYTES = 20_000  # of a dump, within which the place in the log is written


class Manifest(Frozen):
    """What a backup says of itself: ``tables`` is the number of the last migration, ``log_id``
    names the log that ``log_file`` and ``log_at`` are a place in (empty before version 2)."""

    format: str = FORMAT
    version: int = 1
    made_at: Annotated[str, Field(max_length=40)]
    tables: int
    sha256: Annotated[str, Field(pattern=r"^[0-9a-f]{64}$")]
    log_file: Annotated[str, Field(pattern=r"^[\w.-]{1,40}$")]
    log_at: int
    log_id: Annotated[str, Field(pattern=r"^[0-9a-f]{0,32}$")] = ""

    @property
    def place(self) -> LogPlace:
        """Where in its log the backup was made."""
        return LogPlace(file=self.log_file, at=self.log_at)


def write_dump(server: PrivateServer, tables: int, to: Path) -> Manifest:
    """Write a backup of a running server, consistent as of one moment; whole or not at all."""
    try:
        to.parent.mkdir(parents=True, exist_ok=True)
        with TemporaryDirectory(dir=to.parent, prefix=".backup-") as folder:
            return _packed(server, tables, Path(folder), to)
    except OSError as error:
        raise _not_written(to, str(error)) from error


def _packed(server: PrivateServer, tables: int, folder: Path, to: Path) -> Manifest:
    dumped, packed = folder / DATA, folder / "packed.zip"
    _dump(server, dumped)
    with dumped.open("rb") as data:
        place = LOG_PLACE.search(data.read(HEAD_BYTES))
    if place is None:
        raise DatabaseUnavailable("The backup doesn't contain its position in the binary log.")
    manifest = Manifest(
        made_at=time.strftime("%Y-%m-%dT%H:%M:%SZ", time.gmtime()),
        tables=tables,
        sha256=_digest(dumped),
        log_file=place[1].decode(),
        log_at=int(place[2]),
        version=VERSION,
        log_id=lineage_of(server.folder).log_id,
    )
    with zipfile.ZipFile(packed, "w", zipfile.ZIP_DEFLATED) as archive:
        archive.writestr(MANIFEST, manifest.model_dump_json(indent=1))
        archive.write(dumped, DATA)
    packed.chmod(0o600)
    packed.replace(to)
    return manifest


def _dump(server: PrivateServer, to: Path) -> None:
    command = [
        program("mariadb-dump", "mariadb-client"),
        f"--defaults-file={server.options}",
        "--single-transaction",
        "--master-data=2",
        "--hex-blob",
        "--no-tablespaces",
        "--skip-dump-date",
        f"--result-file={to}",
        DB_NAME,
    ]
    done = subprocess.run(command, capture_output=True, text=True, check=False)
    if done.returncode != 0:
        raise _not_written(to, done.stderr)


def _not_written(to: Path, said: str) -> Exception:
    if tells_full_disk(said):
        return DiskFull(
            f"The disk is full where {to} would lie: the backup was not written.",
            hint="Make room, or write it elsewhere.",
        )
    return DatabaseUnavailable(f"The backup could not be written: {said.strip()}.")


@contextmanager
def opened(path: Path) -> Iterator[tuple[Manifest, Path]]:
    """A backup's manifest and its dump, unpacked and checked; FileRefused where it is not whole."""
    refused = FileRefused(
        f"{path} is not a complete Nine Knots backup.",
        where=str(path),
        hint="Use another one. The automatic backups are in the folder backups.",
    )
    with TemporaryDirectory(prefix="nine-knots-restore-") as folder:
        dumped = Path(folder) / DATA
        try:
            with zipfile.ZipFile(path) as archive:
                manifest = Manifest.model_validate_json(archive.read(MANIFEST))
                with archive.open(DATA) as source, dumped.open("wb") as into:
                    shutil.copyfileobj(source, into)
        except (OSError, KeyError, zipfile.BadZipFile, ValidationError, EOFError) as error:
            raise refused from error
        if manifest.format != FORMAT or _digest(dumped) != manifest.sha256:
            raise refused
        if manifest.version > VERSION:
            raise FileRefused(
                f"{path} was written by a newer Nine Knots.", hint="Restore it with that one."
            )
        yield manifest, dumped


def _digest(path: Path) -> str:
    with path.open("rb") as data:
        return hashlib.file_digest(data, "sha256").hexdigest()
