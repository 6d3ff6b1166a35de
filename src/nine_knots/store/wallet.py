"""The rig wallet: leaders that are tied and lie ready."""

import uuid
from collections.abc import Iterable

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.core.domain.wallet import WalletRig
from nine_knots.store.rows import readable_rows, value_of
from nine_knots.stored_types.types import WALLET_RIG

SELECT = "SELECT rig_id, version, body FROM wallet WHERE angler_id = %s "


def list_wallet(cursor: DictCursor, angler_id: str) -> tuple[tuple[str, WalletRig], ...]:
    """All that lies ready with their ids, the last tied first."""
    cursor.execute(f"{SELECT} ORDER BY put_at DESC, title", (angler_id,))
    return tuple((row["rig_id"], rig) for row, rig in readable_rows(WALLET_RIG, cursor.fetchall()))


def read_rig(cursor: DictCursor, angler_id: str, rig_id: str) -> WalletRig:
    """One of them, or NotFound."""
    cursor.execute(f"{SELECT} AND rig_id = %s", (angler_id, rig_id))
    row = cursor.fetchone()
    if row is None:
        raise _no_rig()
    return value_of(WALLET_RIG, row)


def put_rigs(
    cursor: DictCursor, angler_id: str, rigs: Iterable[WalletRig], act_id: str | None = None
) -> tuple[str, ...]:
    """Put rigs in; ``act_id`` is the act of the ledger by which they were tied. Answers the ids."""
    ids = []
    for rig in rigs:
        ids.append(uuid.uuid4().hex)
        cursor.execute(
            "INSERT INTO wallet (angler_id, rig_id, title, version, body, act_id, put_at) "
            "VALUES (%s, %s, %s, %s, %s, %s, UTC_TIMESTAMP(6))",
            (
                angler_id,
                ids[-1],
                rig.design.title,
                WALLET_RIG.version,
                WALLET_RIG.write(rig),
                act_id,
            ),
        )
    return tuple(ids)


def write_rig(cursor: DictCursor, angler_id: str, rig_id: str, rig: WalletRig) -> None:
    """Write one anew, or NotFound."""
    read_rig(cursor, angler_id, rig_id)
    cursor.execute(
        "UPDATE wallet SET title = %s, version = %s, body = %s "
        "WHERE angler_id = %s AND rig_id = %s",
        (rig.design.title, WALLET_RIG.version, WALLET_RIG.write(rig), angler_id, rig_id),
    )


def take_out(cursor: DictCursor, angler_id: str, rig_id: str) -> None:
    """Take one out, or NotFound."""
    if not cursor.execute(
        "DELETE FROM wallet WHERE angler_id = %s AND rig_id = %s", (angler_id, rig_id)
    ):
        raise _no_rig()


def take_out_tied_by(cursor: DictCursor, angler_id: str, act_id: str) -> int:
    """Take out what was tied by an act that is undone; answers how many."""
    return int(
        cursor.execute(
            "DELETE FROM wallet WHERE angler_id = %s AND act_id = %s", (angler_id, act_id)
        )
    )


def _no_rig() -> NotFound:
    return NotFound("That rig isn't in the wallet.", where="rig_id", hint="Choose another.")
