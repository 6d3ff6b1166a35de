"""The account that calls, and what it may do with what is its own."""

from collections.abc import Callable
from typing import Annotated, TypeVar

from fastapi import Depends, Request
from pymysql.cursors import DictCursor

from nine_knots.api.auth.errors import NotOwner, ReauthenticationRequired
from nine_knots.api.client_info import CurrentCalling
from nine_knots.api.login_cookie import CurrentSite
from nine_knots.api.principal import principal_of
from nine_knots.core.base.errors import NotFound
from nine_knots.store import Database
from nine_knots.store.accounts.accounts import lock_account
from nine_knots.store.accounts.audit_log import note_attempt
from nine_knots.store.accounts.logins import Login

Answer = TypeVar("Answer")


def require_recent_login(login: Login) -> None:
    """Raise ReauthenticationRequired unless the user proved who they are minutes ago."""
    if not login.proved:
        raise ReauthenticationRequired(
            "Confirm first that it’s you.", hint="Enter your password or use your passkey."
        )


class AccountSession:
    """The account that calls, and the database as it may use it."""

    def __init__(self, request: Request, site: CurrentSite, calling: CurrentCalling) -> None:
        login = principal_of(request).login
        if login is None:
            raise NotFound("Nobody is logged in here.", hint="Log in.")
        self.login: Login = login
        self.site, self.calling = site, calling
        self.database: Database = request.app.state.database

    def transact(self, work: Callable[[DictCursor, str], Answer]) -> Answer:
        """One transaction for this account."""
        return self.database.transact(lambda cursor: work(cursor, self.login.account_id))

    def change(self, work: Callable[[DictCursor, str], Answer]) -> Answer:
        """One that changes how one comes in, or what is counted of the account, after any other's
        that does."""

        def locked(cursor: DictCursor, me: str) -> Answer:
            lock_account(cursor, me)
            return work(cursor, me)

        return self.transact(locked)

    def proved(self) -> None:
        """Raise ReauthenticationRequired unless the user proved who they are minutes ago."""
        require_recent_login(self.login)

    def operates(self) -> None:
        """Raise NotOwner unless the account is an operator's."""
        if not self.login.is_operator:
            raise NotOwner("Only an operator can do that.", hint="Ask an operator.")

    def note(self, cursor: DictCursor, what: str) -> None:
        """Note what was done with the account."""
        calling = self.calling
        note_attempt(cursor, self.login.account_id, what, calling.device, calling.place)


CurrentMine = Annotated[AccountSession, Depends(AccountSession)]
