"""Hearing that the program is to end, from the first moment on; needs nothing but Python itself."""

import signal
import sys
from importlib import import_module
from types import FrameType
from typing import NoReturn

ENDING = (signal.SIGINT, signal.SIGTERM, signal.SIGHUP)


class ShutdownRequested(BaseException):
    """A signal to end; not an error, so nothing but the outermost caller catches it."""


_told_to_end: list[int] = []


def run(module: str) -> NoReturn:
    """Run a module's ``main``: signals to end are heard before what takes long is loaded."""
    install_signal_handlers()
    try:
        sys.exit(import_module(module).main())
    except ShutdownRequested:
        sys.exit(0)


def install_signal_handlers() -> None:
    """From here on the first signal to end raises Ending, and later ones are ignored.

    A hang-up that is ignored already (nohup) stays ignored.
    """

    def end(number: int, _frame: FrameType | None) -> None:
        _told_to_end.append(number)
        for signals in ENDING:
            signal.signal(signals, signal.SIG_IGN)
        raise ShutdownRequested(number)

    for signals in ENDING:
        if signals != signal.SIGHUP or signal.getsignal(signals) is not signal.SIG_IGN:
            signal.signal(signals, end)


def raise_if_shutdown() -> None:
    """Raise Ending where a signal to end has come.

    One that comes while Python finalises an object (a closed connection, say) or a library defines
    its classes raises in vain: there every exception is swallowed. So whoever goes on for long asks
    again.
    """
    if _told_to_end:
        raise ShutdownRequested(_told_to_end[0])
