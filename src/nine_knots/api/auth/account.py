"""/api/v1/account: one's own keys, log-ins and what was tried at them; all of it deleted."""

from dataclasses import dataclass
from typing import Annotated

from fastapi import APIRouter, Query, Response
from pymysql.cursors import DictCursor
from starlette.concurrency import run_in_threadpool

from nine_knots.api.auth.account_session import CurrentMine
from nine_knots.api.auth.forms import (
    Me,
    PasskeyChallenge,
    PasskeyForm,
    PasswordForm,
    ReauthenticateForm,
    reauthenticated_until,
)
from nine_knots.api.auth.login_flow import count_tries, dummy_password, new_codes
from nine_knots.api.auth.names import folded_name
from nine_knots.api.auth.passkeys import (
    begin_registration,
    finish_registration,
    passkey_owner,
    password_matches,
    store_passkey,
)
from nine_knots.api.ids import PathId
from nine_knots.api.jobs.isolated_process import CurrentIsolated
from nine_knots.api.login_cookie import log_out_response
from nine_knots.api.problems import MISSING, RESPONSES, TRIED
from nine_knots.core.base.errors import NineKnotsError, OutOfRange
from nine_knots.services.errors import WrongCode
from nine_knots.services.passwords import check_password
from nine_knots.services.secret import code_hash, sealed
from nine_knots.store.accounts.accounts import forget_account, read_account, set_password
from nine_knots.store.accounts.audit_log import LoginNote, list_notes
from nine_knots.store.accounts.logins import end_login, end_others, list_logins, prove_login
from nine_knots.store.accounts.passkeys import drop_passkey, list_passkeys
from nine_knots.store.accounts.recovery import codes_left, write_codes

router = APIRouter(
    prefix="/api/v1/account",
    tags=["account"],
    responses={**RESPONSES, **MISSING, **TRIED},
)
MOST_PASSKEYS = 12


@dataclass(frozen=True, slots=True)
class PasskeyRow:
    """A passkey in a line; times as ISO 8601."""

    passkey_id: str
    title: str
    made_at: str
    used_at: str


@dataclass(frozen=True, slots=True)
class LoginMethods:
    """All by which one comes in; ``words`` say where it is too little or too weak."""

    passkeys: tuple[PasskeyRow, ...]
    has_password: bool
    codes_left: int
    words: str


@dataclass(frozen=True, slots=True)
class LoginRow:
    """A browser that is logged in; ``here`` is the one that asks."""

    login_id: str
    device: str
    made_at: str
    seen_at: str
    here: bool


@dataclass(frozen=True, slots=True)
class RecoveryCodes:
    """Recovery codes, told this once; those before are good no more."""

    codes: tuple[str, ...]


@router.get("/login-methods", summary="List my log-in methods")
def get_login_methods(mine: CurrentMine) -> LoginMethods:
    """Passkeys, whether there is a password, and how many recovery codes are left."""
    return mine.transact(_keys)


@router.post("/reauthenticate", summary="Confirm that it is still me")
def post_reauthenticate(mine: CurrentMine, form: ReauthenticateForm) -> Me:
    """By password or passkey; for ten minutes what is grave is then done at a word."""
    login, knows = mine.login, False
    if not form.credential:
        count_tries(mine.database, mine.calling, "password", login.name)
        knows = password_matches(mine.transact(read_account), form.password, dummy_password())

    def prove(cursor: DictCursor, account_id: str) -> NineKnotsError | None:
        right = knows
        if form.credential:
            found = passkey_owner(cursor, mine.site, form.challenge_id, form.credential)
            right = found.account_id == account_id
        mine.note(cursor, "confirmed who they are" if right else "failed to confirm who they are")
        if not right:
            return WrongCode("Wrong password or passkey.", where="password", hint="Try again.")
        prove_login(cursor, account_id, login.login_id)
        return None

    refused = mine.transact(prove)
    if refused is not None:
        raise refused
    return reauthenticated_until(mine.site, login.name, login.is_operator)


@router.post("/passkeys/ask", summary="Start adding a passkey")
def post_passkeys_ask(mine: CurrentMine) -> PasskeyChallenge:
    """What the device is to sign."""
    mine.proved()
    return mine.transact(
        lambda cursor, me: begin_registration(cursor, mine.site, "add", me, mine.login.name)
    )


@router.post("/passkeys", summary="Add a passkey")
def post_passkeys(mine: CurrentMine, form: PasskeyForm) -> LoginMethods:
    """The device that made it lets in from now on."""
    mine.proved()

    def add(cursor: DictCursor, me: str) -> LoginMethods:
        key = finish_registration(cursor, mine.site, "add", form.challenge_id, form.credential)
        if key.account_id != me:
            raise WrongCode(
                "This passkey was created for another account.",
                where="credential",
                hint="Try again.",
            )
        if len(list_passkeys(cursor, me)) >= MOST_PASSKEYS:
            raise OutOfRange(
                f"{MOST_PASSKEYS} passkeys are the limit.", where="title", hint="Remove one first."
            )
        store_passkey(cursor, me, form.title.strip() or "passkey", key.passkey)
        mine.note(cursor, "added a passkey")
        return _keys(cursor, me)

    return mine.change(add)


