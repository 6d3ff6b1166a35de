"""Forward-only migrations from numbered .sql files.

MariaDB commits each statement of a definition by itself, so a file cannot be rolled back as a
whole. Instead the number of finished statements is kept: a run that was cut off goes on where it
stopped, and statements are written so that running one twice does no harm. A named lock keeps
two programs from migrating at once.
"""

import hashlib
from dataclasses import dataclass
from importlib.resources import files

from pymysql.cursors import DictCursor

from nine_knots.store.database import Database
from nine_knots.store.errors import DatabaseUnavailable

_LOCK = "nine_knots_migration"
_TABLE = """
CREATE TABLE IF NOT EXISTS schema_migration (
  version         INT          NOT NULL PRIMARY KEY,
  name            VARCHAR(80)  NOT NULL,
  checksum        CHAR(64)     NOT NULL,
  statements_done INT          NOT NULL DEFAULT 0,
  finished_at     DATETIME(6)  NULL
) ENGINE = InnoDB
"""


@dataclass(frozen=True)
class Migration:
    """One numbered file."""

    version: int
    name: str
    text: str

    @property
    def statements(self) -> list[str]:
        """The file's statements; lines that are comments are left out."""
        lines = (line for line in self.text.splitlines() if not line.lstrip().startswith("--"))
        return [part.strip() for part in "\n".join(lines).split(";\n") if part.strip(" ;\n")]

    @property
    def checksum(self) -> str:
        """SHA-256 of the text, by which a changed file is known."""
        return hashlib.sha256(self.text.encode()).hexdigest()


def shipped_migrations() -> list[Migration]:
    """The migrations that come with this program, in order."""
    found = []
    for path in files("nine_knots.store").joinpath("migrations").iterdir():
        if path.name.endswith(".sql"):
            number, _, name = path.name.removesuffix(".sql").partition("_")
            found.append(Migration(int(number), name, path.read_text("utf-8")))
    return sorted(found, key=lambda m: m.version)


def applied_version(cursor: DictCursor) -> int:
    """The number of the newest migration begun on this database, 0 on an empty one."""
    cursor.execute("SHOW TABLES LIKE 'schema_migration'")
    if not cursor.fetchall():
        return 0
    cursor.execute("SELECT COALESCE(MAX(version), 0) AS newest FROM schema_migration")
    found = cursor.fetchone()
    return int(found["newest"]) if found else 0


def migrate(database: Database, migrations: list[Migration] | None = None) -> list[int]:
    """Bring the database to this program's version; answers the versions applied.

    Raises DatabaseUnavailable for a newer database or a migration that was changed after it ran.
    """
    known = shipped_migrations() if migrations is None else migrations
    database.transact(lambda cursor: cursor.execute(_TABLE))
    return database.transact(lambda cursor: _bring_up(cursor, known))


def _bring_up(cursor: DictCursor, known: list[Migration]) -> list[int]:
    cursor.execute("SELECT GET_LOCK(%s, 30) AS held", (_LOCK,))
    held = cursor.fetchone()
    if held is None or held["held"] != 1:
        raise DatabaseUnavailable(
            "Another program is changing this database.", hint="Wait for it, then start again."
        )
    try:
        return _apply_missing(cursor, known)
    finally:
        cursor.execute("SELECT RELEASE_LOCK(%s)", (_LOCK,))


def _apply_missing(cursor: DictCursor, known: list[Migration]) -> list[int]:
    cursor.execute("SELECT * FROM schema_migration ORDER BY version")
    there = {row["version"]: row for row in cursor.fetchall()}
    newest = max((m.version for m in known), default=0)
    if there and max(there) > newest:
        raise DatabaseUnavailable(
            f"The data was written by a newer Nine Knots (version {max(there)} of the tables; "
            f"this one knows {newest}).",
            hint="Start the newer program. Nothing was changed.",
        )
    applied = []
    for migration in known:
        row = there.get(migration.version)
        if row is not None and row["checksum"] != migration.checksum:
            raise DatabaseUnavailable(
                f"Migration {migration.version} is not the one applied to this data.",
                hint="Reinstall the program. Nothing was changed.",
            )
        if row is None or row["finished_at"] is None:
            _apply(cursor, migration, row["statements_done"] if row else 0)
            applied.append(migration.version)
    return applied


def _apply(cursor: DictCursor, migration: Migration, done: int) -> None:
    cursor.execute(
        "INSERT IGNORE INTO schema_migration (version, name, checksum) VALUES (%s, %s, %s)",
        (migration.version, migration.name, migration.checksum),
    )
    for number, statement in enumerate(migration.statements[done:], start=done + 1):
        cursor.execute(statement)
        cursor.execute(
            "UPDATE schema_migration SET statements_done = %s WHERE version = %s",
            (number, migration.version),
        )
        cursor.connection.commit()
    cursor.execute(
        "UPDATE schema_migration SET finished_at = UTC_TIMESTAMP(6) WHERE version = %s",
        (migration.version,),
    )
    cursor.connection.commit()
