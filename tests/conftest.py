"""A MariaDB of the tests' own; never the user's."""

from collections.abc import Iterator

import pytest
from hypothesis import settings

from nine_knots.run import PROJECT
from nine_knots.run.kernel_cache import keep_kernels_in
from nine_knots.run.logs import write_logs
from nine_knots.run.mariadb import PrivateServer
from nine_knots.store import Address, Database
from nine_knots.store.accounts.accounts import TABLES as ACCOUNT_TABLES
from nine_knots.store.erasure import TABLES
from nine_knots.store.migrate import migrate

# No test is timed, and a run is the same wherever it runs.
settings.register_profile("steady", deadline=None, derandomize=True)
settings.load_profile("steady")


def pytest_configure() -> None:
    keep_kernels_in(PROJECT / ".local")  # before any kernel is imported
    write_logs(hosted=True)  # a fault is told in lines, not drawn with all that was in its hands


@pytest.fixture(scope="session")
def address(tmp_path_factory) -> Iterator[Address]:
    server = PrivateServer(tmp_path_factory.mktemp("mariadb"))
    yield server.start()
    server.stop()


@pytest.fixture(scope="session")
def migrated(address) -> Iterator[Database]:
    database = Database(address)
    migrate(database)
    yield database
    database.close()


@pytest.fixture
def database(migrated) -> Database:
    """The migrated database with every table empty."""

    def empty(cursor):
        for table in ("revision", *TABLES, *ACCOUNT_TABLES, "rate_limit"):
            cursor.execute(f"DELETE FROM {table}")

    migrated.transact(empty)
    return migrated
