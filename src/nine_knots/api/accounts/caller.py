"""The account that calls, and what it may do with what is its own."""

from collections.abc import Callable
from typing import Annotated, TypeVar

from fastapi import Depends, Request
from pymysql.cursors import DictCursor

from nine_knots.api.caller import caller_of
from nine_knots.api.calling import CurrentCalling
from nine_knots.api.current_site import CurrentSite
from nine_knots.core.base.errors import NotFound, NotProved, NotYours
from nine_knots.store import Database
from nine_knots.store.accounts.accounts import lock_account
from nine_knots.store.accounts.logins import Login
from nine_knots.store.accounts.notes import note_tried

Answer = TypeVar("Answer")


def must_be_proved(login: Login) -> None:
    """NotProved where it was not shown within the last minutes who sits there."""
    if not login.proved:
        raise NotProved(
            "Confirm first that it’s you.", mend="Enter your password or use your passkey."
        )


class Mine:
    """The account that calls, and the database as it may use it."""

    def __init__(self, request: Request, site: CurrentSite, calling: CurrentCalling) -> None:
        login = caller_of(request).login
        if login is None:
            raise NotFound("Nobody is logged in here.", mend="Log in.")
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
        """NotProved where it was not shown within the last minutes who sits there."""
        must_be_proved(self.login)

    def operates(self) -> None:
        """NotYours where it is no operator's account."""
        if not self.login.is_operator:
            raise NotYours("Only an operator does that.", mend="Ask one.")

    def note(self, cursor: DictCursor, what: str) -> None:
        """Note what was done with the account."""
        calling = self.calling
        note_tried(cursor, self.login.account_id, what, calling.device, calling.place)


CurrentMine = Annotated[Mine, Depends(Mine)]
