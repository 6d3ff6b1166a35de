"""/api/account: coming in to a hosted service, by passkey, password or recovery code, and going
out again. What is refused says the same, and takes as long, whether a name is known or
not."""

from collections.abc import Callable

from fastapi import APIRouter, Request, Response
from pymysql.cursors import DictCursor

from nine_knots.api.accounts.caller import Calling, CurrentCalling, CurrentMine
from nine_knots.api.accounts.forms import (
    LogInForm,
    Me,
    RecoverForm,
    ShownForm,
    ToSign,
    just_proved,
)
from nine_knots.api.accounts.keys import (
    ask_for_any,
    is_password_of,
    owner_of_shown,
)
from nine_knots.api.accounts.letting_in import (
    NOBODYS,
    count_tries,
    let_in,
)
from nine_knots.api.caller import caller_of
from nine_knots.api.problems import MISSING, RESPONSES, TRIED
from nine_knots.api.site import CurrentSite, Site, gone
from nine_knots.core.base.errors import NineKnotsError, WrongCode
from nine_knots.services.secret import code_hash
from nine_knots.store import Database
from nine_knots.store.accounts.accounts import Account, account_named
from nine_knots.store.accounts.logins import end_login
from nine_knots.store.accounts.notes import note_tried
from nine_knots.store.accounts.recovery import use_code
from nine_knots.store.tried import forget_tries

router = APIRouter(
    prefix="/api/account", tags=["account"], responses={**RESPONSES, **MISSING, **TRIED}
)
NOT_IN = WrongCode(
    "This name and password do not let anybody in.",
    where="password",
    mend="Look at both, or come in by a passkey or a recovery code.",
)


@router.get("", summary="Who is logged in")
def get_me(request: Request) -> Me:
    """Nobody, at home and before anybody is."""
    return _me(request.app.state.site, request)


@router.post("/log-in", summary="Come in by a password")
def post_log_in(
    request: Request,
    response: Response,
    site: CurrentSite,
    calling: CurrentCalling,
    form: LogInForm,
) -> Me:
    """After five wrong ones of a name none is taken for five minutes."""
    database, name = request.app.state.database, form.name.strip()
    count_tries(database, calling, "password", name)

    def enter(cursor: DictCursor) -> Account | NineKnotsError:
        account = account_named(cursor, name)
        right = is_password_of(account, form.password, NOBODYS)
        return _let(cursor, response, site, account, calling, "password", None if right else NOT_IN)

    account = _raised(database, enter)
    database.transact(lambda cursor: forget_tries(cursor, "password", name.casefold()))
    return just_proved(site, account.name, account.is_operator)


@router.post("/passkey", summary="Ask what a passkey is to sign")
def post_passkey(request: Request, site: CurrentSite, calling: CurrentCalling) -> ToSign:
    """Good for five minutes and one signature."""
    database: Database = request.app.state.database
    count_tries(database, calling, "passkey")
    return database.transact(lambda cursor: ask_for_any(cursor, site))


@router.post("/passkey/log-in", summary="Come in by a passkey")
def post_passkey_log_in(
    request: Request,
    response: Response,
    site: CurrentSite,
    calling: CurrentCalling,
    form: ShownForm,
) -> Me:
    """Its owner is known by it: no name is asked for."""

    def enter(cursor: DictCursor) -> Account | NineKnotsError:
        try:
            account = owner_of_shown(cursor, site, form.challenge_id, form.credential)
        except WrongCode as refused:
            return _let(cursor, response, site, None, calling, "passkey", refused)
        return _let(cursor, response, site, account, calling, "passkey")

    account = _raised(request.app.state.database, enter)
    return just_proved(site, account.name, account.is_operator)


@router.post("/recover", summary="Come in by a recovery code")
def post_recover(
    request: Request,
    response: Response,
    site: CurrentSite,
    calling: CurrentCalling,
    form: RecoverForm,
) -> Me:
    """The code is spent; then set a password or make a passkey."""
    database, name = request.app.state.database, form.name.strip()
    count_tries(database, calling, "recovery", name)
    refusal = WrongCode(
        "This name and code do not let anybody in.",
        where="code",
        mend="Look at both; each code is good once.",
    )

    def enter(cursor: DictCursor) -> Account | NineKnotsError:
        account = account_named(cursor, name)
        spent = account is not None and use_code(cursor, account.account_id, code_hash(form.code))
        return _let(
            cursor, response, site, account, calling, "recovery code", None if spent else refusal
        )

    account = _raised(database, enter)
    return just_proved(site, account.name, account.is_operator)


@router.post("/log-out", status_code=204, summary="Go out")
def post_log_out(mine: CurrentMine) -> Response:
    """This browser comes in no more."""

    def leave(cursor: DictCursor, account_id: str) -> None:
        end_login(cursor, account_id, mine.login.login_id)
        mine.note(cursor, "went out")

    mine.transact(leave)
    return gone(mine.site)


def _let(
    cursor: DictCursor,
    response: Response,
    site: Site,
    account: Account | None,
    calling: Calling,
    how: str,
    refusal: NineKnotsError | None = None,
) -> Account | NineKnotsError:
    """Let an account in, unless it is refused or shut; a refusal is answered, not raised, so that
    what is noted of it stays."""
    if account is None or account.shut or refusal is not None:
        note_tried(
            cursor,
            account.account_id if account else None,
            f"refused, {how}",
            calling.device,
            calling.place,
        )
        return refusal or NOT_IN
    let_in(cursor, response, site, account.account_id, calling, how)
    return account


def _raised(database: Database, work: Callable[[DictCursor], Account | NineKnotsError]) -> Account:
    found = database.transact(work)
    if isinstance(found, NineKnotsError):
        raise found
    return found


def _me(site: Site | None, request: Request) -> Me:
    login = caller_of(request).login
    if site is None or login is None:
        return Me(hosted=site is not None)
    return Me(True, login.name, login.is_operator, login.proved, bool(site.mail))
