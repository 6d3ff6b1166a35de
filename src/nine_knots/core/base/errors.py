"""The whole family of errors: each says what is wrong, where, and the mend.

Two branches tell callers what they may catch: ``Refused`` is an answer about the value that was
asked for, so a search may drop the candidate and go on; ``Interrupted`` ends the work itself, says
nothing about any value, and passes through everything that tries one thing after another.

``code`` is stable: it is part of the interface that the API publishes, so it never changes
meaning. ``where`` is a dotted path into the value that was refused, or empty.
"""


class NineKnotsError(Exception):
    """Anything Nine Knots refuses, with the sentence that a user reads."""

    code = "refused"

    def __init__(self, what: str, *, where: str = "", mend: str = "") -> None:
        super().__init__(what)
        self.what = what
        self.where = where
        self.mend = mend


class Refused(NineKnotsError):
    """A value that breaks a rule, can't be read or can't be computed."""


class Interrupted(NineKnotsError):
    """Work that was ended before it had an answer."""

    code = "interrupted"


class Unreadable(Refused):
    """Text that is no measure of the kind expected."""

    code = "unreadable"


class OutOfRange(Refused):
    """A measure that was read but is not physical here."""

    code = "out-of-range"


class EditRefused(Refused):
    """A change that this leader cannot take."""

    code = "edit-refused"


class CannotCompute(Refused):
    """A model asked for something outside what it can answer."""

    code = "cannot-compute"


class FileRefused(Refused):
    """An imported file that is broken, too large, hostile or newer than this program."""

    code = "file-refused"


class WrongCode(NineKnotsError):
    """A code that is none, is another's, or is no more."""

    code = "wrong-code"


class NotFound(NineKnotsError):
    """A thing asked for by a name that nothing bears."""

    code = "not-found"


class StaleRevision(NineKnotsError):
    """A save on top of a revision that is no longer the newest."""

    code = "stale-revision"

    def __init__(self, what: str, *, newest: int, mend: str) -> None:
        super().__init__(what, where="revision", mend=mend)
        self.newest = newest


class Superseded(Interrupted):
    """Work that was dropped because its asker wants something newer."""

    code = "superseded"


class DatabaseTrouble(NineKnotsError):
    """The database cannot be reached, or is of a newer make than this program."""

    code = "database-trouble"


class Damaged(NineKnotsError):
    """Something kept that cannot be read any more: no fault of who asks for it."""

    code = "damaged"


class DiskFull(NineKnotsError):
    """Nothing more can be written where the data lie."""

    code = "disk-full"


class TooBusy(NineKnotsError):
    """More is asked for at once than is worked on; ``retry_s`` says when to ask again."""

    code = "too-busy"

    def __init__(self, what: str, *, retry_s: int, mend: str) -> None:
        super().__init__(what, mend=mend)
        self.retry_s = retry_s


class TooOften(TooBusy):
    """Something tried so often that the next try waits; ``retry_s`` says how long."""

    code = "too-often"


class NotProved(NineKnotsError):
    """Something grave asked for where it was not shown just now who asks."""

    code = "not-proved"


class NotYours(NineKnotsError):
    """Something that only another may do."""

    code = "not-yours"


class WorkFailed(NineKnotsError):
    """Work that ended in a fault of our own."""

    code = "unexpected"


class TooLong(Interrupted):
    """Work that ran out of time."""

    code = "too-long"
