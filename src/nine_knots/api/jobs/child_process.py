"""How a process that reads what is sent begins; needs nothing but Python itself."""

import os
import resource
import signal
import threading
import time

LOOK_S = 0.5


def configure_child(parent: int, most_bytes: int) -> None:
    """Take no more memory than that, and end with the parent, not by a Ctrl-C meant for it.

    The parent is asked for, since the kernel's own signal comes when a *thread* of it ends, and
    that of a pool may end before its process does.
    """
    resource.setrlimit(resource.RLIMIT_AS, (most_bytes, most_bytes))
    signal.signal(signal.SIGINT, signal.SIG_IGN)
    threading.Thread(target=_end_with, args=(parent,), daemon=True).start()


def _end_with(parent: int) -> None:
    while os.getppid() == parent:
        time.sleep(LOOK_S)
    os._exit(1)
