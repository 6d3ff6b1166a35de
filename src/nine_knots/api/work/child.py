"""How a process that reads uploads begins; needs nothing but Python itself."""

import ctypes
import os
import resource
import signal
from contextlib import suppress

_PARENT_DIED = 1  # PR_SET_PDEATHSIG of prctl(2)


def begin(parent: int, most_bytes: int) -> None:
    """Take no more memory than that, and end with the parent, not by a Ctrl-C meant for it."""
    resource.setrlimit(resource.RLIMIT_AS, (most_bytes, most_bytes))
    signal.signal(signal.SIGINT, signal.SIG_IGN)
    with suppress(OSError, AttributeError):
        ctypes.CDLL(None).prctl(_PARENT_DIED, signal.SIGKILL)
    if os.getppid() != parent:
        os._exit(1)
