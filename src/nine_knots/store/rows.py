"""Rows and what stands in them: bodies, each of its own version, and times, which are UTC."""

from collections.abc import Iterable, Iterator
from datetime import UTC, datetime, timedelta
from typing import Any, TypeVar

from pymysql.cursors import DictCursor

from nine_knots.stored_types.errors import Damaged
from nine_knots.stored_types.stored_type import StoredType

Value = TypeVar("Value")
Row = dict[str, Any]


def value_of(kind: StoredType[Value], row: Row) -> Value:
    """The value of a row's ``version`` and ``body``; Damaged where it cannot be read."""
    return kind.read(row["version"], row["body"])


def readable_rows(kind: StoredType[Value], rows: Iterable[Row]) -> Iterator[tuple[Row, Value]]:
    """Rows with their values; those that cannot be read are ``damaged``'s to tell."""
    for row in rows:
        try:
            yield row, value_of(kind, row)
        except Damaged:
            continue


def in_utc(column: datetime) -> datetime:
    """A time as a row holds it, with its zone."""
    return column.replace(tzinfo=UTC)


def as_column(moment: datetime) -> datetime:
    """A time with its zone, as a row holds it."""
    return moment.astimezone(UTC).replace(tzinfo=None)


def from_now(after: timedelta = timedelta()) -> datetime:
    """Now, or so long after it, as a row holds it."""
    return as_column(datetime.now(UTC) + after)


def forget_ended(cursor: DictCursor, table: str) -> None:
    """Let go of some rows of a table whose time is over: whoever writes there tidies up."""
    cursor.execute(f"DELETE FROM {table} WHERE ends_at < %s LIMIT 100", (from_now(),))
