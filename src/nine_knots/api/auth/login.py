"""/api/v1/account: coming in to a hosted service, by passkey, password or recovery code, and going
out again. What is refused says the same, and takes as long, whether a name is known or
not."""

from fastapi import APIRouter, Request, Response
from pymysql.cursors import DictCursor

from nine_knots.api.auth.account_session import CurrentMine
from nine_knots.api.auth.forms import (
    LogInForm,
    Me,
    PasskeyAnswer,
    PasskeyChallenge,
    RecoverForm,
)
from nine_knots.api.auth.login_flow import (
    NOT_IN,
    CurrentThreshold,
    LoginAttempt,
    dummy_password,
)
from nine_knots.api.auth.names import folded_name
from nine_knots.api.auth.passkeys import (
    begin_authentication,
    passkey_owner,
    password_matches,
)
from nine_knots.api.login_cookie import log_out_response
from nine_knots.api.principal import principal_of
from nine_knots.api.problems import MISSING, RESPONSES, TRIED
from nine_knots.api.site import Site
from nine_knots.services.errors import WrongCode
from nine_knots.services.secret import code_hash
from nine_knots.store.accounts.accounts import account_named
from nine_knots.store.accounts.logins import end_login
from nine_knots.store.accounts.recovery import use_code

router = APIRouter(
    prefix="/api/v1/account", tags=["account"], responses={**RESPONSES, **MISSING, **TRIED}
)


@router.get("", summary="Show who is logged in")
def get_me(request: Request) -> Me:
    """Nobody, at home and before anybody is."""
    site: Site | None = request.app.state.site
    login = principal_of(request).login
    if site is None or login is None:
        return Me(hosted=site is not None)
    return Me(True, login.name, login.is_operator, login.proved, bool(site.mail))


@router.post("/log-in", summary="Log in with a password")
def post_log_in(threshold: CurrentThreshold, form: LogInForm) -> Me:
    """After five wrong ones from one address none is taken from there for five minutes."""
    name = folded_name(form.name)
    threshold.count("password", name)
    tried = threshold.database.transact(lambda cursor: account_named(cursor, name))
    right = password_matches(tried, form.password, dummy_password())

    def find(cursor: DictCursor) -> LoginAttempt:
        account = account_named(cursor, name)
        same = tried and account and account.password_sealed == tried.password_sealed
        if not (right and same):
            return LoginAttempt(account, NOT_IN)
        threshold.forget(cursor, "password", name)
        return LoginAttempt(account)

    return threshold.cross("password", find)


@router.post("/passkey", summary="Start logging in with a passkey")
def post_passkey(threshold: CurrentThreshold) -> PasskeyChallenge:
    """Good for five minutes and one signature; nobody is kept from asking."""
    return threshold.database.transact(lambda cursor: begin_authentication(cursor, threshold.site))


@router.post("/passkey/log-in", summary="Log in with a passkey")
def post_passkey_log_in(threshold: CurrentThreshold, form: PasskeyAnswer) -> Me:
    """Its owner is known by it: no name is asked for."""

    def find(cursor: DictCursor) -> LoginAttempt:
        try:
            return LoginAttempt(
                passkey_owner(cursor, threshold.site, form.challenge_id, form.credential)
            )
        except WrongCode as refused:
            return LoginAttempt(None, refused)

    return threshold.cross("passkey", find)


@router.post("/recover", summary="Log in with a recovery code")
def post_recover(threshold: CurrentThreshold, form: RecoverForm) -> Me:
    """The code is spent; then set a password or make a passkey. Nobody guesses a code, so one that
    is right lets in however often others have tried."""
    name = folded_name(form.name)
    waits = threshold.count_softly("recovery", name)
    refusal = WrongCode(
        "Wrong name or code.",
        where="code",
        hint="Check both. Each code works once.",
    )

    def find(cursor: DictCursor) -> LoginAttempt:
        account = account_named(cursor, name)
        spent = account is not None and use_code(cursor, account.account_id, code_hash(form.code))
        return LoginAttempt(account, None if spent else waits or refusal)

    return threshold.cross("recovery code", find)


@router.post("/log-out", status_code=204, summary="Log out")
def post_log_out(mine: CurrentMine) -> Response:
    """This browser comes in no more."""

    def leave(cursor: DictCursor, account_id: str) -> None:
        end_login(cursor, account_id, mine.login.login_id)
        mine.note(cursor, "logged out")

    mine.transact(leave)
    return log_out_response(mine.site)
