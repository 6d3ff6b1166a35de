"""Letting in: tokens and codes, how often one may try, and what is noted of it."""

from collections.abc import Callable
from dataclasses import dataclass
from datetime import timedelta
from functools import cache
from typing import Annotated

from fastapi import Depends, Request, Response
from pymysql.cursors import DictCursor

from nine_knots.api.accounts.forms import Me, just_proved
from nine_knots.api.calling import Calling, CurrentCalling
from nine_knots.api.current_site import CurrentSite, set_login_cookie
from nine_knots.core.base.errors import NineKnotsError, TooOften, WrongCode
from nine_knots.services.secret import hash_of, new_code, new_token, sealed
from nine_knots.store import Database
from nine_knots.store.accounts.accounts import Account
from nine_knots.store.accounts.logins import add_login
from nine_knots.store.accounts.notes import note_tried
from nine_knots.store.tried import count_try

CODES, CODE_LENGTH = 10, 12
OF_A_NAME, NAME_WITHIN = 5, timedelta(minutes=5)
OF_AN_ADDRESS, ADDRESS_WITHIN = 30, timedelta(minutes=10)
NOT_IN = WrongCode(
    "This name and password do not let anybody in.",
    where="password",
    mend="Look at both, or come in by a passkey or a recovery code.",
)


@dataclass(frozen=True, slots=True)
class Found:
    """Whom somebody who comes in has shown to be, if anybody, and why they are not let in, if they
    are not."""

    account: Account | None
    refused: NineKnotsError | None = None


@cache
def nobodys_password() -> str:
    """Opened by nothing: a name that is nobody's takes as long to refuse as any other."""
    return sealed(new_token())


class Threshold:
    """Where one comes in: a call that may end as a browser that is logged in."""

    def __init__(
        self, request: Request, response: Response, site: CurrentSite, calling: CurrentCalling
    ) -> None:
        self.database: Database = request.app.state.database
        self.site, self.calling, self._response = site, calling, response

    def count(self, what: str, name: str = "") -> None:
        """Count a try, before it is looked at."""
        count_tries(self.database, self.calling, what, name)

    def cross(self, how: str, find: Callable[[DictCursor], Found]) -> Me:
        """Log in whom ``find`` finds. A refusal is noted, and raised once that is kept."""
        token = new_token()

        def once(cursor: DictCursor) -> Account | NineKnotsError:
            found = find(cursor)
            account = found.account
            if account is None or account.shut or found.refused is not None:
                self._note(cursor, account.account_id if account else None, f"refused, {how}")
                return found.refused or NOT_IN
            self.log_in(cursor, account.account_id, token, f"came in, {how}")
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
        return just_proved(self.site, name, is_operator)

    def _note(self, cursor: DictCursor, account_id: str | None, what: str) -> None:
        note_tried(cursor, account_id, what, self.calling.device, self.calling.place)


CurrentThreshold = Annotated[Threshold, Depends(Threshold)]


def count_tries(database: Database, calling: Calling, what: str, name: str = "") -> None:
    """Count a try of a name and of an address, whether or not anybody bears the name; TooOften
    where the next has to wait."""

    def count(cursor: DictCursor) -> tuple[bool, bool]:
        of_name = count_try(cursor, what, name.casefold(), NAME_WITHIN) if name else 0
        of_address = count_try(cursor, "address", calling.address, ADDRESS_WITHIN)
        name_waits, address_waits = of_name > OF_A_NAME, of_address > OF_AN_ADDRESS
        if name_waits or address_waits:
            note_tried(cursor, None, "refused, too often", calling.device, calling.place)
        return name_waits, address_waits

    name_waits, address_waits = database.transact(count)
    if name_waits or address_waits:
        wait = NAME_WITHIN if name_waits else ADDRESS_WITHIN
        minutes = int(wait.total_seconds()) // 60
        raise TooOften(
            "This was tried too often.",
            retry_s=int(wait.total_seconds()),
            mend=f"Wait {minutes} minutes"
            + (", or come in by a passkey or a recovery code." if what == "password" else "."),
        )


def new_codes() -> tuple[str, ...]:
    """Recovery codes, in groups of four letters."""
    letters = [new_code(CODE_LENGTH) for _ in range(CODES)]
    return tuple(f"{one[:4]}-{one[4:8]}-{one[8:]}" for one in letters)
