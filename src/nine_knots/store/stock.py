"""Spools and packets on an angler's shelf."""

import re
import uuid

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.core.trade.strand import Spool, Stock
from nine_knots.kept.kinds.owned import STOCK
from nine_knots.store.rows import readable, value_of


def list_stock(cursor: DictCursor, angler_id: str) -> tuple[Stock, ...]:
    """All that is owned, by material and then thickest first."""
    cursor.execute(
        "SELECT version, body FROM stock WHERE angler_id = %s "
        "ORDER BY form DESC, material, diameter_m DESC",
        (angler_id,),
    )
    return tuple(item for _, item in readable(STOCK, cursor.fetchall()))


def read_stock(cursor: DictCursor, angler_id: str, spool_id: str) -> Stock:
    """One spool or packet, or NotFound."""
    cursor.execute(
        "SELECT version, body FROM stock WHERE angler_id = %s AND spool_id = %s",
        (angler_id, spool_id),
    )
    row = cursor.fetchone()
    if row is None:
        raise no_spool(spool_id)
    return value_of(STOCK, row)


def fresh_id(title: str) -> str:
    """A name for a new spool or packet that tells what it is."""
    slug = re.sub(r"[^a-z0-9]+", "-", title.lower()).strip("-")[:28]
    return f"{slug or 'spool'}-{uuid.uuid4().hex[:8]}"


def put_stock(cursor: DictCursor, angler_id: str, item: Stock) -> Stock:
    """Add a spool or packet, or write it anew under its own id."""
    is_spool = isinstance(item, Spool)
    diameter_m = (
        item.strand.diameter_m if isinstance(item, Spool) else item.strand.profile.butt_diameter_m
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
            item.spool_id,
            "spool" if is_spool else "packet",
            item.strand.material,
            diameter_m,
            STOCK.version,
            STOCK.write(item),
        ),
    )
    return item


def delete_stock(cursor: DictCursor, angler_id: str, spool_id: str) -> None:
    """Take a spool off the shelf, or NotFound; leaders made of it keep their own figures."""
    gone = cursor.execute(
        "DELETE FROM stock WHERE angler_id = %s AND spool_id = %s", (angler_id, spool_id)
    )
    if not gone:
        raise no_spool(spool_id)


def no_spool(spool_id: str) -> NotFound:
    """What is said of a spool that is not there."""
    return NotFound(f"There is no spool “{spool_id[:40]}” on the shelf.", where="spool_id")
