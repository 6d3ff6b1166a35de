"""Landings seen by an angler, and the own cast estimated from them."""

import uuid
from datetime import datetime

from pydantic import TypeAdapter
from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.core.base.frozen import Frozen
from nine_knots.core.judge.landings import Seen
from nine_knots.core.judge.own_cast import UNKNOWN, Estimate, Landing, OwnCast

_ESTIMATE: TypeAdapter[Estimate] = TypeAdapter(Estimate)


class KeptLanding(Frozen):
    """A landing as it was seen, with what the cast model made of its leader."""

    landing_id: str
    seen: Seen
    landing: Landing
    seen_at: datetime


def add_landing(cursor: DictCursor, angler_id: str, seen: Seen, landing: Landing) -> str:
    """Keep a landing; answers its id."""
    landing_id = uuid.uuid4().hex
    cursor.execute(
        "INSERT INTO landing (angler_id, landing_id, body, at_usual, slope, seen_at) "
        "VALUES (%s, %s, %s, %s, %s, UTC_TIMESTAMP(6))",
        (
            angler_id,
            landing_id,
            seen.model_dump_json(),
            landing.at_usual,
            landing.slope,
        ),
    )
    return landing_id


def list_landings(cursor: DictCursor, angler_id: str) -> tuple[KeptLanding, ...]:
    """All landings of an angler, the newest first."""
    cursor.execute(
        "SELECT landing_id, body, at_usual, slope, seen_at FROM landing WHERE angler_id = %s "
        "ORDER BY seen_at DESC",
        (angler_id,),
    )
    kept = []
    for row in cursor.fetchall():
        seen = Seen.model_validate_json(row["body"])
        landing = Landing(row["at_usual"], row["slope"], seen.by_word, seen.landed)
        kept.append(
            KeptLanding(
                landing_id=row["landing_id"], seen=seen, landing=landing, seen_at=row["seen_at"]
            )
        )
    return tuple(kept)


def delete_landing(cursor: DictCursor, angler_id: str, landing_id: str) -> None:
    """Forget a landing, or NotFound."""
    gone = cursor.execute(
        "DELETE FROM landing WHERE angler_id = %s AND landing_id = %s", (angler_id, landing_id)
    )
    if not gone:
        raise NotFound("There is no such landing.", where="landing_id")


def write_estimate(cursor: DictCursor, angler_id: str, estimate: Estimate) -> None:
    """Keep what the landings say."""
    cursor.execute(
        "REPLACE INTO own_cast (angler_id, body) VALUES (%s, %s)",
        (angler_id, _ESTIMATE.dump_json(estimate).decode()),
    )


def read_estimate(cursor: DictCursor, angler_id: str) -> Estimate | None:
    """What the landings say, or None where there were none."""
    cursor.execute("SELECT body FROM own_cast WHERE angler_id = %s", (angler_id,))
    row = cursor.fetchone()
    return _ESTIMATE.validate_json(row["body"]) if row else None


def read_own_cast(cursor: DictCursor, angler_id: str) -> OwnCast:
    """The angler's own cast, or a usual one."""
    found = read_estimate(cursor, angler_id)
    return found.own if found else UNKNOWN
