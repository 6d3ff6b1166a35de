"""The ledger: acts that took from spools or put on them, and what is left by them.

What is left stands in the spool's own row too, written in the same transaction, so that whoever
reads the shelf need not add up its whole history.
"""

import uuid
from collections.abc import Iterable
from contextlib import suppress
from dataclasses import dataclass
from datetime import UTC, datetime

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound, OutOfRange
from nine_knots.core.domain.ends import check_ends
from nine_knots.core.domain.ledger import (
    SPENT,
    Act,
    Change,
    SpoolUse,
    Why,
    amount_left,
    amount_of,
    undoing,
    with_amount,
)
from nine_knots.core.domain.strand import Stock
from nine_knots.store.rows import as_column, in_utc
from nine_knots.store.stock import (
    find_stock,
    read_stock,
    restore_stock,
    retire_stock,
    write_stock,
)
from nine_knots.stored_types.errors import Damaged


@dataclass(frozen=True, slots=True)
class KeptAct:
    """An act as it was noted, and whether it was undone since."""

    act_id: str
    noted_at: datetime
    act: Act
    undone: bool


def put_stock(cursor: DictCursor, angler_id: str, stock_item: Stock) -> Stock:
    """Add a spool or packet, or write it anew under its own id; what it holds goes to the ledger:
    as put on the shelf the first time, later as counted."""
    write_stock(cursor, angler_id, stock_item)
    changes = _changes_of(cursor, angler_id, stock_item.spool_id)
    held = amount_of(stock_item)
    if not changes:
        note_act(cursor, angler_id, _one("on the shelf", stock_item, held))
    elif abs(held - amount_left(changes)) > 1e-9:
        note_act(cursor, angler_id, _one("counted", stock_item, held - sum(changes)))
    return stock_item


def note_act(cursor: DictCursor, angler_id: str, act: Act, act_id: str = "") -> str:
    """Note an act, and what its spools then hold; answers its id, a new one or that given.

    Spools that are not known any more, or whose row cannot be read, are left out.
    """
    items: dict[str, Stock] = {}
    for entry in act.changes:
        with suppress(Damaged):
            found = find_stock(cursor, angler_id, entry.spool_id)
            if found is not None:
                items[entry.spool_id] = found
    act_id = act_id or uuid.uuid4().hex
    _write_act(cursor, angler_id, act_id, act, datetime.now(UTC), set(items))
    for stock_item in items.values():
        left = amount_left(_changes_of(cursor, angler_id, stock_item.spool_id))
        write_stock(cursor, angler_id, with_amount(stock_item, left))
    return act_id


def undo_act(cursor: DictCursor, angler_id: str, act_id: str) -> str:
    """Take an act back, once however often it is asked; answers the id of what undid it."""
    kept = read_act(cursor, angler_id, act_id)
    cursor.execute(
        "SELECT act_id FROM act WHERE angler_id = %s AND undoes = %s", (angler_id, act_id)
    )
    before = cursor.fetchone()
    if before is not None:
        return str(before["act_id"])
    if kept.act.why in ("on the shelf", "undone"):
        raise OutOfRange(
            "That can't be undone.",
            where="act_id",
            hint="Take the spool off the shelf, or count what is left on it.",
        )
    if kept.act.why == "merged":
        for entry in kept.act.changes:
            if entry.change < 0.0:
                restore_stock(cursor, angler_id, entry.spool_id)
    return note_act(cursor, angler_id, undoing(kept.act, act_id))


def merge_stock(cursor: DictCursor, angler_id: str, spool_id: str, other_id: str) -> str:
    """Put what the other holds on the first, and retire the other; answers the act's id."""
    kept, other = (read_stock(cursor, angler_id, each) for each in (spool_id, other_id))
    check_ends(kept, other)
    held = amount_of(other)
    act = Act(
        why="merged",
        changes=(
            Change(spool_id=kept.spool_id, title=kept.title, change=held),
            Change(spool_id=other.spool_id, title=other.title, change=-held),
        ),
    )
    act_id = note_act(cursor, angler_id, act)
    retire_stock(cursor, angler_id, other_id)
    return act_id


def read_act(cursor: DictCursor, angler_id: str, act_id: str) -> KeptAct:
    """One act, or NotFound."""
    found = _acts(cursor, angler_id, "AND a.act_id = %s", (act_id,), 1)
    if not found:
        raise NotFound("That entry isn't in the ledger.", where="act_id")
    return found[0]


def list_acts(
    cursor: DictCursor, angler_id: str, most: int, skip: int = 0, spool_id: str | None = None
) -> tuple[KeptAct, ...]:
    """Acts, the newest first; of one spool where it is named."""
    if spool_id is None:
        return _acts(cursor, angler_id, "", (), most, skip)
    where = (
        "AND a.act_id IN (SELECT l.act_id FROM ledger l "
        "WHERE l.angler_id = a.angler_id AND l.spool_id = %s)"
    )
    return _acts(cursor, angler_id, where, (spool_id,), most, skip)


def count_acts(cursor: DictCursor, angler_id: str, spool_id: str | None = None) -> int:
    """How many acts there are, or of a spool."""
    if spool_id is None:
        cursor.execute("SELECT COUNT(*) AS noted FROM act WHERE angler_id = %s", (angler_id,))
    else:
        cursor.execute(
            "SELECT COUNT(*) AS noted FROM ledger WHERE angler_id = %s AND spool_id = %s",
            (angler_id, spool_id),
        )
    row = cursor.fetchone()
    return int(row["noted"]) if row else 0


