"""Signals that Python swallows, and children whose parent has died, end all the same."""

import os
import shlex
import subprocess
import sys

import pytest

from nine_knots.run import PROJECT
from nine_knots.run.owner import Owner

CLOSING = """
import os, signal, sys

class Closing:
    def __del__(self):
        os.kill(os.getpid(), signal.SIGINT)
        sum(range(1000))  # here the handler raises, and is not heard
"""
SWALLOWED = f"""{CLOSING}
from nine_knots.run.signals import raise_if_shutdown, install_signal_handlers

install_signal_handlers()
closing = Closing()
del closing
print("went on")
raise_if_shutdown()
print("still there")
"""


def test_a_signal_that_python_swallows_is_heeded_at_the_next_look():
    done = subprocess.run(
        [sys.executable, "-c", SWALLOWED], capture_output=True, text=True, check=False
    )
    assert done.stdout == "went on\n"
    assert "ShutdownRequested" in done.stderr.splitlines()[-1]


LOADING = f"""{CLOSING}
class Loading:
    def find_spec(self, name, path=None, target=None):
        if name == "nine_knots.run.kernel_cache":
            sys.meta_path.remove(self)
            closing = Closing()
            del closing

sys.meta_path.insert(0, Loading())
"""


@pytest.mark.parametrize(
    "command", [("nine_knots.run", "--local"), ("nine_knots.run.lend", "tcp://no:1", "--key")]
)
def test_a_signal_that_is_swallowed_while_modules_load_is_heeded_too(tmp_path, command):
    (tmp_path / "sitecustomize.py").write_text(LOADING)
    paths = os.pathsep.join((str(tmp_path), str(PROJECT / "src")))
    local = tmp_path / "local"
    done = subprocess.run(
        [sys.executable, "-m", *command, str(local)],
        env={**os.environ, "PYTHONPATH": paths},
        capture_output=True,
        timeout=30,
        check=False,
    )
    assert done.returncode == 0
    assert not local.exists(), "it went on and set up"


def test_nothing_begins_whose_parent_has_died():
    command = Owner("me", changes=False).command(["echo", "begun"])
    begun = subprocess.run(command, capture_output=True, text=True, check=True)
    assert begun.stdout == "begun\n"
    by_another = ["sh", "-c", f"{shlex.join(command)}; true"]
    left = subprocess.run(by_another, capture_output=True, text=True, check=True)
    assert left.stdout == ""
