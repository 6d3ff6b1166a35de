"""Passkeys: public keys by which a device shows whose it is."""

import uuid
from dataclasses import dataclass
from datetime import datetime

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.store.rows import Row, in_utc


@dataclass(frozen=True, slots=True)
class Passkey:
    """A passkey, what its signatures are checked by, and when it was made and last used."""

    account_id: str
    passkey_id: str
    credential_id: bytes
    public_key: bytes
    sign_count: int
    title: str
    made_at: datetime
    used_at: datetime | None


def add_passkey(
    cursor: DictCursor,
    account_id: str,
    title: str,
    credential_id: bytes,
    public_key: bytes,
    sign_count: int,
) -> str:
    """Keep a passkey; answers its id."""
    passkey_id = uuid.uuid4().hex
    cursor.execute(
        "INSERT INTO passkey (account_id, passkey_id, credential_id, public_key, sign_count, "
        "title, made_at) VALUES (%s, %s, %s, %s, %s, %s, UTC_TIMESTAMP(6))",
        (account_id, passkey_id, credential_id, public_key, sign_count, title),
    )
    return passkey_id


def list_passkeys(cursor: DictCursor, account_id: str) -> tuple[Passkey, ...]:
    """Those of an account, the eldest first."""
    cursor.execute("SELECT * FROM passkey WHERE account_id = %s ORDER BY made_at", (account_id,))
    return tuple(_passkey(row) for row in cursor.fetchall())


def passkey_of(cursor: DictCursor, credential_id: bytes) -> Passkey | None:
    """The passkey that a device shows; its row is held till the end of the transaction."""
    cursor.execute("SELECT * FROM passkey WHERE credential_id = %s FOR UPDATE", (credential_id,))
    row = cursor.fetchone()
    return _passkey(row) if row else None


def note_used(cursor: DictCursor, passkey: Passkey, sign_count: int) -> None:
    """Note that a passkey was used, and the count its device keeps."""
    cursor.execute(
        "UPDATE passkey SET sign_count = %s, used_at = UTC_TIMESTAMP(6) "
        "WHERE account_id = %s AND passkey_id = %s",
        (sign_count, passkey.account_id, passkey.passkey_id),
    )


def drop_passkey(cursor: DictCursor, account_id: str, passkey_id: str) -> None:
    """Remove a passkey; NotFound where there is none."""
    if not cursor.execute(
        "DELETE FROM passkey WHERE account_id = %s AND passkey_id = %s", (account_id, passkey_id)
    ):
        raise NotFound("That passkey doesn't exist.", where="passkey_id", hint="Choose another.")


def _passkey(row: Row) -> Passkey:
    return Passkey(
        account_id=row["account_id"],
        passkey_id=row["passkey_id"],
        credential_id=bytes(row["credential_id"]),
        public_key=bytes(row["public_key"]),
        sign_count=row["sign_count"],
        title=row["title"],
        made_at=in_utc(row["made_at"]),
        used_at=in_utc(row["used_at"]) if row["used_at"] else None,
    )
