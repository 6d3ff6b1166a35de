"""Connections to MariaDB and transactions that are retried when the server asks for it.

Every wait is bounded: for a connection of the pool, for the server to take it, for an answer, for
a row that another holds. After the server was found lost it is not asked again for a second, so
that calls are refused at once rather than each after its own wait.
"""

import random
import shutil
import time
from collections.abc import Callable, Iterator
from contextlib import contextmanager, suppress
from dataclasses import dataclass
from pathlib import Path
from threading import BoundedSemaphore
from typing import Any, TypeVar

import pymysql
from dbutils.pooled_db import PooledDB
from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NineKnotsError
from nine_knots.store.db_errors import (
    connection_lost_error,
    disk_full_error,
    error_for,
    wants_retry,
)
from nine_knots.store.errors import DatabaseUnavailable

Answer = TypeVar("Answer")

TRIES = 8
CONNECT_S, READ_S, LOCK_S = 3, 12, 10
POOL_S, LOOK_S = 12.0, 0.2  # for a connection; whether the server was found lost meanwhile
LEAST_ROOM_BYTES = 16_000_000  # the server's files grow by eight million at a time
LOST_FOR_S = 1.0  # for which a server that was found lost is not asked again


@dataclass(frozen=True)
class Address:
    """Where a MariaDB server listens, and as whom to come; ``shared`` where it may be a cluster:
    what was acknowledged by one of its nodes is waited for at the next."""

    host: str
    port: int
    user: str
    password: str
    database: str
    shared: bool = False


class Database:
    """A pool of connections; every use of it is one transaction.

    ``conflicts`` counts transactions that were run again. ``folder`` is where the server keeps its
    data, if it is on this machine: nothing is written while there is hardly room, since the server
    would wait for room and everybody for it.
    """

    def __init__(self, address: Address, most: int = 16, folder: Path | None = None) -> None:
        self.address = address
        self._folder = folder
        self._room = BoundedSemaphore(most)
        self._lost_until = 0.0
        self.conflicts = 0
        self._pool = PooledDB(
            creator=pymysql,
            maxcached=most,
            ping=1,
            host=address.host,
            port=address.port,
            user=address.user,
            password=address.password,
            database=address.database,
            ssl_disabled=True,
            charset="utf8mb4",
            collation="utf8mb4_unicode_ci",
            cursorclass=DictCursor,
            connect_timeout=CONNECT_S,
            read_timeout=READ_S,
            write_timeout=READ_S,
            autocommit=False,
            init_command=f"SET time_zone = '+00:00', innodb_lock_wait_timeout = {LOCK_S}"
            + (", wsrep_sync_wait = 1" if address.shared else ""),
        )

    def check_room(self) -> None:
        """DiskFull where there is hardly room left for what is to be written."""
        if self._folder is not None and shutil.disk_usage(self._folder).free < LEAST_ROOM_BYTES:
            raise disk_full_error()

    def transact(self, work: Callable[[DictCursor], Answer]) -> Answer:
        """Run ``work`` in one transaction; on a deadlock run the whole of it again.

        ``work`` may run several times and must have no effect but through the cursor. Raises
        DatabaseUnavailable when the server cannot be reached or keeps conflicting, and DiskFull
        when it cannot write any more.
        """
        for attempt in range(TRIES):
            try:
                return self._once(work)
            except pymysql.err.OperationalError as error:
                if not wants_retry(error):
                    raise
                self.conflicts += 1
                time.sleep(random.uniform(0.0, 0.01 * 2**attempt))
        raise DatabaseUnavailable(
            "The database is too busy to save this just now.", hint="Try again in a moment."
        )

    def _once(self, work: Callable[[DictCursor], Answer]) -> Answer:
        with self._connection() as connection:
            below = None  # the driver's own connection, which tells whether it still stands
            try:
                # Within a begun transaction the pool does not quietly reconnect and repeat a
                # statement by itself, which would lose those before it.
                connection.begin()
                with connection.cursor() as cursor:
                    below = cursor.connection
                    answer = work(cursor)
                connection.commit()
                return answer
            except BaseException as error:
                with suppress(Exception):  # a lost server has rolled back already
                    connection.rollback()
                if isinstance(error, NineKnotsError) or wants_retry(error):
                    raise
                gone = below is not None and not below.open
                raise self._in_words(error, gone) from error

    @contextmanager
    def _connection(self) -> Iterator[Any]:
        self._wait_for_room()
        try:
            try:
                connection = self._pool.connection()
            except Exception as error:
                raise self._in_words(error, gone=True) from error
            try:
                yield connection
            finally:
                with suppress(Exception):
                    connection.close()
        finally:
            self._room.release()

    def _wait_for_room(self) -> None:
        until = time.monotonic() + POOL_S
        while True:
            if time.monotonic() < self._lost_until:
                raise connection_lost_error()
            if self._room.acquire(timeout=LOOK_S):
                return
            if time.monotonic() > until:
                raise DatabaseUnavailable(
                    "The database has more to do than it can.", hint="Try again in a moment."
                )

    def _in_words(self, error: BaseException, gone: bool) -> BaseException:
        """What to raise for an error; whatever it is, with the connection gone the server is."""
        refused = error_for(error)
        if refused is None and gone and isinstance(error, Exception):
            refused = connection_lost_error()
        if isinstance(refused, DatabaseUnavailable):
            self._lost_until = time.monotonic() + LOST_FOR_S
        return refused or error

    def close(self) -> None:
        """Close every idle connection."""
        self._pool.close()
