"""Any sequence of saves, backups and restores to any time brings back what was live then."""

import random
import shutil
import time
import zipfile
from dataclasses import dataclass, field

import pytest

from nine_knots.core.base.errors import Unreadable
from nine_knots.formats.errors import FileRefused
from nine_knots.run.dump import write_dump
from nine_knots.run.log_lineage import now_text
from nine_knots.run.mariadb import PrivateServer
from nine_knots.run.restore import restore
from nine_knots.run.start import set_aside
from nine_knots.store import Database
from nine_knots.store.anglers import Settings, create_angler
from nine_knots.store.migrate import applied_version, migrate

WARM = False

A_TICK = 1.1  # s: the log tells times to the second


@dataclass
class Generation:
    """A database folder, as the model sees it."""

    base: frozenset[str]
    created: str = ""
    parent: "Generation | None" = None
    cut: str = ""  # the time until which its parent's changes are in it, or “last”
    cut_at: str = ""  # when the backup was made that it was cut at
    saves: list[tuple[str, str]] = field(default_factory=list)

    def at(self, moment: str) -> frozenset[str]:
        """What it holds at a time, at the end where none is named."""
        return self.base | {name for when, name in self.saves if not moment or when < moment}


@dataclass
class Bench:
    """The real thing, and the model beside it."""

    local: object
    generations: list[Generation]
    backups: list[tuple[object, Generation, str, frozenset[str]]] = field(default_factory=list)

    def _with_server(self, work):
        server = PrivateServer(self.local / "database")
        database = Database(server.start())
        try:
            return work(server, database)
        finally:
            database.close()
            server.stop()

    def begin(self):
        self._with_server(lambda _server, database: migrate(database))

    def tick(self) -> str:
        time.sleep(A_TICK)
        now = now_text(time.time())
        time.sleep(A_TICK)
        return now

    def save(self, *names: str):
        def work(_server, database):
            for name in names:
                database.transact(lambda c, name=name: create_angler(c, Settings(name=name)))

        now = now_text(time.time())
        self._with_server(work)
        self.generations[-1].saves += [(now, name) for name in names]

    def backup(self):
        to = self.local / f"backup-{len(self.backups)}.zip"
        made = self.tick()
        version = lambda server, database: write_dump(  # noqa: E731
            server, database.transact(applied_version), to
        )
        self._with_server(version)
        self.backups.append((to, self.generations[-1], made, self.generations[-1].at("")))
        time.sleep(A_TICK)

    def restore(self, number: int, until: str | None):
        to, gen, made, state = self.backups[number]
        now = self.tick()
        restore(to, self.local, until, set_aside)
        if until is None:
            new = Generation(state, now, gen, "", made)
        else:
            moment = "" if until == "last" else until
            last = next(
                generation
                for generation in reversed(self.generations)
                if (not moment or generation.created <= moment) and continues(gen, made, generation)
            )
            new = Generation(last.at(moment), now, last, until, "")
        self.generations.append(new)

    def names(self) -> frozenset[str]:
        def work(_server, database):
            def read(cursor):
                cursor.execute("SELECT name FROM angler")
                return frozenset(row["name"] for row in cursor.fetchall())

            return database.transact(read)

        return self._with_server(work)

    def check(self):
        assert self.names() == self.generations[-1].at("")


def continues(gen: Generation, made: str, last: Generation) -> bool:
    """Whether a generation goes on from a backup that was made of another."""
    while last is not gen:
        if last.parent is None:
            return False
        if last.parent is gen:
            return last.cut == "last" or made <= (last.cut or last.cut_at)
        last = last.parent
    return True


@pytest.fixture
def bench(tmp_path):
    made = Bench(tmp_path, [Generation(frozenset())])
    made.begin()
    return made


def test_a_second_restore_loses_nothing_that_was_saved_after_the_first(bench):
    bench.save("before")
    bench.backup()
    bench.save("after the backup")
    bench.restore(0, "last")
    bench.check()
    noon = bench.tick()
    bench.save("after the first restore")
    bench.restore(0, "last")
    bench.check()
    assert bench.names() == {"before", "after the backup", "after the first restore"}
    bench.restore(0, noon)
    bench.check()
    assert bench.names() == {"before", "after the backup"}
    bench.restore(0, None)
    bench.save("another way on")
    bench.restore(0, "last")
    bench.check()
    assert bench.names() == {"before", "another way on"}


def test_any_sequence_brings_back_what_was_live_then(bench):
    chance = random.Random(8)
    bench.save("first")
    bench.backup()
    marks: list[str] = []
    for number in range(7):
        act = chance.choice(["save", "save", "backup", "restore", "restore"])
        if act == "save":
            bench.save(f"save {number}")
            marks.append(bench.tick())
        elif act == "backup":
            bench.backup()
        else:
            which = chance.randrange(len(bench.backups))
            later = [mark for mark in marks if mark > bench.backups[which][2]]
            bench.restore(which, chance.choice([None, "last", *(later[-2:] or ["last"])]))
        bench.check()


def test_a_log_that_is_not_here_is_said_and_nothing_is_changed(bench):
    bench.save("one")
    bench.backup()
    bench.save("two")
    bench.restore(0, None)
    (aside,) = bench.local.glob("database-until-*")
    away = bench.local / "elsewhere"
    shutil.move(aside, away)
    with pytest.raises(FileRefused, match="log of the changes since that backup is not here"):
        restore(bench.backups[0][0], bench.local, "last", set_aside)
    bench.check()
    shutil.move(away, aside)  # as the sentence says
    restore(bench.backups[0][0], bench.local, "2999-01-01 00:00", set_aside)
    assert bench.names() == {"one"}  # what went on from the backup last, not what was cut off
    with pytest.raises(Unreadable, match="before the backup was made"):
        restore(bench.backups[0][0], bench.local, "2001-01-01 00:00", set_aside)


def test_a_backup_of_an_earlier_version_finds_its_log_by_its_first_event(bench, tmp_path):
    bench.save("one")
    bench.backup()
    bench.save("two")
    old = tmp_path / "old.zip"
    with zipfile.ZipFile(bench.backups[0][0]) as new, zipfile.ZipFile(old, "w") as without:
        manifest = new.read("manifest.json").decode().replace('"version": 2', '"version": 1')
        kept = [line for line in manifest.splitlines() if "log_id" not in line]
        kept[-2] = kept[-2].rstrip(",")
        without.writestr("manifest.json", "\n".join(kept))
        without.writestr("data.sql", new.read("data.sql"))
    bench.backups[0] = (old, *bench.backups[0][1:])
    bench.restore(0, None)
    bench.save("three")
    restore(old, bench.local, "last", set_aside)
    assert bench.names() == {"one", "two"}  # its own log, not that of what lay in place
