"""Letting in: tokens and codes, how often one may try, and what is noted of it."""

from datetime import timedelta

from fastapi import Response
from pymysql.cursors import DictCursor

from nine_knots.api.accounts.caller import Calling
from nine_knots.api.site import Site, set_login_cookie
from nine_knots.core.base.errors import TooOften
from nine_knots.services.secret import hash_of, new_code, new_token, sealed
from nine_knots.store import Database
from nine_knots.store.accounts.logins import add_login
from nine_knots.store.accounts.notes import note_tried
from nine_knots.store.tried import count_try

CODES, CODE_LENGTH = 10, 12
OF_A_NAME, NAME_WITHIN = 5, timedelta(minutes=5)
OF_AN_ADDRESS, ADDRESS_WITHIN = 30, timedelta(minutes=10)
NOBODYS = sealed(new_token())
"""Opened by nothing: a name that is nobody's takes as long to refuse as any other."""


def let_in(
    cursor: DictCursor,
    response: Response,
    site: Site,
    account_id: str,
    calling: Calling,
    how: str,
) -> None:
    """Log an account in on the device that calls; the cookie is set on the response."""
    token = new_token()
    add_login(cursor, account_id, hash_of(token), calling.device)
    note_tried(cursor, account_id, how, calling.device, calling.place)
    set_login_cookie(response, site, token)


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
