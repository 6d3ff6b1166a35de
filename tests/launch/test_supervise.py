"""Signals that Python swallows, and children whose parent has died, end all the same."""

import shlex
import subprocess
import sys

from nine_knots.launch.owner import Owner

SWALLOWED = """
import os, signal
from nine_knots.launch.supervise import end_if_told, heed_signals

class Closing:
    def __del__(self):
        os.kill(os.getpid(), signal.SIGTERM)
        sum(range(1000))  # here the handler raises, and is not heard

heed_signals()
closing = Closing()
del closing
print("went on")
end_if_told()
print("still there")
"""


def test_a_signal_that_python_swallows_is_heeded_at_the_next_look():
    done = subprocess.run(
        [sys.executable, "-c", SWALLOWED], capture_output=True, text=True, check=False
    )
    assert done.stdout == "went on\n"
    assert "Ending" in done.stderr.splitlines()[-1]


def test_nothing_begins_whose_parent_has_died():
    command = Owner("me", changes=False).command(["echo", "begun"])
    begun = subprocess.run(command, capture_output=True, text=True, check=True)
    assert begun.stdout == "begun\n"
    by_another = ["sh", "-c", f"{shlex.join(command)}; true"]
    left = subprocess.run(by_another, capture_output=True, text=True, check=True)
    assert left.stdout == ""
