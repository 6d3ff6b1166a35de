"""/api/account/join: joining by an invitation, by a passkey or a password."""

from fastapi import APIRouter, Request, Response
from pymysql.cursors import DictCursor

from nine_knots.api.accounts.caller import CurrentCalling
from nine_knots.api.accounts.forms import (
    Invited,
    JoinAskForm,
    Joined,
    JoinForm,
    LookForm,
    ToSign,
    just_proved,
)
from nine_knots.api.accounts.keys import ask_for_new, new_account_id, take_new
from nine_knots.api.accounts.letting_in import count_tries, let_in, new_codes
from nine_knots.api.problems import MISSING, RESPONSES, TRIED
from nine_knots.api.site import CurrentSite
from nine_knots.core.base.errors import OutOfRange, WrongCode
from nine_knots.services.passwords import check_password
from nine_knots.services.secret import code_hash, hash_of, sealed
from nine_knots.store import Database
from nine_knots.store.accounts.accounts import account_named, create_account
from nine_knots.store.accounts.invitations import Invitation, open_invitation, take_invitation
from nine_knots.store.accounts.passkeys import add_passkey
from nine_knots.store.accounts.recovery import write_codes
from nine_knots.store.anglers import Settings, create_angler

router = APIRouter(
    prefix="/api/account/join", tags=["account"], responses={**RESPONSES, **MISSING, **TRIED}
)


@router.post("/look", summary="Look at an invitation")
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


@router.post("/passkey", summary="Ask for a passkey to join by")
def post_join_passkey(request: Request, site: CurrentSite, form: JoinAskForm) -> ToSign:
    """The device is asked for one; the account is made when it comes back."""

    def ask(cursor: DictCursor) -> ToSign:
        _open(cursor, form.invitation)
        _free(cursor, form.name)
        return ask_for_new(cursor, site, "join", new_account_id(), form.name.strip())

    database: Database = request.app.state.database
    return database.transact(ask)


@router.post("", summary="Join by an invitation")
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

    def join(cursor: DictCursor) -> bool:
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
        return found.as_operator

    database: Database = request.app.state.database
    is_operator = database.transact(join)
    return Joined(just_proved(site, name, is_operator), codes)


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
