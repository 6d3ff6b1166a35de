"""Days that are planned, and what was packed of them for the water."""

import uuid
from contextlib import suppress
from datetime import datetime

from pydantic import TypeAdapter, ValidationError
from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.core.domain.day_brief import DayBrief
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.plan import DayPlan
from nine_knots.store.rows import in_utc, readable_rows, value_of
from nine_knots.stored_types.types import PLAN

_DESIGNS = TypeAdapter(dict[str, Design])


def list_plans(cursor: DictCursor, angler_id: str) -> tuple[tuple[str, DayPlan], ...]:
    """All of them with their ids, the latest day first."""
    cursor.execute(
        "SELECT plan_id, version, body FROM plan WHERE angler_id = %s "
        "ORDER BY on_day DESC, updated_at DESC",
        (angler_id,),
    )
    return tuple((row["plan_id"], plan) for row, plan in readable_rows(PLAN, cursor.fetchall()))


def read_plan(cursor: DictCursor, angler_id: str, plan_id: str) -> DayPlan:
    """One of them, or NotFound."""
    cursor.execute(
        "SELECT version, body FROM plan WHERE angler_id = %s AND plan_id = %s",
        (angler_id, plan_id),
    )
    row = cursor.fetchone()
    if row is None:
        raise _no_plan()
    return value_of(PLAN, row)


def put_plan(cursor: DictCursor, angler_id: str, plan: DayPlan, plan_id: str = "") -> str:
    """Keep a plan, or write one anew; answers its id. What was packed of it stays till it is packed
    again."""
    if plan_id:
        read_plan(cursor, angler_id, plan_id)
    return insert_plan(cursor, angler_id, plan, plan_id or uuid.uuid4().hex)


def insert_plan(cursor: DictCursor, angler_id: str, plan: DayPlan, plan_id: str) -> str:
    """Keep a plan under an id of its own, whether it is there or not."""
    cursor.execute(
        "INSERT INTO plan (angler_id, plan_id, title, on_day, version, body, updated_at) "
        "VALUES (%s, %s, %s, %s, %s, %s, UTC_TIMESTAMP(6)) "
        "ON DUPLICATE KEY UPDATE title = VALUES(title), on_day = VALUES(on_day), "
        "version = VALUES(version), worked = IF(body = VALUES(body), worked, NULL), "
        "body = VALUES(body), updated_at = VALUES(updated_at)",
        (angler_id, plan_id, plan.title, plan.on, PLAN.version, PLAN.write(plan)),
    )
    return plan_id


def delete_plan(cursor: DictCursor, angler_id: str, plan_id: str) -> None:
    """Forget a plan and what was packed of it, or NotFound; what happened that day stays."""
    if not cursor.execute(
        "DELETE FROM plan WHERE angler_id = %s AND plan_id = %s", (angler_id, plan_id)
    ):
        raise _no_plan()


def write_worked(cursor: DictCursor, angler_id: str, plan_id: str, worked: str) -> None:
    """Keep what a plan came to, as JSON, till it is written anew."""
    cursor.execute(
        "UPDATE plan SET worked = %s WHERE angler_id = %s AND plan_id = %s",
        (worked, angler_id, plan_id),
    )


def read_worked(cursor: DictCursor, angler_id: str, plan_id: str) -> str | None:
    """What a plan came to, as JSON; None where it was not worked out since it was written."""
    cursor.execute(
        "SELECT worked FROM plan WHERE angler_id = %s AND plan_id = %s", (angler_id, plan_id)
    )
    row = cursor.fetchone()
    return row["worked"] if row else None


def packed_at(cursor: DictCursor, angler_id: str) -> dict[str, datetime]:
    """When each plan was packed last, in UTC."""
    cursor.execute(
        "SELECT plan_id, packed_at FROM day_pack WHERE angler_id = %s AND body IS NOT NULL",
        (angler_id,),
    )
    return {row["plan_id"]: in_utc(row["packed_at"]) for row in cursor.fetchall()}


def write_pack(
    cursor: DictCursor,
    angler_id: str,
    plan_id: str,
    body: str | None,
    brief: DayBrief,
    designs: dict[str, Design],
) -> None:
    """Keep what was packed of a plan, in place of what was packed before: what goes to the phone,
    what its log is read by, and its rigs."""
    cursor.execute(
        "REPLACE INTO day_pack (angler_id, plan_id, body, brief, designs, packed_at) "
        "VALUES (%s, %s, %s, %s, %s, UTC_TIMESTAMP(6))",
        (
            angler_id,
            plan_id,
            body,
            brief.model_dump_json(),
            _DESIGNS.dump_json(designs).decode(),
        ),
    )


def read_briefs(cursor: DictCursor, angler_id: str) -> dict[str, DayBrief]:
    """What every day's log is read by; what cannot be read is left out."""
    cursor.execute("SELECT plan_id, brief FROM day_pack WHERE angler_id = %s", (angler_id,))
    found = {}
    for row in cursor.fetchall():
        with suppress(ValidationError):
            found[row["plan_id"]] = DayBrief.model_validate_json(row["brief"])
    return found


def read_rigs(cursor: DictCursor, angler_id: str, plan_id: str) -> dict[str, Design]:
    """The rigs of a packed day by their names in it; none where it is not packed."""
    cursor.execute(
        "SELECT designs FROM day_pack WHERE angler_id = %s AND plan_id = %s", (angler_id, plan_id)
    )
    row = cursor.fetchone()
    try:
        return _DESIGNS.validate_json(row["designs"]) if row else {}
    except ValidationError:
        return {}


def read_pack(cursor: DictCursor, angler_id: str, plan_id: str) -> str:
    """What was packed of a plan, as JSON, or NotFound."""
    cursor.execute(
        "SELECT body FROM day_pack WHERE angler_id = %s AND plan_id = %s", (angler_id, plan_id)
    )
    row = cursor.fetchone()
    if row is None or row["body"] is None:
        raise NotFound(
            "This day is not packed yet.", where="plan_id", hint="Open the plan and pack it."
        )
    return str(row["body"])


def _no_plan() -> NotFound:
    return NotFound("That plan doesn't exist.", where="plan_id", hint="Choose one from the list.")
