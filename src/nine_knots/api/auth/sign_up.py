"""/api/v1/account/join: joining by an invitation, by a passkey or a password."""

from fastapi import APIRouter
from pymysql.cursors import DictCursor
from starlette.concurrency import run_in_threadpool

from nine_knots.api.auth.forms import (
    InvitationForm,
    InvitationInfo,
    NewAccount,
    PasskeyChallenge,
    SignUpForm,
    SignUpPasskeyForm,
)
from nine_knots.api.auth.login_flow import CurrentThreshold, LoginFlow, new_codes
from nine_knots.api.auth.names import typed_name
from nine_knots.api.auth.passkeys import (
    begin_registration,
    finish_registration,
    new_account_id,
    store_passkey,
)
from nine_knots.api.jobs.isolated_process import CurrentIsolated
from nine_knots.api.problems import MISSING, RESPONSES, TRIED
from nine_knots.services.errors import WrongCode
from nine_knots.services.passwords import check_password
from nine_knots.services.secret import code_hash, hash_of, new_token, sealed
from nine_knots.store.accounts.accounts import check_free, create_account
from nine_knots.store.accounts.audit_log import JOINED
from nine_knots.store.accounts.invitations import Invitation, open_invitation, take_invitation
from nine_knots.store.accounts.recovery import write_codes
from nine_knots.store.anglers import Settings, create_angler

router = APIRouter(
    prefix="/api/v1/account/join", tags=["account"], responses={**RESPONSES, **MISSING, **TRIED}
)


@router.post("/look", summary="Show an invitation")
def post_look(threshold: CurrentThreshold, form: InvitationForm) -> InvitationInfo:
    """Whether it is open still, and for whom it was meant."""
    found = _look(threshold, form.invitation)
    meant = f" It was made for {found.note}." if found.note else ""
    role = " as an operator" if found.as_operator else ""
    return InvitationInfo(f"You are invited to join{role}.{meant}")


@router.post("/passkey", summary="Start signing up with a passkey")
def post_join_passkey(threshold: CurrentThreshold, form: SignUpPasskeyForm) -> PasskeyChallenge:
    """The device is asked for one; the account is made when it comes back."""
    name = typed_name(form.name)
    _look(threshold, form.invitation)

    def ask(cursor: DictCursor) -> PasskeyChallenge:
        check_free(cursor, name)
        return begin_registration(cursor, threshold.site, "join", new_account_id(), name)

    return threshold.database.transact(ask)


@router.post("", summary="Sign up with an invitation")
async def post_join(
    threshold: CurrentThreshold, isolated: CurrentIsolated, form: SignUpForm
) -> NewAccount:
    """An account with an angler of its own who owns nothing yet; the invitation is spent."""
    name = typed_name(form.name)
    await run_in_threadpool(_look, threshold, form.invitation)  # before anything that takes long
    kept = None
    if form.password or not form.credential:
        await isolated.run(check_password, form.password, (name,))
        kept = await run_in_threadpool(sealed, form.password)
    codes, token = new_codes(), new_token()

    def join(cursor: DictCursor) -> bool:
        found = _open(cursor, form.invitation)
        key = None
        if form.credential:
            key = finish_registration(
                cursor, threshold.site, "join", form.challenge_id, form.credential
            )
        made_for = key.account_id if key else ""
        account_id = create_account(cursor, name, kept, found.as_operator, made_for)
        if key:
            store_passkey(cursor, account_id, threshold.calling.device, key.passkey)
        write_codes(cursor, account_id, map(code_hash, codes))
        take_invitation(cursor, found.invitation_id)
        create_angler(cursor, Settings(name=name, units=form.units), account_id=account_id)
        threshold.log_in(cursor, account_id, token, JOINED)
        return found.as_operator

    is_operator = await run_in_threadpool(threshold.database.transact, join)
    return NewAccount(threshold.crossed(token, name, is_operator), codes)


def _look(threshold: LoginFlow, invitation: str) -> Invitation:
    """The invitation; one that is not good is counted."""
    try:
        return threshold.database.transact(lambda cursor: _open(cursor, invitation))
    except WrongCode:
        threshold.count("invitation")
        raise


def _open(cursor: DictCursor, invitation: str) -> Invitation:
    found = open_invitation(cursor, hash_of(invitation.strip()))
    if found is None:
        raise WrongCode(
            "This invitation is wrong or has expired.",
            where="invitation",
            hint="Ask for a new one: each works once, within a week.",
        )
    return found
