"""Which binary log belongs to which backup, over any number of restores.

Each database folder has a log of its own, known by an id. A folder that a restore made also knows
its parent: the log it was cut from, at which backup, and until when. So the live state at any time
can be built from a backup: its own log up to the cut, then the child's, down to the folder that was
live at that time.
"""

import struct
import uuid
from dataclasses import dataclass
from datetime import UTC, datetime
from pathlib import Path
from typing import Annotated

from pydantic import Field, ValidationError

from nine_knots.core.base.values import Frozen
from nine_knots.formats.errors import FileRefused

FILE = "lineage.json"
HEADER = struct.Struct("<4sI")  # of a binary log: its magic, and when its first event was written
Name = Annotated[str, Field(pattern=r"^[\w.-]{1,40}$")]


class LogPlace(Frozen):
    """A place in a log: file and position. Places of one log compare in the order of time."""

    file: Name
    at: int

    def is_before(self, other: "LogPlace") -> bool:
        """Whether this place comes before, or is, the other one."""
        return (self.file, self.at) <= (other.file, other.at)


class RestoreCut(Frozen):
    """Where a restored folder was cut from its parent: the parent's log, the place of the backup in
    it, the time until which its changes were made again (UTC; empty for none, ``last`` for all)."""

    log_id: str
    backup: LogPlace
    until: str = ""


class Lineage(Frozen):
    """The id of a folder's log; of a restored one also its cut, when it was made (UTC), and where
    in its own log the restore was done."""

    log_id: str
    cut: RestoreCut | None = None
    made_at: str = ""
    begins: LogPlace | None = None


@dataclass(frozen=True)
class ReplaySpan:
    """A stretch of a folder's log to make again: from a place, up to a place or a time."""

    folder: Path
    since: LogPlace
    to: LogPlace | None = None
    until: str = ""


@dataclass(frozen=True)
class Generation:
    """A database folder with its lineage."""

    folder: Path
    lineage: Lineage


def lineage_of(folder: Path) -> Lineage:
    """The lineage of a database folder; a new one where it has none yet."""
    file = folder / FILE
    if file.exists():
        try:
            return Lineage.model_validate_json(file.read_text())
        except (ValidationError, OSError) as error:
            raise FileRefused(
                f"{file} can't be read, so nothing tells which backups its log belongs to.",
                where=str(file),
                hint="Restore without --until; the folder itself stays as it is.",
            ) from error
    found = Lineage(log_id=uuid.uuid4().hex)
    write_lineage(folder, found)
    return found


def write_lineage(folder: Path, lineage: Lineage) -> None:
    """Keep a folder's lineage beside its data, whole or not at all."""
    made = folder / f".{FILE}"
    made.write_text(lineage.model_dump_json(indent=1))
    made.replace(folder / FILE)


def generations(local: Path) -> list[Generation]:
    """All database folders here, the live one first, then those set aside, the newest first."""
    aside = sorted(local.glob("database-until-*"), key=lambda folder: folder.name, reverse=True)
    folders = [local / "database", *aside]
    return [Generation(path, lineage_of(path)) for path in folders if (path / "data").is_dir()]


def parts_until(
    local: Path, backup: LogPlace, log_id: str, made_at: str, until: str
) -> tuple[ReplaySpan, ...]:
    """The stretches of logs that lead from a backup to a time, or to the last change of the folder
    that continues from it.

    ``made_at`` is when the backup was made and ``until`` a time (UTC, ``YYYY-MM-DD HH:MM:SS``) or
    empty for the last. Raises FileRefused where a log that is needed is not here.
    """
    here = generations(local)
    found = log_id or _known_by_its_first_event(here, backup, made_at)
    for last in here:
        if until and last.lineage.made_at > until:
            continue  # it was not live yet
        parts = _path(here, last, found, backup, made_at, until)
        if parts is not None:
            return parts
    raise FileRefused(
        "The log of the changes since that backup is not here: it lies with the database the "
        f"backup was made of, and none of the folders in {local} is that one.",
        where="--until",
        hint="Restore without --until, put the folder that was set aside (database-until-…) back "
        f"into {local}, or take a newer backup.",
    )


def _path(
    here: list[Generation],
    last: Generation,
    log_id: str,
    backup: LogPlace,
    made_at: str,
    until: str,
) -> tuple[ReplaySpan, ...] | None:
    """From the backup down to a folder, each stretch up to the cut of the next; None where the
    folder does not continue from the backup."""
    by_id = {generation.lineage.log_id: generation for generation in here}
    down: list[Generation] = [last]
    while down[0].lineage.log_id != log_id:
        cut = down[0].lineage.cut
        if cut is None or cut.log_id not in by_id:
            return None
        down.insert(0, by_id[cut.log_id])
    since, parts = backup, []
    for number, generation in enumerate(down):
        child = down[number + 1].lineage if number + 1 < len(down) else None
        if child is None or child.cut is None:
            parts.append(ReplaySpan(generation.folder, since, until=until))
            break
        cut = child.cut
        if number == 0 and not _goes_on(backup, made_at, cut):
            return None
        to = None if cut.until else cut.backup
        parts.append(
            ReplaySpan(generation.folder, since, to, "" if cut.until == "last" else cut.until)
        )
        assert child.begins is not None
        since = child.begins
    return tuple(parts)


def _goes_on(backup: LogPlace, made_at: str, cut: RestoreCut) -> bool:
    """Whether what was cut from the backup's log holds what the backup holds."""
    if cut.until:
        return cut.until == "last" or made_at <= cut.until
    return backup.is_before(cut.backup)


def log_files(part: ReplaySpan) -> list[Path]:
    """The files of a stretch, in order; FileRefused where the first one is gone."""
    logs = sorted(
        path for path in (part.folder / "data").glob("changes.*") if path.suffix[1:].isdigit()
    )
    found = [
        path
        for path in logs
        if path.name >= part.since.file and (part.to is None or path.name <= part.to.file)
    ]
    if not found or found[0].name != part.since.file or part.since.at > found[0].stat().st_size:
        raise FileRefused(
            f"The changes since that backup are not all logged any more in {part.folder}.",
            where="--until",
            hint="Restore without --until, or take a newer backup.",
        )
    return found


def _known_by_its_first_event(here: list[Generation], backup: LogPlace, made_at: str) -> str:
    """The id of the log that a backup without one speaks of: it was begun before the backup was
    made, reaches the backup's place, and was still written then."""
    moment = _seconds(made_at)
    for generation in here:
        file = generation.folder / "data" / backup.file
        logs = sorted((generation.folder / "data").glob("changes.*"))
        if not file.exists() or file.stat().st_size < backup.at:
            continue
        begun, written = _begun(file), max(log.stat().st_mtime for log in logs)
        if begun is not None and begun <= moment <= written + 1.0:
            return generation.lineage.log_id
    return ""


def _begun(log: Path) -> int | None:
    with log.open("rb") as file:
        head = file.read(HEADER.size)
    if len(head) < HEADER.size:
        return None
    magic, begun = HEADER.unpack(head)
    return int(begun) if magic == b"\xfebin" else None


def _seconds(moment: str) -> float:
    return datetime.fromisoformat(moment.replace("Z", "")).replace(tzinfo=UTC).timestamp()


def now_text(moment: float) -> str:
    """A moment as ``--until`` takes it, in UTC."""
    return datetime.fromtimestamp(moment, UTC).strftime("%Y-%m-%d %H:%M:%S")
