"""Who calls, as an entrance found it out: somebody at the bench, a phone, or who is logged in."""

from dataclasses import dataclass

from starlette.requests import HTTPConnection
from starlette.types import Scope

from nine_knots.store.accounts.logins import Login

_KEY = "nine_knots_caller"


@dataclass(frozen=True, slots=True)
class Principal:
    """Whose phone it is, of which account, and of a guest's the only day that it sees; or the login
    that calls. At the bench itself nothing of it is known, nor asked for."""

    angler_id: str | None = None
    phones_account_id: str | None = None
    day: str | None = None
    login: Login | None = None

    @property
    def account_id(self) -> str | None:
        """Of who is logged in, or whose phone it is; None at home."""
        return self.login.account_id if self.login else self.phones_account_id

    @property
    def whose(self) -> str:
        """Whose share of anything a call takes: the account's, at home the phone's angler's; empty
        at the bench itself and of strangers."""
        return self.account_id or self.angler_id or ""


ANYBODY = Principal()
"""Who sits at the bench, or a stranger where strangers may call."""


def set_principal(scope: Scope, caller: Principal) -> None:
    """Note on a call who makes it."""
    scope[_KEY] = caller


def principal_of(request: HTTPConnection) -> Principal:
    """Who makes a call."""
    found = request.scope.get(_KEY, ANYBODY)
    assert isinstance(found, Principal)
    return found
