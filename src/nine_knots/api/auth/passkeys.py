"""By what one comes in: a password that was chosen or a passkey that was made, looked at."""

import secrets
from dataclasses import dataclass

from pymysql.cursors import DictCursor

from nine_knots.api.auth.forms import Credential, PasskeyChallenge
from nine_knots.api.site import Site
from nine_knots.services.errors import WrongCode
from nine_knots.services.passkeys import (
    NewPasskey,
    authentication_options,
    credential_in,
    registration_options,
    verify_authentication,
    verify_registration,
)
from nine_knots.services.secret import opens
from nine_knots.store.accounts.accounts import Account, read_account
from nine_knots.store.accounts.challenges import Purpose, add_challenge, take_challenge
from nine_knots.store.accounts.passkeys import add_passkey, list_passkeys, note_used, passkey_of

TOO_LATE = "This took too long, or was already done."
NO_PASSKEY = "No account uses this passkey."


@dataclass(frozen=True, slots=True)
class NewKey:
    """A passkey that was made, and the account it was made for."""

    account_id: str
    passkey: NewPasskey


def begin_registration(
    cursor: DictCursor, site: Site, kind: Purpose, account_id: str, name: str
) -> PasskeyChallenge:
    """Ask a device for a new passkey of an account, which may be one that is still to be made."""
    known = tuple(item.credential_id for item in list_passkeys(cursor, account_id))
    asked = registration_options(site.name, name, bytes.fromhex(account_id), known)
    return PasskeyChallenge(add_challenge(cursor, kind, asked.challenge, account_id), asked.options)


def finish_registration(
    cursor: DictCursor, site: Site, kind: Purpose, challenge_id: str, credential: Credential
) -> NewKey:
    """The passkey that was asked for; WrongCode where it is not that."""
    challenge = take_challenge(cursor, kind, challenge_id)
    if challenge is None or challenge.account_id is None:
        raise WrongCode(TOO_LATE, where="credential", hint="Try again.")
    key = verify_registration(site.name, site.origin, challenge.body, credential)
    return NewKey(challenge.account_id, key)


def store_passkey(cursor: DictCursor, account_id: str, title: str, passkey: NewPasskey) -> None:
    """Let an account come in by a passkey that was made."""
    add_passkey(
        cursor,
        account_id,
        title,
        passkey.credential_id,
        passkey.public_key,
        passkey.sign_count,
    )


def begin_authentication(cursor: DictCursor, site: Site) -> PasskeyChallenge:
    """Ask a device for a passkey that it keeps."""
    asked = authentication_options(site.name)
    return PasskeyChallenge(add_challenge(cursor, "enter", asked.challenge), asked.options)


def passkey_owner(
    cursor: DictCursor, site: Site, challenge_id: str, credential: Credential
) -> Account:
    """Whose passkey was shown; WrongCode where it is nobody's, or was not shown rightly."""
    challenge = take_challenge(cursor, "enter", challenge_id)
    if challenge is None:
        raise WrongCode(TOO_LATE, where="credential", hint="Try again.")
    passkey = passkey_of(cursor, credential_in(credential))
    if passkey is None:
        raise WrongCode(NO_PASSKEY, where="credential", hint="Log in with your password.")
    count = verify_authentication(
        site.name,
        site.origin,
        challenge.body,
        credential,
        passkey.public_key,
        passkey.sign_count,
    )
    note_used(cursor, passkey, count)
    return read_account(cursor, passkey.account_id)


def password_matches(account: Account | None, password: str, nobodys: str) -> bool:
    """Whether it is an account's password, found in the same time where there is none."""
    kept = account.password_sealed if account else None
    return opens(kept or nobodys, password) and kept is not None


def new_account_id() -> str:
    """The id of an account that is still to be made."""
    return secrets.token_hex(16)
