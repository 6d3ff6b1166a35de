"""What is sent and answered about accounts."""

from dataclasses import dataclass
from typing import Annotated, Any

from pydantic import Field

from nine_knots.api.site import Site
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.limits import Title
from nine_knots.core.base.quantity import System

Password = Annotated[str, Field(max_length=200)]
Secret = Annotated[str, Field(max_length=80, description="as it was given, letters of any case")]
ChallengeId = Annotated[str, Field(max_length=32, pattern=r"^([0-9a-f]{32})?$")]
Credential = Annotated[
    dict[str, Any], Field(max_length=20, description="PublicKeyCredential, as its toJSON writes it")
]


@dataclass(frozen=True, slots=True)
class Me:
    """Who is logged in: nobody where ``name`` is empty. ``hosted`` where accounts are at all,
    ``proved`` where it was shown just now who it is, ``mail`` where invitations can be sent."""

    hosted: bool
    name: str = ""
    operator: bool = False
    proved: bool = False
    mail: bool = False


def reauthenticated_until(site: Site, name: str, is_operator: bool) -> Me:
    """Somebody who has just shown who it is."""
    return Me(True, name, is_operator, True, bool(site.mail))


@dataclass(frozen=True, slots=True)
class PasskeyChallenge:
    """What a device is asked for: ``options`` is JSON for its browser."""

    challenge_id: str
    options: str


@dataclass(frozen=True, slots=True)
class NewAccount:
    """Who has joined, and the recovery codes, which are told this once."""

    me: Me
    codes: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class InvitationInfo:
    """What an open invitation says."""

    words: str


class LogInForm(Form):
    """A name and its password."""

    name: Title
    password: Password


class RecoverForm(Form):
    """A name and one of its recovery codes."""

    name: Title
    code: Secret


class PasskeyAnswer(Form):
    """A passkey that a device has shown."""

    challenge_id: ChallengeId
    credential: Credential


class InvitationForm(Form):
    """An invitation."""

    invitation: Secret


class SignUpPasskeyForm(Form):
    """An invitation and the name that whoever joins by it wants."""

    invitation: Secret
    name: Title


class SignUpForm(Form):
    """The same with what one will come in by: a password, or a passkey that was asked for."""

    invitation: Secret
    name: Title
    units: System = "imperial"
    password: Password = ""
    challenge_id: ChallengeId = ""
    credential: Credential = Field(default_factory=dict)


class ReauthenticateForm(Form):
    """Password or passkey once more."""

    password: Password = ""
    challenge_id: ChallengeId = ""
    credential: Credential = Field(default_factory=dict)


class PasswordForm(Form):
    """A password from now on; empty for none, where there is a passkey."""

    password: Password


class PasskeyForm(Form):
    """A passkey that a device has made, and what to call it."""

    title: Title = "passkey"
    challenge_id: ChallengeId
    credential: Credential


class NewInvitationForm(Form):
    """For whom, in words; as an operator or not; and where to send it, where mail is sent."""

    note: str = Field(default="", max_length=80)
    as_operator: bool = False
    mail: str = Field(default="", max_length=254)


class AccountStateForm(Form):
    """Whether nobody comes in by it any more."""

    shut: bool
