"""Accounts: who may come in, by which name, and whether just now."""

import uuid
from dataclasses import dataclass
from datetime import datetime

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound, OutOfRange
from nine_knots.store.erasure import forget_angler
from nine_knots.store.rows import Row, in_utc

TABLES = (
    "passkey",
    "recovery_code",
    "login",
    "login_activity",
    "invitation",
    "challenge",
    "compute_time",
    "account",
)
"""All that hold rows of accounts, in an order in which they can be emptied; beside ``angler``."""


@dataclass(frozen=True, slots=True)
class Account:
    """An account, and what is kept of its password, if it has one."""

    account_id: str
    name: str
    password_sealed: str | None
    is_operator: bool
    shut: bool
    made_at: datetime


def check_free(cursor: DictCursor, name: str) -> None:
    """OutOfRange where an account bears the name."""
    if account_named(cursor, name) is not None:
        raise OutOfRange("This name is taken.", where="name", hint="Choose another.")


def create_account(
    cursor: DictCursor,
    name: str,
    password_sealed: str | None,
    is_operator: bool = False,
    account_id: str = "",
) -> str:
    """A new account; OutOfRange where another bears the name. Answers the id."""
    check_free(cursor, name)
    account_id = account_id or uuid.uuid4().hex
    cursor.execute(
        "INSERT INTO account (account_id, name, password_sealed, is_operator, made_at) "
        "VALUES (%s, %s, %s, %s, UTC_TIMESTAMP(6))",
        (account_id, name, password_sealed, is_operator),
    )
    return account_id


def account_named(cursor: DictCursor, name: str) -> Account | None:
    """The account that one logs in to by this name, whatever the case of its letters; its row is
    held till the end of the transaction."""
    cursor.execute("SELECT * FROM account WHERE name = %s FOR UPDATE", (name,))
    row = cursor.fetchone()
    return _account(row) if row else None


def read_account(cursor: DictCursor, account_id: str) -> Account:
    """One account, or NotFound."""
    cursor.execute("SELECT * FROM account WHERE account_id = %s", (account_id,))
    row = cursor.fetchone()
    if row is None:
        raise NotFound("That account doesn't exist.", where="account_id")
    return _account(row)


def lock_account(cursor: DictCursor, account_id: str) -> None:
    """Hold the account's row till the end of the transaction: the first that is read in it, so that
    it sees what those did that it waited for."""
    cursor.execute("SELECT 1 FROM account WHERE account_id = %s FOR UPDATE", (account_id,))


def list_accounts(cursor: DictCursor) -> tuple[Account, ...]:
    """All of them, by name."""
    cursor.execute("SELECT * FROM account ORDER BY name")
    return tuple(_account(row) for row in cursor.fetchall())


def no_account_yet(cursor: DictCursor) -> bool:
    """Whether nobody has joined so far."""
    cursor.execute("SELECT 1 FROM account LIMIT 1")
    return cursor.fetchone() is None


def set_password(cursor: DictCursor, account_id: str, sealed: str | None) -> None:
    """Keep another password, or none."""
    cursor.execute(
        "UPDATE account SET password_sealed = %s WHERE account_id = %s", (sealed, account_id)
    )


def shut_account(cursor: DictCursor, account_id: str, shut: bool) -> None:
    """Let nobody come in by an account, from the next call on, or let them again."""
    read_account(cursor, account_id)
    cursor.execute(
        "UPDATE account SET shut_at = IF(%s, COALESCE(shut_at, UTC_TIMESTAMP(6)), NULL) "
        "WHERE account_id = %s",
        (shut, account_id),
    )
    if shut:
        cursor.execute("DELETE FROM login WHERE account_id = %s", (account_id,))


def forget_account(cursor: DictCursor, account_id: str) -> None:
    """Delete an account with all its anglers and all that they have, at once and for good."""
    cursor.execute("SELECT angler_id FROM angler WHERE account_id = %s", (account_id,))
    for row in cursor.fetchall():
        forget_angler(cursor, row["angler_id"])
    for table in TABLES:
        cursor.execute(f"DELETE FROM {table} WHERE account_id = %s", (account_id,))


def _account(row: Row) -> Account:
    return Account(
        account_id=row["account_id"],
        name=row["name"],
        password_sealed=row["password_sealed"],
        is_operator=bool(row["is_operator"]),
        shut=row["shut_at"] is not None,
        made_at=in_utc(row["made_at"]),
    )
