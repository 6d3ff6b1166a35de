"""What an error of the database's driver means to whoever asked: lost, full, busy, or our own."""

import re

import pymysql

from nine_knots.core.base.errors import NineKnotsError
from nine_knots.store.errors import DatabaseUnavailable, DiskFull

DEADLOCK, LOCK_TIMEOUT = 1213, 1205  # 1213 also means a certification conflict in a cluster
FULL = (1021, 1114, 1026)
"""Disk full; the table is full; error writing file [S: MariaDB2024]."""
FULL_WORDS = re.compile(r"No space left|[Ee]rrno?(?:code)?:? ?\"?28\b|error 28\b|OS error code 28")


def tells_full_disk(text: str) -> bool:
    """Whether a message of MariaDB says that nothing more can be written."""
    return FULL_WORDS.search(text) is not None


def wants_retry(error: BaseException) -> bool:
    """Whether the server broke the transaction off and asks for it again."""
    return isinstance(error, pymysql.err.OperationalError) and _code(error) in (
        DEADLOCK,
        LOCK_TIMEOUT,
    )


def error_for(error: BaseException) -> NineKnotsError | None:
    """The refusal that a driver's error stands for; None where the fault is in our own statement.

    A server that dies while it is spoken to shows as errors of many kinds.
    """
    if isinstance(error, pymysql.err.MySQLError) and (
        _code(error) in FULL or tells_full_disk(str(error))
    ):
        return disk_full_error()
    own_fault = (
        pymysql.err.ProgrammingError,
        pymysql.err.IntegrityError,
        pymysql.err.DataError,
        pymysql.err.NotSupportedError,
    )
    if isinstance(error, own_fault):
        return None
    if isinstance(error, pymysql.err.MySQLError | OSError):
        return connection_lost_error()
    return None


def disk_full_error() -> DiskFull:
    """What is said while nothing more can be written."""
    return DiskFull(
        "The disk is full: this could not be saved.",
        hint="Free some space and save again. Your draft is safe in this browser.",
    )


def connection_lost_error() -> DatabaseUnavailable:
    """What is said while the server cannot be reached."""
    return DatabaseUnavailable(
        "The database does not answer just now.",
        hint="It restarts automatically. Try again in a few seconds. What you typed is kept "
        "in this browser.",
    )


def _code(error: BaseException) -> int | None:
    return error.args[0] if error.args and isinstance(error.args[0], int) else None
