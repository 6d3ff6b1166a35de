"""Letting in: tokens and codes, how often one may try, and what is noted of it."""

from collections.abc import Callable
from dataclasses import dataclass
from datetime import timedelta
from functools import cache
from typing import Annotated

from fastapi import Depends, Request, Response
from pymysql.cursors import DictCursor

from nine_knots.api.auth.errors import TooManyAttempts
from nine_knots.api.auth.forms import Me, reauthenticated_until
from nine_knots.api.client_info import ClientInfo, CurrentCalling
from nine_knots.api.login_cookie import CurrentSite, set_login_cookie
from nine_knots.core.base.errors import NineKnotsError
from nine_knots.services.errors import WrongCode
from nine_knots.services.secret import hash_of, new_code, new_token, sealed
from nine_knots.store import Database
from nine_knots.store.accounts.accounts import Account
from nine_knots.store.accounts.audit_log import CAME_IN, has_logged_in, note_attempt
from nine_knots.store.accounts.logins import add_login
from nine_knots.store.rate_limits import count_try, forget_tries

CODES, CODE_LENGTH = 10, 12
NAME_WITHIN, WITHIN = timedelta(minutes=5), timedelta(minutes=10)
OF_A_NAME_THERE, OF_A_NAME = 5, 20
"""Of a name from one address, and from everywhere but where its owner has come in from."""
OF_AN_ADDRESS, OF_A_NETWORK = 30, 200
NOT_IN = WrongCode(
    "Wrong name or password.",
    where="password",
    hint="Check both, or log in with a passkey or a recovery code.",
)


@dataclass(frozen=True, slots=True)
class LoginAttempt:
    """Whom somebody who comes in has shown to be, if anybody, and why they are not let in, if they
    are not."""

    account: Account | None
    refused: NineKnotsError | None = None


@cache
def dummy_password() -> str:
    """Opened by nothing: a name that is nobody's takes as long to refuse as any other."""
    return sealed(new_token())


class LoginFlow:
    """Where one comes in: a call that may end as a browser that is logged in."""

    def __init__(
        self, request: Request, response: Response, site: CurrentSite, calling: CurrentCalling
    ) -> None:
        self.database: Database = request.app.state.database
        self.site, self.calling, self._response = site, calling, response

    def count(self, what: str, name: str = "") -> None:
        """Count a try, before it is looked at."""
        count_tries(self.database, self.calling, what, name)

    def count_softly(self, what: str, name: str) -> TooManyAttempts | None:
        """Count a try; why the next has to wait, for whoever lets in what is right all the same."""
        return count_try_of(self.database, self.calling, what, name)

    def forget(self, cursor: DictCursor, what: str, name: str) -> None:
        """Begin to count anew: its owner has come in."""
        forget_tries_of(cursor, self.calling, what, name)

    def cross(self, how: str, find: Callable[[DictCursor], LoginAttempt]) -> Me:
        """Log in whom ``find`` finds. A refusal is noted, and raised once that is kept."""
        token = new_token()

        def once(cursor: DictCursor) -> Account | NineKnotsError:
            found = find(cursor)
            account = found.account
            if account is None or account.shut or found.refused is not None:
                if not isinstance(found.refused, TooManyAttempts):
                    self._note(cursor, account.account_id if account else None, f"refused, {how}")
                return found.refused or NOT_IN
            self.log_in(cursor, account.account_id, token, f"{CAME_IN}, {how}")
            return account

        crossed = self.database.transact(once)
        if isinstance(crossed, NineKnotsError):
            raise crossed
        return self.crossed(token, crossed.name, crossed.is_operator)

    def log_in(self, cursor: DictCursor, account_id: str, token: str, how: str) -> None:
        """Log an account in by a token, on the device that calls."""
        add_login(cursor, account_id, hash_of(token), self.calling.device)
        self._note(cursor, account_id, how)

    def crossed(self, token: str, name: str, is_operator: bool) -> Me:
        """Hand the browser its token, once all is kept."""
        set_login_cookie(self._response, self.site, token)
        return reauthenticated_until(self.site, name, is_operator)

    def _note(self, cursor: DictCursor, account_id: str | None, what: str) -> None:
        note_attempt(cursor, account_id, what, self.calling.device, self.calling.place)


CurrentThreshold = Annotated[LoginFlow, Depends(LoginFlow)]


def count_tries(database: Database, calling: ClientInfo, what: str, name: str = "") -> None:
    """Count an attempt for a name and an address, whether or not the account exists.

    Raises TooManyAttempts when the next one has to wait.
    """
    waits = count_try_of(database, calling, what, name)
    if waits is not None:
        raise waits


def count_try_of(
    database: Database, calling: ClientInfo, what: str, name: str = ""
) -> TooManyAttempts | None:
    """Count it; why the next has to wait, if it has.

    Who tries a name from elsewhere keeps nobody out: its owner is counted by the address they call
    from, and where they came in before by nothing else.
    """
    everywhere, there = _counters(calling, name)
    source = calling.source

    def count(cursor: DictCursor) -> timedelta | None:
        of_name, of_name_there = 0, 0
        if name:
            of_name_there = count_try(cursor, what, there, NAME_WITHIN)
            if not has_logged_in(cursor, name, calling.place):
                of_name = count_try(cursor, what, everywhere, NAME_WITHIN)
        of_address = count_try(cursor, "address", source, WITHIN)
        of_network = count_try(cursor, "network", calling.place, WITHIN)
        over = [of_name_there - OF_A_NAME_THERE, of_name - OF_A_NAME]
        far_over = [of_address - OF_AN_ADDRESS, of_network - OF_A_NETWORK]
        if 1 in (*over, *far_over):  # the first that is refused stands for all
            note_attempt(cursor, None, "refused, too many attempts", calling.device, calling.place)
        return NAME_WITHIN if max(over) > 0 else WITHIN if max(far_over) > 0 else None

    wait = database.transact(count)
    if wait is None:
        return None
    otherwise = ", or log in with a passkey or a recovery code" if what == "password" else ""
    return TooManyAttempts(
        "Too many attempts.",
        retry_s=int(wait.total_seconds()),
        hint=f"Wait {int(wait.total_seconds()) // 60} minutes{otherwise}.",
    )


def forget_tries_of(cursor: DictCursor, calling: ClientInfo, what: str, name: str) -> None:
    """Begin to count a name anew."""
    for counter in _counters(calling, name):
        forget_tries(cursor, what, counter)


def _counters(calling: ClientInfo, name: str) -> tuple[str, str]:
    """Under what tries of a name are counted: from everywhere, and from where this one comes."""
    folded = name.casefold()
    return folded, f"{folded} {calling.source}"


def new_codes() -> tuple[str, ...]:
    """Recovery codes, in groups of four letters."""
    letters = [new_code(CODE_LENGTH) for _ in range(CODES)]
    return tuple(f"{letter[:4]}-{letter[4:8]}-{letter[8:]}" for letter in letters)
