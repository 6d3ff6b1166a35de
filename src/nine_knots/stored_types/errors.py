"""Errors of stored values."""

from nine_knots.core.base.errors import Fault


class Damaged(Fault):
    """A stored value can't be read any more: not the fault of whoever asks for it."""

    code = "damaged"
