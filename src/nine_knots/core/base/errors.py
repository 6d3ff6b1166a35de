"""Errors: what went wrong, where, and a hint how to fix it.

The tree, by what a caller may do about it::

    NineKnotsError
      Refused            a value broke a rule: try another one
        Unreadable       text that can't be parsed
        OutOfRange       a figure that isn't physical here
        EditRefused      a change this leader can't take
        CannotCompute    outside the range of a model
        NotFound         nothing has this name or id
        formats.FileRefused, store.StaleRevision, services.WrongCode
      Interrupted        the work was ended; says nothing about any value
        Superseded       a newer question took its place
        TimedOut         out of time
      Busy               try again later
        TooBusy          more was asked for at once than can be done
        api.auth.TooManyAttempts
      NotAllowed         somebody else may do this
        api.auth.ReauthenticationRequired, api.auth.NotOwner
      Fault              our fault, not the caller's
        WorkFailed       a simulation crashed
        store.DatabaseUnavailable, store.DiskFull, stored_types.Damaged

A loop that tries one candidate after another may catch ``Refused``; it must let ``Interrupted``
pass. ``code`` is part of the published API and never changes its meaning. ``where`` is a dotted
path into the value that was refused, or empty.
"""


class NineKnotsError(Exception):
    """Base of every error with a sentence for the user: ``what`` happened, and a ``hint``."""

    code = "refused"

    def __init__(self, what: str, *, where: str = "", hint: str = "") -> None:
        super().__init__(what)
        self.what = what
        self.where = where
        self.hint = hint


class Refused(NineKnotsError):
    """A value breaks a rule, can't be read or can't be computed."""


class Unreadable(Refused):
    """Text that can't be parsed as the kind of figure expected."""

    code = "unreadable"


class OutOfRange(Refused):
    """A figure that was read but isn't physical here."""

    code = "out-of-range"


class EditRefused(Refused):
    """A change that this leader can't take."""

    code = "edit-refused"


class CannotCompute(Refused):
    """A model was asked for something outside its range."""

    code = "cannot-compute"


class NotFound(Refused):
    """Nothing has the name or id that was asked for."""

    code = "not-found"


class Interrupted(NineKnotsError):
    """The work was ended before it had an answer."""

    code = "interrupted"


class Superseded(Interrupted):
    """A newer question of the same client took this one's place."""

    code = "superseded"


class TimedOut(Interrupted):
    """The work ran out of time."""

    code = "too-long"


class Busy(NineKnotsError):
    """Not now; ``retry_s`` is the number of seconds to wait."""

    def __init__(self, what: str, *, retry_s: int, hint: str) -> None:
        super().__init__(what, hint=hint)
        self.retry_s = retry_s


class TooBusy(Busy):
    """More was asked for at once than can be worked on."""

    code = "too-busy"


class NotAllowed(NineKnotsError):
    """Somebody else may do this, or the same person once they confirm who they are."""


class Fault(NineKnotsError):
    """Our fault, not the caller's."""

    code = "unexpected"


class WorkFailed(Fault):
    """A simulation ended in a fault of our own."""
