"""/api/account: coming in to a hosted service, by passkey, password, recovery code or invitation,
and going out again. What is refused says the same, and takes as long, whether a name is known or
not."""

from collections.abc import Callable
from typing import Any

from fastapi import APIRouter, Request, Response
from pymysql.cursors import DictCursor

from nine_knots.api.accounts.caller import Calling, CurrentCalling, CurrentMine
from nine_knots.api.accounts.forms import (
    Invited,
    JoinAskForm,
    Joined,
    JoinForm,
    LogInForm,
    LookForm,
    Me,
    RecoverForm,
    ShownForm,
    ToSign,
)
from nine_knots.api.accounts.keys import (
    ask_for_any,
    ask_for_new,
    is_password_of,
    new_account_id,
    owner_of_shown,
    take_new,
)
from nine_knots.api.accounts.letting_in import (
    NOBODYS,
    count_tries,
    let_in,
    new_codes,
)
from nine_knots.api.caller import caller_of
from nine_knots.api.problems import MISSING, RESPONSES, WORKED_OUT
from nine_knots.api.site import CurrentSite, Site, drop_login_cookie
from nine_knots.core.base.errors import NineKnotsError, OutOfRange, WrongCode
from nine_knots.services.passwords import check_password
from nine_knots.services.secret import code_hash, hash_of, sealed
from nine_knots.store import Database
from nine_knots.store.accounts.accounts import Account, account_named, create_account
from nine_knots.store.accounts.invitations import Invitation, open_invitation, take_invitation
from nine_knots.store.accounts.logins import end_login
from nine_knots.store.accounts.notes import note_tried
from nine_knots.store.accounts.passkeys import add_passkey
from nine_knots.store.accounts.recovery import use_code, write_codes
from nine_knots.store.anglers import Settings, create_angler
from nine_knots.store.tried import forget_tries

TRIED: dict[int | str, dict[str, Any]] = {429: WORKED_OUT[429]}
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
    return _now(site, account)


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

    return _now(site, _raised(request.app.state.database, enter))


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

    return _now(site, _raised(database, enter))


@router.post("/join/look", summary="Look at an invitation")
def post_look(
    request: Request, _site: CurrentSite, calling: CurrentCalling, form: LookForm
) -> Invited:
    """Whether it is open still, and for whom it was meant."""
    database: Database = request.app.state.database
    count_tries(database, calling, "invitation")
    found = database.transact(lambda cursor: _open(cursor, form.invitation))
    meant = f" It was made for {found.note}." if found.note else ""
    role = " as an operator" if found.as_operator else ""
    return Invited(f"You are invited to join{role}.{meant}")


@router.post("/join/passkey", summary="Ask for a passkey to join by")
def post_join_passkey(request: Request, site: CurrentSite, form: JoinAskForm) -> ToSign:
    """The device is asked for one; the account is made when it comes back."""

    def ask(cursor: DictCursor) -> ToSign:
        _open(cursor, form.invitation)
        _free(cursor, form.name)
        return ask_for_new(cursor, site, "join", new_account_id(), form.name.strip())

    database: Database = request.app.state.database
    return database.transact(ask)


@router.post("/join", summary="Join by an invitation")
def post_join(
    request: Request, response: Response, site: CurrentSite, calling: CurrentCalling, form: JoinForm
) -> Joined:
    """An account with an angler of its own who owns nothing yet; the invitation is spent."""
    name = form.name.strip()
    kept = None
    if form.password or not form.credential:
        check_password(form.password, (name,))
        kept = sealed(form.password)
    codes = new_codes()

    def join(cursor: DictCursor) -> None:
        found = _open(cursor, form.invitation)
        _free(cursor, name)
        key = None
        if form.credential:
            key = take_new(cursor, site, "join", form.challenge_id, form.credential)
        made_for = key.account_id if key else ""
        account_id = create_account(cursor, name, kept, found.as_operator, made_for)
        if key:
            one = key.made
            add_passkey(
                cursor,
                account_id,
                calling.device,
                one.credential_id,
                one.public_key,
                one.sign_count,
            )
        write_codes(cursor, account_id, map(code_hash, codes))
        take_invitation(cursor, found.invitation_id)
        create_angler(cursor, Settings(name=name, units=form.units), account_id=account_id)
        let_in(cursor, response, site, account_id, calling, "joined")
        is_operator.append(found.as_operator)

    is_operator: list[bool] = []
    request.app.state.database.transact(join)
    me = Me(True, name, is_operator[-1], True, bool(site.mail))
    return Joined(me, codes)


@router.post("/log-out", status_code=204, summary="Go out")
def post_log_out(mine: CurrentMine) -> Response:
    """This browser comes in no more."""

    def leave(cursor: DictCursor, account_id: str) -> None:
        end_login(cursor, account_id, mine.login.login_id)
        mine.note(cursor, "went out")

    mine.transact(leave)
    response = Response(status_code=204)
    drop_login_cookie(response, mine.site)
    return response


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


def _open(cursor: DictCursor, invitation: str) -> Invitation:
    found = open_invitation(cursor, hash_of(invitation.strip()))
    if found is None:
        raise WrongCode(
            "This invitation is not good, or not any more.",
            where="invitation",
            mend="Ask for another: each is good for a week and one person.",
        )
    return found


def _free(cursor: DictCursor, name: str) -> None:
    if not name.strip():
        raise OutOfRange("A name has letters.", where="name", mend="Type one.")
    if account_named(cursor, name.strip()) is not None:
        raise OutOfRange("This name is taken.", where="name", mend="Choose another.")


def _now(site: Site, account: Account) -> Me:
    return Me(True, account.name, account.is_operator, True, bool(site.mail))


def _me(site: Site | None, request: Request) -> Me:
    login = caller_of(request).login
    if site is None or login is None:
        return Me(hosted=site is not None)
    return Me(True, login.name, login.is_operator, login.proved, bool(site.mail))
