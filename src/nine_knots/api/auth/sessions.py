"""Whom a log-in's token admits: the account, on the kind of browser that it was given to."""

from pymysql.cursors import DictCursor

from nine_knots.api.client_info import ClientInfo
from nine_knots.api.principal import Principal
from nine_knots.services.secret import hash_of
from nine_knots.store import Database
from nine_knots.store.accounts.audit_log import note_attempt
from nine_knots.store.accounts.logins import end_login, login_of

COPIED = "refused: a copied session, now ended"


def authenticate(database: Database, token: str, calling: ClientInfo) -> Principal | None:
    """Who calls by a token. One that another kind of browser shows was copied: it is ended, and
    the account's owner reads of it."""

    def once(cursor: DictCursor) -> Principal | None:
        found = login_of(cursor, hash_of(token))
        if found is None:
            return None
        if found.device == calling.device:
            return Principal(login=found)
        end_login(cursor, found.account_id, found.login_id)
        note_attempt(cursor, found.account_id, COPIED, calling.device, calling.place)
        return None

    return database.transact(once)
