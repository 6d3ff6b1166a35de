"""Forgetting an angler: every row of theirs, in every table, at once and for good."""

from pymysql.cursors import DictCursor

TABLES = (
    "gift",
    "club_member",
    "club",
    "photo",
    "ledger",
    "act",
    "measurement",
    "phone",
    "pairing_code",
    "fishing_event",
    "wallet",
    "day_pack",
    "plan",
    "place",
    "idempotency_key",
    "pull_test",
    "attempt",
    "tied_piece",
    "landing",
    "own_cast",
    "lower_rig",
    "leader",
    "tackle",
    "stock",
    "angler",
)
"""All that hold rows of anglers, in an order in which they can be emptied."""


def forget_angler(cursor: DictCursor, angler_id: str) -> None:
    """Delete all that one angler has, and the angler; what others have is not touched."""
    cursor.execute(
        "DELETE revision FROM revision JOIN leader USING (leader_id) WHERE angler_id = %s",
        (angler_id,),
    )
    for table in TABLES:
        cursor.execute(f"DELETE FROM {table} WHERE angler_id = %s", (angler_id,))
