"""Saved leaders: named, each a row of immutable numbered revisions."""

import re
import uuid
from dataclasses import dataclass
from datetime import UTC, datetime

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound, OutOfRange
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.design import Design
from nine_knots.store.errors import StaleRevision
from nine_knots.store.rows import Row, as_column, in_utc, value_of
from nine_knots.stored_types.errors import Damaged
from nine_knots.stored_types.types import DESIGN
from nine_knots.words.found_by import search_words_of


class SavedLeader(Frozen):
    """One leader on the shelf, as it stands in its newest revision.

    ``damaged`` says why that cannot be read; ``design`` is None then.
    """

    leader_id: str
    title: str
    revision: int
    updated_at: datetime
    design: Design | None
    labels: tuple[str, ...] = ()
    damaged: str = ""


class Revision(Frozen):
    """One saved state of a leader; it never changes."""

    leader_id: str
    revision: int
    saved_at: datetime
    design: Design


@dataclass(frozen=True, slots=True)
class LeaderQuery:
    """Leaders sought: small words of which each is found in a leader's, and a label on it."""

    words: tuple[str, ...] = ()
    label: str = ""


ALL = LeaderQuery()
MOST_LEADERS = 10_000  # of an angler, those off the shelf among them
Place = tuple[datetime, str]
"""Of a leader in the order of the shelf: when it was saved last, and its id."""


def labels_in(column: str) -> tuple[str, ...]:
    """Labels out of their column, where each stands between bars so that it can be sought."""
    return tuple(label for label in column.split("|") if label)


def labels_column(labels: tuple[str, ...]) -> str:
    """Labels as their column holds them."""
    return f"|{'|'.join(labels)}|" if labels else ""


def _summary(design: Design) -> tuple[str, str | None, float, float, str]:
    leader = design.leader
    sought = search_words_of(design)
    return design.title, leader.school, leader.length_m, leader.tippet_diameter_m, sought


def list_leaders(
    cursor: DictCursor,
    angler_id: str,
    most: int,
    after: Place | None = None,
    which: LeaderQuery = ALL,
) -> tuple[SavedLeader, ...]:
    """A page of the angler's leaders, last saved first: those after a place in that order."""
    moment, leader_id = after or (datetime(9999, 1, 1, tzinfo=UTC), "")
    where, values = _which(which)
    cursor.execute(
        "SELECT l.leader_id, l.title, l.labels, l.newest AS revision, l.updated_at, r.version, "
        "r.body FROM leader l "
        "JOIN revision r ON r.leader_id = l.leader_id AND r.number = l.newest "
        "WHERE l.angler_id = %s AND l.removed_at IS NULL "
        f"AND (l.updated_at < %s OR (l.updated_at = %s AND l.leader_id < %s)) {where} "
        "ORDER BY l.updated_at DESC, l.leader_id DESC LIMIT %s",
        (angler_id, *[as_column(moment)] * 2, leader_id, *values, most),
    )
    return tuple(_saved(row) for row in cursor.fetchall())


def _which(which: LeaderQuery) -> tuple[str, list[str]]:
    """The condition of a search, and its values: every word is found, and the label is on it."""
    patterns = [f"%{escaped(word)}%" for word in which.words]
    where = "AND l.sought LIKE %s ESCAPE '!' " * len(patterns)
    if which.label:
        where += "AND l.labels LIKE %s ESCAPE '!' "
        patterns.append(f"%|{escaped(which.label)}|%")
    return where, patterns


def escaped(text: str) -> str:
    """A text as LIKE and JSON_SEARCH take it by the letter, with ``!`` as their escape."""
    return re.sub(r"([%_!])", r"!\1", text)


def _saved(row: Row) -> SavedLeader:
    design, damaged = None, ""
    try:
        design = value_of(DESIGN, row)
    except Damaged as damage:
        damaged = damage.what
    return SavedLeader(
        leader_id=row["leader_id"],
        title=row["title"],
        revision=row["revision"],
        updated_at=in_utc(row["updated_at"]),
        design=design,
        labels=labels_in(row["labels"]),
        damaged=damaged,
    )


