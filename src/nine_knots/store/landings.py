"""Landings seen by an angler, and the own cast estimated from them."""

import uuid
from datetime import datetime

from pymysql.cursors import DictCursor

from nine_knots.core.assess.landings import CAST_MODEL, ObservedLanding
from nine_knots.core.assess.own_cast import UNKNOWN, Estimate, Landing, OwnCast, estimate
from nine_knots.core.base.errors import NotFound
from nine_knots.core.base.values import Frozen
from nine_knots.store.rows import readable_rows
from nine_knots.stored_types.types import ESTIMATE, SEEN


class KeptLanding(Frozen):
    """A landing as it was seen, with what the cast model made of its leader."""

    landing_id: str
    seen: ObservedLanding
    landing: Landing
    cast_model: int
    seen_at: datetime


def add_landing(
    cursor: DictCursor,
    angler_id: str,
    seen: ObservedLanding,
    landing: Landing,
    landing_id: str = "",
) -> str:
    """Keep a landing, once under the id that it may come with; answers the id."""
    landing_id = landing_id or uuid.uuid4().hex
    cursor.execute(
        "INSERT IGNORE INTO landing "
        "(angler_id, landing_id, version, body, usual, cast_model, seen_at) "
        "VALUES (%s, %s, %s, %s, %s, %s, UTC_TIMESTAMP(6))",
        (
            angler_id,
            landing_id,
            SEEN.version,
            SEEN.write(seen),
            landing.usual,
            CAST_MODEL,
        ),
    )
    return landing_id


def list_landings(cursor: DictCursor, angler_id: str) -> tuple[KeptLanding, ...]:
    """All landings of an angler, the newest first."""
    cursor.execute(
        "SELECT landing_id, version, body, usual, cast_model, seen_at FROM landing "
        "WHERE angler_id = %s "
        "ORDER BY seen_at DESC",
        (angler_id,),
    )
    kept = []
    for row, seen in readable_rows(SEEN, cursor.fetchall()):
        landing = Landing(row["usual"], seen.by_word, seen.landed)
        kept.append(
            KeptLanding(
                landing_id=row["landing_id"],
                seen=seen,
                landing=landing,
                cast_model=row["cast_model"],
                seen_at=row["seen_at"],
            )
        )
    return tuple(kept)


def delete_landing(cursor: DictCursor, angler_id: str, landing_id: str) -> None:
    """Forget a landing, or NotFound."""
    gone = cursor.execute(
        "DELETE FROM landing WHERE angler_id = %s AND landing_id = %s", (angler_id, landing_id)
    )
    if not gone:
        raise NotFound("That landing doesn't exist.", where="landing_id")


class OldLanding(Frozen):
    """A landing cast by an earlier model; ``seen`` is None where it cannot be read any more."""

    angler_id: str
    landing_id: str
    seen: ObservedLanding | None


def old_landing(cursor: DictCursor) -> OldLanding | None:
    """Any landing of anybody's that was cast by an earlier model, if there is one."""
    cursor.execute(
        "SELECT angler_id, landing_id, version, body FROM landing WHERE cast_model < %s LIMIT 1",
        (CAST_MODEL,),
    )
    rows = cursor.fetchall()
    if not rows:
        return None
    seen = next((found for _, found in readable_rows(SEEN, rows)), None)
    return OldLanding(angler_id=rows[0]["angler_id"], landing_id=rows[0]["landing_id"], seen=seen)


def write_recast(cursor: DictCursor, old: OldLanding, usual: float | None) -> None:
    """What today's model makes of a landing; None leaves what an earlier one made of it."""
    cursor.execute(
        "UPDATE landing SET usual = COALESCE(%s, usual), cast_model = %s "
        "WHERE angler_id = %s AND landing_id = %s",
        (usual, CAST_MODEL, old.angler_id, old.landing_id),
    )


def estimate_anew(cursor: DictCursor, angler_id: str) -> None:
    """Estimate the own cast from all landings."""
    kept = list_landings(cursor, angler_id)
    write_estimate(cursor, angler_id, estimate(tuple(each.landing for each in kept)))


def write_estimate(cursor: DictCursor, angler_id: str, found: Estimate) -> None:
    """Keep what the landings say."""
    cursor.execute(
        "REPLACE INTO own_cast (angler_id, version, body) VALUES (%s, %s, %s)",
        (angler_id, ESTIMATE.version, ESTIMATE.write(found)),
    )


def read_estimate(cursor: DictCursor, angler_id: str) -> Estimate | None:
    """What the landings say, or None where there were none; the next landing tells it anew."""
    cursor.execute("SELECT version, body FROM own_cast WHERE angler_id = %s", (angler_id,))
    return next((found for _, found in readable_rows(ESTIMATE, cursor.fetchall())), None)


def read_own_cast(cursor: DictCursor, angler_id: str) -> OwnCast:
    """The angler's own cast, or a usual one."""
    found = read_estimate(cursor, angler_id)
    return found.own if found else UNKNOWN
