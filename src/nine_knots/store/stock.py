"""Spools and packets on an angler's shelf."""

import re
import uuid

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.core.domain.strand import Spool, Stock
from nine_knots.store.rows import readable_rows, value_of
from nine_knots.stored_types.types import STOCK


def list_stock(cursor: DictCursor, angler_id: str, retired: bool = False) -> tuple[Stock, ...]:
    """All that is on the shelf, or was taken off it, by material and then thickest first."""
    cursor.execute(
        "SELECT version, body FROM stock WHERE angler_id = %s AND (retired_at IS NULL) != %s "
        "ORDER BY form DESC, material, diameter_m DESC",
        (angler_id, retired),
    )
    return tuple(stock_item for _, stock_item in readable_rows(STOCK, cursor.fetchall()))


def read_stock(cursor: DictCursor, angler_id: str, spool_id: str) -> Stock:
    """One spool or packet, on the shelf or taken off it, or NotFound."""
    found = find_stock(cursor, angler_id, spool_id)
    if found is None:
        raise no_spool(spool_id)
    return found


def read_spool(cursor: DictCursor, angler_id: str, spool_id: str) -> Spool:
    """The same of a spool; NotFound also where it is a packet."""
    item = read_stock(cursor, angler_id, spool_id)
    if not isinstance(item, Spool):
        raise no_spool(spool_id)
    return item


def find_stock(cursor: DictCursor, angler_id: str, spool_id: str) -> Stock | None:
    """A spool or packet, or None."""
    cursor.execute(
        "SELECT version, body FROM stock WHERE angler_id = %s AND spool_id = %s",
        (angler_id, spool_id),
    )
    row = cursor.fetchone()
    return value_of(STOCK, row) if row is not None else None


def fresh_id(title: str) -> str:
    """A name for a new spool or packet that tells what it is."""
    slug = re.sub(r"[^a-z0-9]+", "-", title.lower()).strip("-")[:28]
    return f"{slug or 'spool'}-{uuid.uuid4().hex[:8]}"


def write_stock(cursor: DictCursor, angler_id: str, stock_item: Stock) -> None:
    """Write a spool or packet under its own id; ``ledger.put_stock`` notes what it holds too."""
    is_spool = isinstance(stock_item, Spool)
    diameter_m = (
        stock_item.strand.diameter_m
        if isinstance(stock_item, Spool)
        else stock_item.strand.profile.butt_diameter_m
    )
    cursor.execute(
        "INSERT INTO stock "
        "(angler_id, spool_id, form, material, diameter_m, version, body, updated_at) "
        "VALUES (%s, %s, %s, %s, %s, %s, %s, UTC_TIMESTAMP(6)) ON DUPLICATE KEY UPDATE "
        "form = VALUES(form), material = VALUES(material), diameter_m = VALUES(diameter_m), "
        "version = VALUES(version), body = VALUES(body), "
        " updated_at = VALUES(updated_at)",
        (
            angler_id,
            stock_item.spool_id,
            "spool" if is_spool else "packet",
            stock_item.strand.material,
            diameter_m,
            STOCK.version,
            STOCK.write(stock_item),
        ),
    )


def retire_stock(cursor: DictCursor, angler_id: str, spool_id: str) -> None:
    """Take a spool off the shelf, or NotFound; it is still known, and can be put back."""
    _set_retired(cursor, angler_id, spool_id, True)


def restore_stock(cursor: DictCursor, angler_id: str, spool_id: str) -> None:
    """Put a spool that was taken off the shelf back, or NotFound."""
    _set_retired(cursor, angler_id, spool_id, False)


def _set_retired(cursor: DictCursor, angler_id: str, spool_id: str, retired: bool) -> None:
    found = cursor.execute(
        "UPDATE stock SET retired_at = IF(%s, UTC_TIMESTAMP(6), NULL) "
        "WHERE angler_id = %s AND spool_id = %s AND (retired_at IS NULL) = %s",
        (retired, angler_id, spool_id, retired),
    )
    if not found:
        raise no_spool(spool_id)


def no_spool(spool_id: str) -> NotFound:
    """What is said of a spool that is not there."""
    return NotFound(f"There is no spool “{spool_id[:40]}” on the shelf.", where="spool_id")
