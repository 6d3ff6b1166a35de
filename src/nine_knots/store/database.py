"""Connections to MariaDB and transactions that are retried when the server asks for it."""

import random
import time
from collections.abc import Callable
from contextlib import suppress
from dataclasses import dataclass
from typing import Any, TypeVar

import pymysql
from dbutils.pooled_db import PooledDB
from pymysql.cursors import DictCursor

from nine_knots.core.errors import DatabaseTrouble

Answer = TypeVar("Answer")
Row = dict[str, Any]

DEADLOCK, LOCK_TIMEOUT = 1213, 1205  # 1213 also means a certification conflict in a cluster
TRIES = 6


@dataclass(frozen=True)
class Address:
    """Where a MariaDB server listens, and as whom to come."""

    host: str
    port: int
    user: str
    password: str
    database: str


class Database:
    """A pool of connections; every use of it is one transaction."""

    def __init__(self, address: Address, most: int = 16) -> None:
        self.address = address
        self._pool = PooledDB(
            creator=pymysql,
            maxconnections=most,
            maxcached=most,
            blocking=True,
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
            connect_timeout=5,
            read_timeout=30,
            autocommit=False,
            init_command="SET time_zone = '+00:00'",
        )

    def transact(self, work: Callable[[DictCursor], Answer]) -> Answer:
        """Run ``work`` in one transaction; on a deadlock run the whole of it again.

        ``work`` may run several times and must have no effect but through the cursor. Raises
        DatabaseTrouble where the server cannot be reached or goes on conflicting.
        """
        for attempt in range(TRIES):
            try:
                return self._once(work)
            except pymysql.err.OperationalError as error:
                if error.args[0] not in (DEADLOCK, LOCK_TIMEOUT):
                    raise DatabaseTrouble(
                        "The database does not answer.",
                        mend="Look at the window in which Nine Knots was started; stop it and "
                        "start it again. What you typed is kept in this browser.",
                    ) from error
                time.sleep(random.uniform(0.0, 0.01 * 2**attempt))
        raise DatabaseTrouble(
            "The database is too busy to save this just now.", mend="Try again in a moment."
        )

    def _once(self, work: Callable[[DictCursor], Answer]) -> Answer:
        connection = self._pool.connection()
        try:
            # Within a begun transaction the pool does not quietly reconnect and repeat a statement
            # by itself, which would lose those before it.
            connection.begin()
            with connection.cursor() as cursor:
                answer = work(cursor)
            connection.commit()
            return answer
        except BaseException:
            with suppress(pymysql.err.Error):  # a lost server has rolled back already
                connection.rollback()
            raise
        finally:
            connection.close()

    def close(self) -> None:
        """Close every idle connection."""
        self._pool.close()