@router.delete("/passkeys/{passkey_id}", summary="Remove a passkey")
def remove_passkey(mine: CurrentMine, passkey_id: PathId) -> LoginMethods:
    """The last way in stays."""
    mine.proved()

    def drop(cursor: DictCursor, me: str) -> LoginMethods:
        drop_passkey(cursor, me, passkey_id)
        keys = _keys(cursor, me)
        if not keys.passkeys and not keys.has_password:
            raise OutOfRange(
                "This is your only log-in method.", where="passkey_id", hint="Set a password first."
            )
        mine.note(cursor, "removed a passkey")
        return keys

    return mine.change(drop)


@router.put("/password", summary="Change or remove my password")
async def put_password(
    mine: CurrentMine, isolated: CurrentIsolated, form: PasswordForm
) -> LoginMethods:
    """Whoever is logged in elsewhere is out."""
    mine.proved()
    kept = None
    if form.password:
        await isolated.run(check_password, form.password, (mine.login.name,))
        kept = await run_in_threadpool(sealed, form.password)

    def change(cursor: DictCursor, me: str) -> LoginMethods:
        if kept is None and not list_passkeys(cursor, me):
            raise OutOfRange(
                "This is your only log-in method.", where="password", hint="Add a passkey first."
            )
        set_password(cursor, me, kept)
        end_others(cursor, me, mine.login.login_id)
        mine.note(cursor, "set a password" if kept else "removed the password")
        return _keys(cursor, me)

    return await run_in_threadpool(mine.change, change)


@router.post("/recovery-codes", summary="Create new recovery codes")
def post_recovery_codes(mine: CurrentMine) -> RecoveryCodes:
    """Ten, each good once; write them down."""
    mine.proved()
    codes = new_codes()

    def change(cursor: DictCursor, me: str) -> RecoveryCodes:
        write_codes(cursor, me, map(code_hash, codes))
        mine.note(cursor, "created new recovery codes")
        return RecoveryCodes(codes)

    return mine.change(change)


@router.get("/logins", summary="List where I am logged in")
def get_logins(mine: CurrentMine) -> tuple[LoginRow, ...]:
    """The last seen first."""
    return tuple(
        LoginRow(
            item.login_id,
            item.device,
            item.made_at.isoformat(),
            item.seen_at.isoformat(),
            item.login_id == mine.login.login_id,
        )
        for item in mine.transact(list_logins)
    )


@router.delete("/logins/{login_id}", status_code=204, summary="Log out one browser")
def remove_login(mine: CurrentMine, login_id: PathId) -> Response:
    """From its next call on."""

    def leave(cursor: DictCursor, me: str) -> None:
        end_login(cursor, me, login_id)
        mine.note(cursor, "logged out a browser")

    mine.transact(leave)
    return Response(status_code=204)


@router.delete("/logins", status_code=204, summary="Log out all other browsers")
def remove_other_logins(mine: CurrentMine) -> Response:
    """This one stays."""

    def leave(cursor: DictCursor, me: str) -> None:
        end_others(cursor, me, mine.login.login_id)
        mine.note(cursor, "logged out all other browsers")

    mine.transact(leave)
    return Response(status_code=204)


@router.get("/activity", summary="List recent log-in activity")
def get_login_activity(mine: CurrentMine) -> tuple[LoginNote, ...]:
    """The newest first, of ninety days."""
    return mine.transact(list_notes)


@router.delete("", status_code=204, summary="Delete my account and everything in it")
def remove_account(
    mine: CurrentMine, name: Annotated[str, Query(max_length=80, description="to confirm it")]
) -> Response:
    """At once and for good; backups keep it for two weeks more."""
    mine.proved()
    if folded_name(name) != mine.login.name:
        raise OutOfRange(
            f"That isn't your name here: {mine.login.name}.",
            where="name",
            hint="Type the name exactly as shown. Nothing was deleted.",
        )
    mine.transact(forget_account)
    return log_out_response(mine.site)


def _keys(cursor: DictCursor, me: str) -> LoginMethods:
    passkeys = list_passkeys(cursor, me)
    has_password = read_account(cursor, me).password_sealed is not None
    left = codes_left(cursor, me)
    words = ""
    if not passkeys and has_password:
        words = "A passkey is safer than a password and quicker to use. Add one."
    if left < 3:
        words = f"{left} recovery codes are left. Create new ones and write them down."
    return LoginMethods(
        tuple(
            PasskeyRow(
                passkey.passkey_id,
                passkey.title,
                passkey.made_at.isoformat(),
                passkey.used_at.isoformat() if passkey.used_at else "",
            )
            for passkey in passkeys
        ),
        has_password,
        left,
        words,
    )
