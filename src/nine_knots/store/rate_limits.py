"""How often something was tried within a time: counted where every process of the service sees it,
by a hash of whoever tries."""

import hashlib
from datetime import timedelta

from pymysql.cursors import DictCursor

from nine_knots.store.rows import forget_ended, from_now


def count_try(cursor: DictCursor, what: str, who: str, within: timedelta) -> int:
    """Count one more try; how many there were, from the first within such a time on."""
    forget_ended(cursor, "rate_limit")
    bucket = _bucket(what, who)
    cursor.execute("SELECT count, ends_at FROM rate_limit WHERE bucket = %s FOR UPDATE", (bucket,))
    row = cursor.fetchone()
    if row is not None and row["ends_at"] > from_now():
        cursor.execute("UPDATE rate_limit SET count = count + 1 WHERE bucket = %s", (bucket,))
        return int(row["count"]) + 1
    cursor.execute(
        "REPLACE INTO rate_limit (bucket, ends_at, count) VALUES (%s, %s, 1)",
        (bucket, from_now(within)),
    )
    return 1


def forget_tries(cursor: DictCursor, what: str, who: str) -> None:
    """Begin to count anew."""
    cursor.execute("DELETE FROM rate_limit WHERE bucket = %s", (_bucket(what, who),))


def _bucket(what: str, who: str) -> str:
    return hashlib.sha256(f"{what} {who}".encode()).hexdigest()
