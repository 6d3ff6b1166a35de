"""Who is logged in where: one row for each browser, known by the hash of its token, and gone with
it: nothing else lets it in."""

import uuid
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.store.rows import Row, from_now, in_utc

GOOD_FOR = timedelta(days=30)
UNSEEN_FOR = timedelta(days=7)
PROVED_FOR = timedelta(minutes=10)
MOST_LOGINS = 20  # of an account; the one not seen for longest goes


@dataclass(frozen=True, slots=True)
class Login:
    """A browser that is logged in: whose it is, and whether who sits there has just shown it."""

    login_id: str
    account_id: str
    name: str
    is_operator: bool
    device: str
    made_at: datetime
    seen_at: datetime
    proved: bool


_SELECT = (
    "SELECT login.*, account.name, account.is_operator FROM login JOIN account USING (account_id) "
)


def add_login(cursor: DictCursor, account_id: str, token_hash: str, device: str) -> str:
    """Let a browser in that bears the token of this hash; answers the login's id."""
    login_id = uuid.uuid4().hex
    ends_at = from_now(GOOD_FOR)
    cursor.execute(
        "INSERT INTO login (account_id, login_id, token_hash, device, made_at, proved_at, seen_at, "
        "ends_at) VALUES (%s, %s, %s, %s, UTC_TIMESTAMP(6), UTC_TIMESTAMP(6), UTC_TIMESTAMP(6), "
        "%s)",
        (account_id, login_id, token_hash, device, ends_at),
    )
    for login in list_logins(cursor, account_id)[MOST_LOGINS:]:
        end_login(cursor, account_id, login.login_id)
    return login_id


def login_of(cursor: DictCursor, token_hash: str) -> Login | None:
    """The login whose token has this hash; None where there is none, or it was not seen for too
    long, or its account is shut."""
    cursor.execute(
        f"{_SELECT} WHERE token_hash = %s AND account.shut_at IS NULL AND ends_at > %s "
        "AND seen_at > %s",
        (
            token_hash,
            from_now(),
            from_now(-UNSEEN_FOR),
        ),
    )
    row = cursor.fetchone()
    if row is None:
        return None
    cursor.execute(
        "UPDATE login SET seen_at = UTC_TIMESTAMP(6) WHERE account_id = %s AND login_id = %s "
        "AND seen_at < UTC_TIMESTAMP(6) - INTERVAL 1 MINUTE",
        (row["account_id"], row["login_id"]),
    )
    return _login(row)


def prove_login(cursor: DictCursor, account_id: str, login_id: str) -> None:
    """Who sits there has just shown who it is."""
    cursor.execute(
        "UPDATE login SET proved_at = UTC_TIMESTAMP(6) WHERE account_id = %s AND login_id = %s",
        (account_id, login_id),
    )


def list_logins(cursor: DictCursor, account_id: str) -> tuple[Login, ...]:
    """Those of an account, the last seen first."""
    cursor.execute(f"{_SELECT} WHERE account_id = %s ORDER BY seen_at DESC", (account_id,))
    return tuple(_login(row) for row in cursor.fetchall())


def end_login(cursor: DictCursor, account_id: str, login_id: str) -> None:
    """Let a browser in no more, from its next call on; NotFound where there is none."""
    if not cursor.execute(
        "DELETE FROM login WHERE account_id = %s AND login_id = %s", (account_id, login_id)
    ):
        raise NotFound("That log-in doesn't exist.", where="login_id", hint="Choose another.")


def end_others(cursor: DictCursor, account_id: str, but: str) -> int:
    """End every login of an account but one, and its paired phones; answers how many logins."""
    cursor.execute(
        "UPDATE phone JOIN angler USING (angler_id) SET revoked_at = UTC_TIMESTAMP(6) "
        "WHERE account_id = %s AND revoked_at IS NULL",
        (account_id,),
    )
    return cursor.execute(
        "DELETE FROM login WHERE account_id = %s AND login_id <> %s", (account_id, but)
    )


def count_seen(cursor: DictCursor, since: timedelta) -> int:
    """How many accounts were seen within such a time."""
    cursor.execute(
        "SELECT COUNT(DISTINCT account_id) AS seen FROM login WHERE seen_at > %s",
        (from_now(-since),),
    )
    row = cursor.fetchone()
    return int(row["seen"]) if row else 0


def _login(row: Row) -> Login:
    return Login(
        login_id=str(row["login_id"]),
        account_id=str(row["account_id"]),
        name=str(row["name"]),
        is_operator=bool(row["is_operator"]),
        device=str(row["device"]),
        made_at=in_utc(row["made_at"]),
        seen_at=in_utc(row["seen_at"]),
        proved=in_utc(row["proved_at"]) > datetime.now(UTC) - PROVED_FOR,
    )
