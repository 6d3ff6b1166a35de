"""Errors of the database."""

from nine_knots.core.base.errors import Fault, Refused


class StaleRevision(Refused):
    """A save on top of a revision that is no longer the newest; ``newest`` is its number."""

    code = "stale-revision"

    def __init__(self, what: str, *, newest: int, hint: str) -> None:
        super().__init__(what, where="revision", hint=hint)
        self.newest = newest


class DatabaseUnavailable(Fault):
    """The database can't be reached, or was made by a newer version of this program."""

    code = "database-trouble"


class DiskFull(Fault):
    """The disk that holds the data is full."""

    code = "disk-full"
