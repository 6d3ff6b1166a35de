"""Passkeys: what a device is asked to sign, and whether it did [S: WebAuthn2021], by the webauthn
package. It is imported where it is used: it loads slowly, and a bench at home has no passkeys."""

from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from typing import Any

from nine_knots.services.errors import WrongCode

Credential = dict[str, Any]


@contextmanager
def _shown_rightly() -> Iterator[None]:
    """WrongCode for whatever a device sends that is not what was asked of it."""
    from webauthn.helpers.exceptions import WebAuthnException

    try:
        yield
    except (WebAuthnException, ValueError, KeyError, TypeError) as refused:
        raise WrongCode(
            "This device didn't confirm the passkey.", where="credential", hint="Try again."
        ) from refused


@dataclass(frozen=True, slots=True)
class PasskeyOptions:
    """What a browser is handed, as JSON text, and what is to be signed in it."""

    options: str
    challenge: bytes


@dataclass(frozen=True, slots=True)
class NewPasskey:
    """A new passkey's public side."""

    credential_id: bytes
    public_key: bytes
    sign_count: int


def registration_options(
    host: str, name: str, handle: bytes, known: tuple[bytes, ...] = ()
) -> PasskeyOptions:
    """Ask for a new passkey of an account; devices that keep one of ``known`` make no second."""
    import webauthn
    from webauthn.helpers import structs

    options = webauthn.generate_registration_options(
        rp_id=host,
        rp_name="Nine Knots",
        user_id=handle,
        user_name=name,
        user_display_name=name,
        authenticator_selection=structs.AuthenticatorSelectionCriteria(
            resident_key=structs.ResidentKeyRequirement.REQUIRED,
            user_verification=structs.UserVerificationRequirement.REQUIRED,
        ),
        exclude_credentials=[structs.PublicKeyCredentialDescriptor(id=item) for item in known],
    )
    return PasskeyOptions(webauthn.options_to_json(options), options.challenge)


def verify_registration(
    host: str, origin: str, challenge: bytes, credential: Credential
) -> NewPasskey:
    """The passkey that a device made; WrongCode where it is not what was asked for."""
    import webauthn

    with _shown_rightly():
        found = webauthn.verify_registration_response(
            credential=credential,
            expected_challenge=challenge,
            expected_rp_id=host,
            expected_origin=origin,
            require_user_verification=True,
        )
    return NewPasskey(found.credential_id, found.credential_public_key, found.sign_count)


def authentication_options(host: str) -> PasskeyOptions:
    """Ask for any passkey that the device keeps for this service."""
    import webauthn
    from webauthn.helpers import structs

    options = webauthn.generate_authentication_options(
        rp_id=host, user_verification=structs.UserVerificationRequirement.REQUIRED
    )
    return PasskeyOptions(webauthn.options_to_json(options), options.challenge)


def credential_in(credential: Credential) -> bytes:
    """Which passkey a device says it showed; WrongCode where it says none."""
    import webauthn

    with _shown_rightly():
        return webauthn.base64url_to_bytes(credential["rawId"])


def verify_authentication(
    host: str, origin: str, challenge: bytes, credential: Credential, key: bytes, count: int
) -> int:
    """The device's new count, where its signature is right; WrongCode where it is not, or where the
    count went back, as it does with a copied key."""
    import webauthn

    with _shown_rightly():
        found = webauthn.verify_authentication_response(
            credential=credential,
            expected_challenge=challenge,
            expected_rp_id=host,
            expected_origin=origin,
            credential_public_key=key,
            credential_current_sign_count=count,
            require_user_verification=True,
        )
    return found.new_sign_count
