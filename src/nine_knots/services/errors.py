"""Errors of codes and keys."""

from nine_knots.core.base.errors import Refused


class WrongCode(Refused):
    """A code or passkey that is wrong, belongs to someone else, or has expired."""

    code = "wrong-code"