def overdrawn(cursor: DictCursor, angler_id: str) -> dict[str, float]:
    """By how much more was taken than was there, by spool, where that is so."""
    cursor.execute(
        "SELECT spool_id, SUM(change_by) AS held FROM ledger WHERE angler_id = %s "
        "GROUP BY spool_id HAVING held < -0.001",
        (angler_id,),
    )
    return {row["spool_id"]: -float(row["held"]) for row in cursor.fetchall()}


def usual_takes(cursor: DictCursor, angler_id: str) -> dict[str, float]:
    """The most that one leader or renewal of the last hundred took of each spool."""
    cursor.execute(
        "SELECT l.spool_id, MAX(-l.change_by) AS took FROM ledger l JOIN ("
        "SELECT angler_id, act_id FROM act WHERE angler_id = %s AND why IN ('tied', 'renewed') "
        "ORDER BY noted_at DESC LIMIT 100) AS a USING (angler_id, act_id) GROUP BY l.spool_id",
        (angler_id,),
    )
    return {row["spool_id"]: float(row["took"]) for row in cursor.fetchall()}


def spent(cursor: DictCursor, angler_id: str) -> tuple[SpoolUse, ...]:
    """What came off each spool for good, and why; what was taken back is not counted."""
    whys = ", ".join(["%s"] * len(SPENT))
    cursor.execute(
        "SELECT a.why, l.spool_id, SUM(-l.change_by) AS took FROM ledger l "
        "JOIN act a USING (angler_id, act_id) LEFT JOIN act u "
        "ON u.angler_id = a.angler_id AND u.undoes = a.act_id "
        f"WHERE a.angler_id = %s AND a.why IN ({whys}) AND u.act_id IS NULL "
        "GROUP BY a.why, l.spool_id ORDER BY a.why, l.spool_id",
        (angler_id, *SPENT),
    )
    return tuple(
        SpoolUse(row["why"], row["spool_id"], float(row["took"])) for row in cursor.fetchall()
    )


def write_acts(cursor: DictCursor, angler_id: str, acts: Iterable[KeptAct]) -> None:
    """Note acts as they were once noted, without changing what spools hold."""
    for kept in acts:
        known = {entry.spool_id for entry in kept.act.changes}
        _write_act(cursor, angler_id, kept.act_id, kept.act, kept.noted_at, known)


def _one(why: Why, stock_item: Stock, change: float) -> Act:
    changed = Change(spool_id=stock_item.spool_id, title=stock_item.title, change=change)
    return Act(why=why, changes=(changed,))


def _write_act(
    cursor: DictCursor,
    angler_id: str,
    act_id: str,
    act: Act,
    noted_at: datetime,
    known: set[str],
) -> None:
    cursor.execute(
        "INSERT INTO act (angler_id, act_id, why, words, undoes, noted_at) "
        "VALUES (%s, %s, %s, %s, %s, %s)",
        (angler_id, act_id, act.why, act.words, act.undoes, as_column(noted_at)),
    )
    cursor.executemany(
        "INSERT INTO ledger (angler_id, act_id, spool_id, title, change_by) "
        "VALUES (%s, %s, %s, %s, %s)",
        [
            (angler_id, act_id, entry.spool_id, entry.title, entry.change)
            for entry in act.changes
            if entry.spool_id in known
        ],
    )


def _changes_of(cursor: DictCursor, angler_id: str, spool_id: str) -> list[float]:
    cursor.execute(
        "SELECT change_by FROM ledger WHERE angler_id = %s AND spool_id = %s",
        (angler_id, spool_id),
    )
    return [float(row["change_by"]) for row in cursor.fetchall()]


def _acts(
    cursor: DictCursor,
    angler_id: str,
    where: str,
    values: tuple[str, ...],
    most: int,
    skip: int = 0,
) -> tuple[KeptAct, ...]:
    cursor.execute(
        "SELECT a.act_id, a.why, a.words, a.undoes, a.noted_at, "
        "EXISTS (SELECT 1 FROM act u WHERE u.angler_id = a.angler_id AND u.undoes = a.act_id) "
        f"AS undone FROM act a WHERE a.angler_id = %s {where} "
        "ORDER BY a.noted_at DESC, a.act_id DESC LIMIT %s OFFSET %s",
        (angler_id, *values, most, skip),
    )
    rows = list(cursor.fetchall())
    changes: dict[str, list[Change]] = {row["act_id"]: [] for row in rows}
    if rows:
        marks = ", ".join(["%s"] * len(rows))
        cursor.execute(
            "SELECT act_id, spool_id, title, change_by FROM ledger "
            f"WHERE angler_id = %s AND act_id IN ({marks}) ORDER BY change_by, spool_id",
            (angler_id, *changes),
        )
        for row in cursor.fetchall():
            changes[row["act_id"]].append(
                Change(spool_id=row["spool_id"], title=row["title"], change=row["change_by"])
            )
    return tuple(
        KeptAct(
            act_id=row["act_id"],
            noted_at=in_utc(row["noted_at"]),
            act=Act(
                why=row["why"],
                words=row["words"],
                changes=tuple(changes[row["act_id"]]),
                undoes=row["undoes"],
            ),
            undone=bool(row["undone"]),
        )
        for row in rows
    )


def acts_known(cursor: DictCursor, angler_id: str, ids: Iterable[str]) -> dict[str, bool]:
    """Of these ids those of acts that were noted, and whether each was undone since."""
    wanted = tuple(ids)
    if not wanted:
        return {}
    marks = ", ".join(["%s"] * len(wanted))
    cursor.execute(
        "SELECT a.act_id, b.act_id IS NOT NULL AS undone FROM act a "
        "LEFT JOIN act b ON b.angler_id = a.angler_id AND b.undoes = a.act_id "
        f"WHERE a.angler_id = %s AND a.act_id IN ({marks})",
        (angler_id, *wanted),
    )
    return {row["act_id"]: bool(row["undone"]) for row in cursor.fetchall()}
