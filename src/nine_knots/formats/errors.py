"""Errors of files."""

from nine_knots.core.base.errors import Refused


class FileRefused(Refused):
    """A file is broken, too large, hostile, or newer than this program."""

    code = "file-refused"
