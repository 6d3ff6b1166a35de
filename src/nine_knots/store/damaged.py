"""Rows that cannot be read: told beside the others, and given out as they are."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Any

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.core.base.values import Frozen
from nine_knots.store.rows import value_of
from nine_knots.stored_types.errors import Damaged
from nine_knots.stored_types.stored_type import StoredType
from nine_knots.stored_types.types import (
    DESIGN,
    ESTIMATE,
    EVENT,
    FLY,
    LINE,
    LOWER_RIG,
    MEASUREMENT,
    PLACE,
    PLAN,
    PULL_TEST,
    ROD,
    SEEN,
    STOCK,
    WALLET_RIG,
)


class DamagedRow(Frozen):
    """A row that cannot be read: what it is, its title as far as that is known, and why."""

    kind: str
    row_id: str
    title: str
    version: int
    body: str
    why: str


@dataclass(frozen=True)
class _Table:
    """Rows of a kind: how they are selected by angler, with ``row_id`` and ``title``."""

    kind: StoredType[Any]
    select: str


_TABLES = (
    _Table(
        DESIGN,
        "SELECT CONCAT(r.leader_id, '.', r.number) AS row_id, l.title, r.version, r.body "
        "FROM revision r JOIN leader l ON l.leader_id = r.leader_id WHERE l.angler_id = %s",
    ),
    _Table(
        STOCK,
        "SELECT spool_id AS row_id, COALESCE(JSON_VALUE(body, '$.title'), spool_id) AS title, "
        "version, body FROM stock WHERE angler_id = %s",
    ),
    *(
        _Table(
            kind,
            "SELECT tackle_id AS row_id, title, version, body FROM tackle "
            f"WHERE angler_id = %s AND kind = '{kind.name}'",
        )
        for kind in (ROD, LINE, FLY)
    ),
    _Table(
        LOWER_RIG,
        "SELECT rig_id AS row_id, title, version, body FROM lower_rig WHERE angler_id = %s",
    ),
    _Table(
        SEEN,
        "SELECT landing_id AS row_id, DATE_FORMAT(seen_at, 'seen %%Y-%%m-%%d') AS title, version, "
        "body FROM landing WHERE angler_id = %s",
    ),
    _Table(
        ESTIMATE,
        "SELECT 'own' AS row_id, '' AS title, version, body FROM own_cast WHERE angler_id = %s",
    ),
    _Table(
        PULL_TEST,
        "SELECT test_id AS row_id, line AS title, version, body FROM pull_test "
        "WHERE angler_id = %s",
    ),
    _Table(
        PLACE,
        "SELECT place_id AS row_id, title, version, body FROM place WHERE angler_id = %s",
    ),
    _Table(
        PLAN,
        "SELECT plan_id AS row_id, title, version, body FROM plan WHERE angler_id = %s",
    ),
    _Table(
        WALLET_RIG,
        "SELECT rig_id AS row_id, title, version, body FROM wallet WHERE angler_id = %s",
    ),
    _Table(
        EVENT,
        "SELECT event_id AS row_id, kind AS title, version, body FROM fishing_event "
        "WHERE angler_id = %s",
    ),
    _Table(
        MEASUREMENT,
        "SELECT measurement_id AS row_id, COALESCE(JSON_VALUE(body, '$.title'), of_id) AS title, "
        "version, body FROM measurement WHERE angler_id = %s",
    ),
)


KINDS_TOLD = frozenset(table.kind.name for table in _TABLES)


def list_damaged(cursor: DictCursor, angler_id: str) -> tuple[DamagedRow, ...]:
    """Every row of an angler that cannot be read."""
    return tuple(_damaged(cursor, angler_id))


def read_damaged(cursor: DictCursor, angler_id: str, kind: str, row_id: str) -> DamagedRow:
    """One row that cannot be read, as it is, or NotFound."""
    for row in _damaged(cursor, angler_id):
        if (row.kind, row.row_id) == (kind, row_id):
            return row
    raise NotFound(
        "That damaged row doesn't exist.", where="row_id", hint="It may have been repaired."
    )


def _damaged(cursor: DictCursor, angler_id: str) -> Iterator[DamagedRow]:
    for table in _TABLES:
        cursor.execute(table.select, (angler_id,))
        for row in cursor.fetchall():
            try:
                value_of(table.kind, row)
            except Damaged as damage:
                yield DamagedRow(kind=table.kind.name, why=damage.what, **row)