def count_leaders(cursor: DictCursor, angler_id: str, which: LeaderQuery = ALL) -> int:
    """How many leaders lie on the shelf, or of those sought."""
    where, values = _which(which)
    cursor.execute(
        "SELECT COUNT(*) AS saved FROM leader l "
        f"WHERE l.angler_id = %s AND l.removed_at IS NULL {where}",
        (angler_id, *values),
    )
    row = cursor.fetchone()
    return int(row["saved"]) if row else 0


def leaders_with(cursor: DictCursor, angler_id: str, spool_id: str) -> tuple[str, ...]:
    """Titles of saved leaders of which a spool or packet is a piece, as they stand; last saved
    first."""
    cursor.execute(
        "SELECT l.title FROM leader l "
        "JOIN revision r ON r.leader_id = l.leader_id AND r.number = l.newest "
        "WHERE l.angler_id = %s AND l.removed_at IS NULL "
        "AND JSON_SEARCH(r.body, 'one', %s, '!', '$**.spool_id') IS NOT NULL "
        "ORDER BY l.updated_at DESC, l.leader_id DESC",
        (angler_id, escaped(spool_id)),
    )
    return tuple(row["title"] for row in cursor.fetchall())


def create_leader(cursor: DictCursor, angler_id: str, design: Design) -> Revision:
    """Save a design under a new id, as revision 1; OutOfRange where as many are kept as may be."""
    cursor.execute("SELECT COUNT(*) AS kept FROM leader WHERE angler_id = %s", (angler_id,))
    row = cursor.fetchone()
    if row is not None and row["kept"] >= MOST_LEADERS:
        raise OutOfRange(
            f"{MOST_LEADERS} leaders are the limit.",
            where="title",
            hint="Export them, then remove some.",
        )
    leader_id = uuid.uuid4().hex
    cursor.execute(
        "INSERT INTO leader (leader_id, angler_id, title, school, length_m, tippet_m, sought, "
        "newest, created_at, updated_at) "
        "VALUES (%s, %s, %s, %s, %s, %s, %s, 1, UTC_TIMESTAMP(6), UTC_TIMESTAMP(6))",
        (leader_id, angler_id, *_summary(design)),
    )
    _write_revision(cursor, leader_id, 1, design)
    return read_revision(cursor, angler_id, leader_id)


def _write_revision(cursor: DictCursor, leader_id: str, number: int, design: Design) -> None:
    cursor.execute(
        "INSERT INTO revision (leader_id, number, version, body, saved_at) "
        "VALUES (%s, %s, %s, %s, UTC_TIMESTAMP(6))",
        (leader_id, number, DESIGN.version, DESIGN.write(design)),
    )


def save_revision(
    cursor: DictCursor, angler_id: str, leader_id: str, base: int, design: Design
) -> Revision:
    """Save on top of revision ``base``; StaleRevision where that is no longer the newest."""
    cursor.execute(
        "SELECT newest FROM leader WHERE leader_id = %s AND angler_id = %s "
        "AND removed_at IS NULL FOR UPDATE",
        (leader_id, angler_id),
    )
    row = cursor.fetchone()
    if row is None:
        raise _no_leader()
    newest = int(row["newest"])
    if newest != base:
        raise StaleRevision(
            f"This leader was saved in another window: it is at revision {newest}, "
            f"yours began from {base}.",
            newest=newest,
            hint="Both are kept. Save yours as a new leader, or on top of the newer one.",
        )
    _write_revision(cursor, leader_id, newest + 1, design)
    cursor.execute(
        "UPDATE leader SET title = %s, school = %s, length_m = %s, tippet_m = %s, sought = %s, "
        "newest = %s, updated_at = UTC_TIMESTAMP(6) WHERE leader_id = %s",
        (*_summary(design), newest + 1, leader_id),
    )
    return read_revision(cursor, angler_id, leader_id)


def read_revision(
    cursor: DictCursor, angler_id: str, leader_id: str, number: int | None = None
) -> Revision:
    """One revision, the newest unless a number is given; NotFound otherwise."""
    cursor.execute(
        "SELECT r.leader_id, r.number AS revision, r.saved_at, r.version, r.body FROM revision r "
        "JOIN leader l ON l.leader_id = r.leader_id "
        "WHERE r.leader_id = %s AND l.angler_id = %s AND l.removed_at IS NULL "
        "AND r.number = COALESCE(%s, l.newest)",
        (leader_id, angler_id, number),
    )
    row = cursor.fetchone()
    if row is None:
        raise _no_leader()
    return Revision(
        leader_id=row["leader_id"],
        revision=row["revision"],
        saved_at=in_utc(row["saved_at"]),
        design=value_of(DESIGN, row),
    )


