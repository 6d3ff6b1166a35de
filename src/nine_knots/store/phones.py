"""Phones paired with the bench: known by the hash of a token, revoked and not forgotten."""

import uuid
from dataclasses import dataclass
from datetime import datetime

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.store.rows import as_column, from_now, in_utc


@dataclass(frozen=True, slots=True)
class Phone:
    """A phone, when it was paired and last seen, whether it may still come in, and of a guest's the
    title of the only day that it sees."""

    phone_id: str
    name: str
    paired_at: datetime
    seen_at: datetime
    revoked: bool
    day: str


def add_phone(
    cursor: DictCursor,
    angler_id: str,
    name: str,
    token_hash: str,
    day: str | None = None,
    ends_at: datetime | None = None,
) -> str:
    """Let a phone in that bears the token of this hash; a guest's to one ``day`` only, and till it
    ``ends_at``. Answers its id."""
    phone_id = uuid.uuid4().hex
    cursor.execute(
        "INSERT INTO phone (angler_id, phone_id, name, token_hash, plan_id, ends_at, paired_at, "
        "seen_at) VALUES (%s, %s, %s, %s, %s, %s, UTC_TIMESTAMP(6), UTC_TIMESTAMP(6))",
        (angler_id, phone_id, name, token_hash, day, as_column(ends_at) if ends_at else None),
    )
    return phone_id


def list_phones(cursor: DictCursor, angler_id: str) -> tuple[Phone, ...]:
    """Those of an angler, the last paired first."""
    cursor.execute(
        "SELECT phone_id, name, paired_at, seen_at, revoked_at, plan.title AS day, "
        "ends_at < %s AS is_over FROM phone LEFT JOIN plan USING (angler_id, plan_id) "
        "WHERE angler_id = %s ORDER BY paired_at DESC",
        (from_now(), angler_id),
    )
    return tuple(
        Phone(
            row["phone_id"],
            row["name"],
            in_utc(row["paired_at"]),
            in_utc(row["seen_at"]),
            row["revoked_at"] is not None or bool(row["is_over"]),
            row["day"] or "",
        )
        for row in cursor.fetchall()
    )


def revoke_phone(cursor: DictCursor, angler_id: str, phone_id: str) -> None:
    """Let it in no more, from its next call on; NotFound where there is none."""
    if not cursor.execute(
        "UPDATE phone SET revoked_at = COALESCE(revoked_at, UTC_TIMESTAMP(6)) "
        "WHERE angler_id = %s AND phone_id = %s",
        (angler_id, phone_id),
    ):
        listed = [phone.phone_id for phone in list_phones(cursor, angler_id)]
        if phone_id not in listed:
            raise NotFound("That phone doesn't exist.", where="phone_id", hint="Choose another.")


@dataclass(frozen=True, slots=True)
class PhoneSession:
    """Whose phone it is, of which account (none at home), and of a guest's the only day it sees."""

    angler_id: str
    account_id: str | None
    day: str | None


def phone_with(cursor: DictCursor, token_hash: str) -> PhoneSession | None:
    """Whose phone bears the token of this hash; None where none does that may come in."""
    cursor.execute(
        "SELECT phone.angler_id, angler.account_id, phone_id, plan_id "
        "FROM phone JOIN angler USING (angler_id) "
        "LEFT JOIN account USING (account_id) WHERE token_hash = %s AND revoked_at IS NULL "
        "AND account.shut_at IS NULL AND (ends_at IS NULL OR ends_at > %s)",
        (token_hash, from_now()),
    )
    row = cursor.fetchone()
    if row is None:
        return None
    cursor.execute(
        "UPDATE phone SET seen_at = UTC_TIMESTAMP(6) WHERE angler_id = %s AND phone_id = %s "
        "AND seen_at < UTC_TIMESTAMP(6) - INTERVAL 1 MINUTE",
        (row["angler_id"], row["phone_id"]),
    )
    return PhoneSession(row["angler_id"], row["account_id"], row["plan_id"])
