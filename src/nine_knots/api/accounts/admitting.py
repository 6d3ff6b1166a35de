"""Whom a log-in's token admits: the account, on the kind of browser that it was given to."""

from pymysql.cursors import DictCursor

from nine_knots.api.caller import Caller
from nine_knots.api.calling import Calling
from nine_knots.services.secret import hash_of
from nine_knots.store import Database
from nine_knots.store.accounts.logins import end_login, login_of
from nine_knots.store.accounts.notes import note_tried

COPIED = "refused, a copied log-in, now ended"


def admitted(database: Database, token: str, calling: Calling) -> Caller | None:
    """Who calls by a token. One that another kind of browser shows was copied: it is ended, and
    the account's owner reads of it."""

    def once(cursor: DictCursor) -> Caller | None:
        found = login_of(cursor, hash_of(token))
        if found is None:
            return None
        if found.device == calling.device:
            return Caller(login=found)
        end_login(cursor, found.account_id, found.login_id)
        note_tried(cursor, found.account_id, COPIED, calling.device, calling.place)
        return None

    return database.transact(once)
