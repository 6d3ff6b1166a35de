"""An angler's pull tests: single ones by the page, all of them summed up by the database."""

import uuid
from collections.abc import Iterable, Sequence
from datetime import datetime
from typing import Literal

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.knots import KnotKey
from nine_knots.core.domain.knots.own import PullTest, TestSums
from nine_knots.core.domain.materials import Family
from nine_knots.store.rows import readable_rows
from nine_knots.stored_types.types import PULL_TEST

Source = Literal["typed", "scale", "file"]
ALL = 2**31
MANY = 1000  # rows sent to the server at a time


class KeptTest(Frozen):
    """A pull test with what it was made on, how it came here, and when."""

    test_id: str
    test: PullTest
    line: str
    source: Source
    tested_at: datetime


def add_tests(
    cursor: DictCursor, angler_id: str, tests: Iterable[tuple[PullTest, str]], source: Source
) -> None:
    """Keep tests, each with the name of its line."""
    rows = [
        (angler_id, uuid.uuid4().hex, PULL_TEST.version, PULL_TEST.write(test), line, source)
        for test, line in tests
    ]
    for first in range(0, len(rows), MANY):
        cursor.executemany(
            "INSERT INTO pull_test "
            "(angler_id, test_id, version, body, line, source, tested_at) "
            "VALUES (%s, %s, %s, %s, %s, %s, UTC_TIMESTAMP(6))",
            rows[first : first + MANY],
        )


def list_tests(
    cursor: DictCursor,
    angler_id: str,
    most: int = ALL,
    skip: int = 0,
    knot: KnotKey | None = None,
) -> tuple[KeptTest, ...]:
    """Tests of an angler, or of one knot, newest first: all of them, or a page."""
    cursor.execute(
        "SELECT test_id, version, body, line, source, tested_at FROM pull_test "
        "WHERE angler_id = %s "
        "AND (%s IS NULL OR knot = %s) ORDER BY tested_at DESC, test_id DESC LIMIT %s OFFSET %s",
        (angler_id, knot, knot, most, skip),
    )
    return tuple(
        KeptTest(
            test_id=row["test_id"],
            test=test,
            line=row["line"],
            source=row["source"],
            tested_at=row["tested_at"],
        )
        for row, test in readable_rows(PULL_TEST, cursor.fetchall())
    )


def count_tests(cursor: DictCursor, angler_id: str, knot: KnotKey | None = None) -> int:
    """How many there are, or of one knot."""
    cursor.execute(
        "SELECT COUNT(*) AS kept FROM pull_test WHERE angler_id = %s AND (%s IS NULL OR knot = %s)",
        (angler_id, knot, knot),
    )
    row = cursor.fetchone()
    return int(row["kept"]) if row else 0


def summed_tests(cursor: DictCursor, angler_id: str) -> tuple[TestSums, ...]:
    """All tests of each knot in each family of materials, summed up."""
    cursor.execute(
        "SELECT knot, family, SUM(counted) AS tests, "
        "COALESCE(SUM(IF(counted, ln_kept, 0.0)), 0.0) AS ln_kept, "
        "MIN(ln_kept) AS least, MAX(ln_kept) AS most "
        "FROM pull_test WHERE angler_id = %s GROUP BY knot, family ORDER BY knot, family",
        (angler_id,),
    )
    return tuple(
        TestSums(
            knot=row["knot"],
            family=row["family"],
            tests=int(row["tests"]),
            ln_kept=row["ln_kept"],
            least=row["least"],
            most=row["most"],
        )
        for row in cursor.fetchall()
    )


def counted_shares(
    cursor: DictCursor, angler_id: str, knot: KnotKey, family: Family
) -> list[float]:
    """ln of the shares kept by the tests of one knot that are counted, from small to great."""
    cursor.execute(
        "SELECT ln_kept FROM pull_test WHERE angler_id = %s AND knot = %s AND family = %s "
        "AND counted = 1 ORDER BY ln_kept",
        (angler_id, knot, family),
    )
    return [row["ln_kept"] for row in cursor.fetchall()]


def set_aside(cursor: DictCursor, angler_id: str, test_ids: Sequence[str], aside: bool) -> None:
    """Set tests aside, or count them again; NotFound, and none changed, where one is missing."""
    _all_there(cursor, angler_id, test_ids)
    marks = ", ".join(["%s"] * len(test_ids))
    cursor.execute(
        "UPDATE pull_test SET body = JSON_SET(body, '$.set_aside', "
        f"JSON_EXTRACT(%s, '$')) WHERE angler_id = %s AND test_id IN ({marks})",
        ("true" if aside else "false", angler_id, *test_ids),
    )


def delete_tests(cursor: DictCursor, angler_id: str, test_ids: Sequence[str]) -> None:
    """Forget tests; NotFound, and none forgotten, where one is missing."""
    _all_there(cursor, angler_id, test_ids)
    marks = ", ".join(["%s"] * len(test_ids))
    cursor.execute(
        f"DELETE FROM pull_test WHERE angler_id = %s AND test_id IN ({marks})",
        (angler_id, *test_ids),
    )


def _all_there(cursor: DictCursor, angler_id: str, test_ids: Sequence[str]) -> None:
    marks = ", ".join(["%s"] * len(test_ids))
    cursor.execute(
        f"SELECT COUNT(*) AS there FROM pull_test WHERE angler_id = %s AND test_id IN ({marks})",
        (angler_id, *test_ids),
    )
    row = cursor.fetchone()
    if row is None or row["there"] != len(set(test_ids)):
        raise NotFound(
            "That pull test doesn't exist.",
            where="test_ids",
            hint="Reload the list; it was changed in another window.",
        )
