"""How often something was tried within a time: counted where every process of the service sees it,
by a hash of whoever tries."""

import hashlib
from datetime import UTC, datetime, timedelta

from pymysql.cursors import DictCursor

from nine_knots.store.rows import as_column, in_utc


def count_try(cursor: DictCursor, what: str, who: str, within: timedelta) -> int:
    """Count one more try; how many there were, from the first within such a time on."""
    bucket = hashlib.sha256(f"{what} {who}".encode()).hexdigest()
    now = datetime.now(UTC)
    cursor.execute("DELETE FROM tried WHERE ends_at < %s LIMIT 100", (as_column(now),))
    cursor.execute("SELECT count, ends_at FROM tried WHERE bucket = %s FOR UPDATE", (bucket,))
    row = cursor.fetchone()
    if row is not None and in_utc(row["ends_at"]) > now:
        cursor.execute("UPDATE tried SET count = count + 1 WHERE bucket = %s", (bucket,))
        return int(row["count"]) + 1
    cursor.execute(
        "REPLACE INTO tried (bucket, ends_at, count) VALUES (%s, %s, 1)",
        (bucket, as_column(now + within)),
    )
    return 1


def forget_tries(cursor: DictCursor, what: str, who: str) -> None:
    """Begin to count anew."""
    bucket = hashlib.sha256(f"{what} {who}".encode()).hexdigest()
    cursor.execute("DELETE FROM tried WHERE bucket = %s", (bucket,))