def list_revisions(
    cursor: DictCursor, angler_id: str, leader_id: str
) -> tuple[tuple[int, datetime, Design | None], ...]:
    """All revisions of a leader, the newest first: number, time, design; None where one cannot be
    read. NotFound where the leader is not on the shelf."""
    cursor.execute(
        "SELECT r.number, r.saved_at, r.version, r.body FROM revision r "
        "JOIN leader l ON l.leader_id = r.leader_id "
        "WHERE r.leader_id = %s AND l.angler_id = %s AND l.removed_at IS NULL "
        "ORDER BY r.number DESC",
        (leader_id, angler_id),
    )
    rows = cursor.fetchall()
    if not rows:
        raise _no_leader()
    found: list[tuple[int, datetime, Design | None]] = []
    for row in rows:
        try:
            design = value_of(DESIGN, row)
        except Damaged:
            design = None
        found.append((row["number"], in_utc(row["saved_at"]), design))
    return tuple(found)


def write_labels(
    cursor: DictCursor, angler_id: str, leader_id: str, labels: tuple[str, ...]
) -> None:
    """Label a leader; NotFound where it is not on the shelf."""
    cursor.execute(
        "UPDATE leader SET labels = %s WHERE leader_id = %s AND angler_id = %s "
        "AND removed_at IS NULL",
        (labels_column(labels), leader_id, angler_id),
    )
    if not cursor.rowcount:
        read_revision(cursor, angler_id, leader_id)  # labelled so already, or not there


def labels_of(cursor: DictCursor, angler_id: str, leader_id: str) -> tuple[str, ...]:
    """The labels on a leader."""
    cursor.execute(
        "SELECT labels FROM leader WHERE leader_id = %s AND angler_id = %s", (leader_id, angler_id)
    )
    row = cursor.fetchone()
    return labels_in(row["labels"]) if row else ()


def labels_in_use(cursor: DictCursor, angler_id: str) -> tuple[tuple[str, int], ...]:
    """Every label with how many leaders carry it, by name."""
    cursor.execute(
        "SELECT labels, COUNT(*) AS leaders FROM leader "
        "WHERE angler_id = %s AND removed_at IS NULL AND labels != '' GROUP BY labels",
        (angler_id,),
    )
    counts: dict[str, int] = {}
    for row in cursor.fetchall():
        for label in labels_in(row["labels"]):
            counts[label] = counts.get(label, 0) + int(row["leaders"])
    return tuple(sorted(counts.items()))


def fill_search_words(cursor: DictCursor, angler_id: str) -> None:
    """Note by which words leaders are found that were saved before that was noted."""
    cursor.execute(
        "SELECT l.leader_id, r.version, r.body FROM leader l "
        "JOIN revision r ON r.leader_id = l.leader_id AND r.number = l.newest "
        "WHERE l.angler_id = %s AND l.sought = ''",
        (angler_id,),
    )
    for row in cursor.fetchall():
        try:
            words = search_words_of(value_of(DESIGN, row))
        except Damaged:
            words = " "
        cursor.execute(
            "UPDATE leader SET sought = %s WHERE leader_id = %s", (words, row["leader_id"])
        )


def lacks_search_words(cursor: DictCursor, angler_id: str) -> bool:
    """Whether some were."""
    cursor.execute(
        "SELECT 1 FROM leader WHERE angler_id = %s AND sought = '' LIMIT 1", (angler_id,)
    )
    return cursor.fetchone() is not None


def set_removed(cursor: DictCursor, angler_id: str, leader_id: str, removed: bool) -> None:
    """Take a leader off the shelf, or put it back; its revisions stay."""
    found = cursor.execute(
        "UPDATE leader SET removed_at = IF(%s, UTC_TIMESTAMP(6), NULL) "
        "WHERE leader_id = %s AND angler_id = %s AND (removed_at IS NULL) = %s",
        (removed, leader_id, angler_id, removed),
    )
    if not found:
        raise _no_leader()


def _no_leader() -> NotFound:
    return NotFound(
        "That leader or revision isn't on the shelf.",
        where="leader_id",
        hint="Check the shelf; it may have been removed in another window.",
    )
