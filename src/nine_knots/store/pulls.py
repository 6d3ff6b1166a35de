"""An angler's pull tests."""

import uuid
from datetime import datetime
from typing import Literal

from pymysql.cursors import DictCursor

from nine_knots.core.errors import NotFound
from nine_knots.core.knots.own import PullTest
from nine_knots.core.values import Frozen

Source = Literal["typed", "scale", "file"]


class KeptTest(Frozen):
    """A pull test with what it was made on, how it came here, and when."""

    test_id: str
    test: PullTest
    line: str
    source: Source
    tested_at: datetime


def add_test(cursor: DictCursor, angler_id: str, test: PullTest, line: str, source: Source) -> None:
    """Keep a test."""
    cursor.execute(
        "INSERT INTO pull_test (angler_id, test_id, body, line, source, tested_at) "
        "VALUES (%s, %s, %s, %s, %s, UTC_TIMESTAMP(6))",
        (angler_id, uuid.uuid4().hex, test.model_dump_json(), line, source),
    )


def list_tests(cursor: DictCursor, angler_id: str) -> tuple[KeptTest, ...]:
    """All tests of an angler, oldest first."""
    cursor.execute(
        "SELECT test_id, body, line, source, tested_at FROM pull_test WHERE angler_id = %s "
        "ORDER BY tested_at, test_id",
        (angler_id,),
    )
    return tuple(
        KeptTest(
            test_id=row["test_id"],
            test=PullTest.model_validate_json(row["body"]),
            line=row["line"],
            source=row["source"],
            tested_at=row["tested_at"],
        )
        for row in cursor.fetchall()
    )


def set_aside(cursor: DictCursor, angler_id: str, test_id: str, aside: bool) -> None:
    """Set a test aside, or count it again; NotFound where there is none."""
    cursor.execute(
        "SELECT body FROM pull_test WHERE angler_id = %s AND test_id = %s FOR UPDATE",
        (angler_id, test_id),
    )
    row = cursor.fetchone()
    if row is None:
        raise NotFound("There is no such pull test.", where="test_id")
    test = PullTest.model_validate_json(row["body"]).model_copy(update={"set_aside": aside})
    cursor.execute(
        "UPDATE pull_test SET body = %s WHERE angler_id = %s AND test_id = %s",
        (test.model_dump_json(), angler_id, test_id),
    )
