"""What an angler's pieces came out at, and how tall the angler is."""

import uuid

from pydantic import ValidationError
from pymysql.cursors import DictCursor

from nine_knots.core.domain.builder import Builder
from nine_knots.core.domain.knots.own import pulled_knots
from nine_knots.core.domain.leader.own_knots import OwnKnots
from nine_knots.store.pulls import summed_tests
from nine_knots.words.tying.hand import Handiness, hand_of

MOST_PIECES = 60  # the newest count: a hand gets better


def add_tied(cursor: DictCursor, angler_id: str, shown: dict[int, float]) -> None:
    """Keep the handiness that each measured piece of one leader showed."""
    tied_id = uuid.uuid4().hex
    cursor.executemany(
        "INSERT INTO tied_piece (angler_id, tied_id, piece, handiness, tied_at) "
        "VALUES (%s, %s, %s, %s, UTC_TIMESTAMP(6))",
        [(angler_id, tied_id, piece, value) for piece, value in shown.items()],
    )


def read_hand(cursor: DictCursor, angler_id: str) -> Handiness:
    """The angler's hand, from the newest pieces that were measured."""
    cursor.execute(
        "SELECT handiness FROM tied_piece WHERE angler_id = %s ORDER BY tied_at DESC LIMIT %s",
        (angler_id, MOST_PIECES),
    )
    return hand_of(tuple(row["handiness"] for row in cursor.fetchall()))


def read_height_m(cursor: DictCursor, angler_id: str) -> float | None:
    """The angler's height in metres, or None where it was not told."""
    cursor.execute("SELECT height_m FROM angler WHERE angler_id = %s", (angler_id,))
    row = cursor.fetchone()
    return row["height_m"] if row else None


def write_height_m(cursor: DictCursor, angler_id: str, height_m: float | None) -> None:
    """Remember the angler's height, or forget it."""
    cursor.execute("UPDATE angler SET height_m = %s WHERE angler_id = %s", (height_m, angler_id))


def read_ties(cursor: DictCursor, angler_id: str) -> OwnKnots:
    """What the angler always ties; nothing of it where it was not told, or cannot be read."""
    cursor.execute("SELECT own_ties FROM angler WHERE angler_id = %s", (angler_id,))
    row = cursor.fetchone()
    if not row or not row["own_ties"]:
        return OwnKnots()
    try:
        return OwnKnots.model_validate_json(row["own_ties"])
    except ValidationError:
        return OwnKnots()


def write_ties(cursor: DictCursor, angler_id: str, ties: OwnKnots) -> OwnKnots:
    """Remember what the angler always ties."""
    cursor.execute(
        "UPDATE angler SET own_ties = %s WHERE angler_id = %s", (ties.model_dump_json(), angler_id)
    )
    return ties


def read_tyer(cursor: DictCursor, angler_id: str) -> Builder:
    """Who ties: hand, height and own knots together."""
    return Builder(
        handiness=read_hand(cursor, angler_id).mean,
        height_m=read_height_m(cursor, angler_id),
        knots=pulled_knots(summed_tests(cursor, angler_id)),
    )
