"""What happened at the water: events, each kept once however often it is sent, never changed."""

from collections.abc import Iterable
from datetime import UTC, datetime

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.domain.event import Event
from nine_knots.store.rows import as_column, readable_rows
from nine_knots.stored_types.types import EVENT

MOST = 20_000
"""Of an angler: forty a day, fifty days a year, for ten years."""


def add_events(cursor: DictCursor, angler_id: str, events: Iterable[Event]) -> int:
    """Keep events; those that are here already stay as they are. Answers how many were new;
    OutOfRange where that makes too many."""
    now = as_column(datetime.now(UTC))
    rows = [
        (
            angler_id,
            earlier.event_id,
            earlier.plan_id,
            earlier.kind,
            earlier.at,
            EVENT.version,
            EVENT.write(earlier),
            now,
        )
        for earlier in events
    ]
    if not rows:
        return 0
    new = int(
        cursor.executemany(
            "INSERT IGNORE INTO fishing_event (angler_id, event_id, plan_id, kind, at_ms, "
            "version, body, noted_at) "
            "VALUES (%s, %s, %s, %s, %s, %s, %s, %s)",
            rows,
        )
        or 0
    )
    cursor.execute("SELECT COUNT(*) AS held FROM fishing_event WHERE angler_id = %s", (angler_id,))
    row = cursor.fetchone()
    if new and row is not None and row["held"] > MOST:
        raise OutOfRange(
            f"More than {MOST:,} events can't be kept.",
            where="events",
            hint="Export everything, then go on with a new angler.",
        )
    return new


def list_events(
    cursor: DictCursor, angler_id: str, plan_id: str | None = None
) -> tuple[Event, ...]:
    """All events, or of one day, in the order of their times."""
    where, values = ("AND plan_id = %s", [plan_id]) if plan_id is not None else ("", [])
    cursor.execute(
        f"SELECT event_id FROM fishing_event WHERE angler_id = %s {where} ORDER BY at_ms, event_id",
        (angler_id, *values),
    )
    ids = [row["event_id"] for row in cursor.fetchall()]
    # into a dict of this call: another call may empty the cache meanwhile
    found = {id_: event for id_ in ids if (event := _known.get((angler_id, id_))) is not None}
    missing = [id_ for id_ in ids if id_ not in found]
    if missing:
        narrow = missing if len(missing) < len(ids) else []
        marks = f"AND event_id IN ({', '.join(['%s'] * len(narrow))})" if narrow else where
        cursor.execute(
            f"SELECT version, body FROM fishing_event WHERE angler_id = %s {marks}",
            (angler_id, *(narrow or values)),
        )
        read = {event.event_id: event for _, event in readable_rows(EVENT, cursor.fetchall())}
        found.update(read)
        if len(_known) + len(read) > MOST_KNOWN:
            _known.clear()
        _known.update({(angler_id, event_id): event for event_id, event in read.items()})
    return tuple(found[id_] for id_ in ids if id_ in found)


MOST_KNOWN = 30_000
_known: dict[tuple[str, str], Event] = {}
"""Events as they were read: they never change, so none is read twice by one process."""


def days_fished(cursor: DictCursor, angler_id: str) -> frozenset[str]:
    """Plans of which anything happened."""
    cursor.execute("SELECT DISTINCT plan_id FROM fishing_event WHERE angler_id = %s", (angler_id,))
    return frozenset(row["plan_id"] for row in cursor.fetchall())
