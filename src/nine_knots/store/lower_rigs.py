"""Lower rigs that an angler keeps by name."""

import uuid

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.core.domain.leader.lower_rig import LowerRig
from nine_knots.store.rows import readable_rows, value_of
from nine_knots.stored_types.types import LOWER_RIG


def list_lower_rigs(cursor: DictCursor, angler_id: str) -> tuple[tuple[str, LowerRig], ...]:
    """All that are kept, by name, with their ids."""
    cursor.execute(
        "SELECT rig_id, version, body FROM lower_rig WHERE angler_id = %s ORDER BY title",
        (angler_id,),
    )
    return tuple((row["rig_id"], rig) for row, rig in readable_rows(LOWER_RIG, cursor.fetchall()))


def read_lower_rig(cursor: DictCursor, angler_id: str, rig_id: str) -> LowerRig:
    """One of them, or NotFound."""
    cursor.execute(
        "SELECT version, body FROM lower_rig WHERE angler_id = %s AND rig_id = %s",
        (angler_id, rig_id),
    )
    row = cursor.fetchone()
    if row is None:
        raise _no_rig()
    return value_of(LOWER_RIG, row)


def put_lower_rig(cursor: DictCursor, angler_id: str, rig: LowerRig) -> str:
    """Keep one; another of the same name gives way to it. Answers the id."""
    cursor.execute(
        "SELECT rig_id FROM lower_rig WHERE angler_id = %s AND title = %s FOR UPDATE",
        (angler_id, rig.title),
    )
    row = cursor.fetchone()
    rig_id: str = row["rig_id"] if row else uuid.uuid4().hex
    cursor.execute(
        "REPLACE INTO lower_rig (angler_id, rig_id, title, version, body, updated_at) "
        "VALUES (%s, %s, %s, %s, %s, UTC_TIMESTAMP(6))",
        (angler_id, rig_id, rig.title, LOWER_RIG.version, LOWER_RIG.write(rig)),
    )
    return rig_id


def delete_lower_rig(cursor: DictCursor, angler_id: str, rig_id: str) -> None:
    """Forget one, or NotFound; leaders that carry it keep it."""
    if not cursor.execute(
        "DELETE FROM lower_rig WHERE angler_id = %s AND rig_id = %s", (angler_id, rig_id)
    ):
        raise _no_rig()


def _no_rig() -> NotFound:
    return NotFound("That lower rig doesn't exist.", where="rig_id", hint="Choose a saved one.")
