"""How long workers were busy for each account within the hour: summed up where every process of
the service sees it."""

from collections.abc import Mapping
from datetime import datetime, timedelta

from pymysql.cursors import DictCursor

from nine_knots.store.rows import forget_ended, from_now, in_utc

Had = tuple[float, datetime]
"""Seconds, and when the hour that they count for is over."""


def add_worked(
    cursor: DictCursor, seconds: Mapping[str, float], within: timedelta
) -> dict[str, Had]:
    """Add what this process worked for accounts, by their ids, and read what all did. An account
    that is gone meanwhile is passed over; an hour begins with the first second after the last."""
    forget_ended(cursor, "compute_time")
    had = {}
    for account_id, more_s in sorted(seconds.items()):
        cursor.execute(
            "INSERT INTO compute_time (account_id, seconds, ends_at) "
            "SELECT account_id, 0, %s FROM account WHERE account_id = %s "
            "ON DUPLICATE KEY UPDATE "
            "seconds = IF(compute_time.ends_at < %s, 0, compute_time.seconds), "
            "ends_at = IF(compute_time.ends_at < %s, VALUES(ends_at), compute_time.ends_at)",
            (from_now(within), account_id, from_now(), from_now()),
        )
        cursor.execute(
            "UPDATE compute_time SET seconds = seconds + %s WHERE account_id = %s",
            (more_s, account_id),
        )
        cursor.execute("SELECT * FROM compute_time WHERE account_id = %s", (account_id,))
        row = cursor.fetchone()
        if row is not None:
            had[account_id] = (float(row["seconds"]), in_utc(row["ends_at"]))
    return had
