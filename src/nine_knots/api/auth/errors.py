"""Errors of logging in."""

from nine_knots.core.base.errors import Busy, NotAllowed


class TooManyAttempts(Busy):
    """Tried so often that the next try must wait."""

    code = "too-often"


class ReauthenticationRequired(NotAllowed):
    """An important change needs a recent login."""

    code = "not-proved"


class NotOwner(NotAllowed):
    """Only someone else may do this."""

    code = "not-yours"
