"""Migrations: forward only, resumed where they were cut off, and never on newer data."""

import pymysql
import pytest

from nine_knots.store.errors import DatabaseUnavailable
from nine_knots.store.migrate import Migration, migrate, shipped_migrations

ONE_SQL = """
CREATE TABLE IF NOT EXISTS try_a (n INT);
INSERT INTO try_a VALUES (1);
"""
TWO_SQL = """
-- a comment; with a semicolon
ALTER TABLE try_a ADD COLUMN IF NOT EXISTS m INT;
"""
ONE, TWO = Migration(901, "one", ONE_SQL), Migration(902, "two", TWO_SQL)


@pytest.fixture
def scratch(migrated):
    yield migrated

    def clear(cursor):
        cursor.execute("DROP TABLE IF EXISTS try_a, try_b")
        cursor.execute("DELETE FROM schema_migration WHERE version >= 900")

    migrated.transact(clear)


def rows(database, sql):
    def read(cursor):
        cursor.execute(sql)
        return list(cursor.fetchall())

    return database.transact(read)


def with_shipped(*more):
    return [*shipped_migrations(), *more]


def test_migrations_are_numbered_without_gaps():
    assert [m.version for m in shipped_migrations()] == list(
        range(1, len(shipped_migrations()) + 1)
    )


def test_each_is_applied_once_and_in_order(scratch):
    assert migrate(scratch, with_shipped(ONE)) == [901]
    assert migrate(scratch, with_shipped(ONE, TWO)) == [902]
    assert migrate(scratch, with_shipped(ONE, TWO)) == []
    assert rows(scratch, "SELECT n, m FROM try_a") == [{"n": 1, "m": None}]


def test_one_cut_off_goes_on_where_it_stopped(scratch):
    broken = Migration(901, "one", ONE.text + "INSERT INTO no_such_table VALUES (1);\n")
    with pytest.raises(pymysql.err.ProgrammingError):
        migrate(scratch, with_shipped(broken))
    done = rows(
        scratch, "SELECT statements_done, finished_at FROM schema_migration WHERE version = 901"
    )
    assert done == [{"statements_done": 2, "finished_at": None}]
    scratch.transact(lambda c: c.execute("CREATE TABLE try_b (n INT)"))
    scratch.transact(lambda c: c.execute("RENAME TABLE try_b TO no_such_table"))
    try:
        assert migrate(scratch, with_shipped(broken)) == [901]
    finally:
        scratch.transact(lambda c: c.execute("DROP TABLE no_such_table"))
    assert rows(scratch, "SELECT COUNT(*) AS many FROM try_a") == [{"many": 1}]


def test_newer_data_are_refused_untouched(scratch):
    migrate(scratch, with_shipped(ONE, TWO))
    with pytest.raises(DatabaseUnavailable, match="newer Nine Knots") as refused:
        migrate(scratch, with_shipped(ONE))
    assert "Start the newer program" in refused.value.hint


def test_a_migration_changed_after_it_ran_is_refused(scratch):
    migrate(scratch, with_shipped(ONE))
    with pytest.raises(DatabaseUnavailable, match="not the one applied"):
        migrate(scratch, with_shipped(Migration(901, "one", ONE.text + "SELECT 1;\n")))
