"""Whose the running program is: the caller's own, or for root an OS user made for it.

Nothing that listens or computes runs as root. Only where that user cannot enter the folder of the
data does it stay root, on loopback all the same. Where Python itself lies in a folder that only
root may enter, the user keeps the one right to read it.
"""

import os
import pwd
import subprocess
import sys
from dataclasses import dataclass
from pathlib import Path

OS_USER = "nineknots"
IF_NOT_LEFT = 'test "$PPID" = "$0" && exec "$@"'
"""Becomes a program, for the shell: unless the parent, whose number is told, has died already."""


@dataclass(frozen=True)
class Owner:
    """An OS user; ``changes`` says that programs are started as another than the caller."""

    name: str
    changes: bool

    def command(self, program: list[str], *, reads_all: bool = False) -> list[str]:
        """The command that runs a program as this user; it is ended when its parent dies.

        By force: a database that only begins does not heed a gentler word, and loses nothing. The
        parent is the *thread* that starts it: start it from one that stays. One whose parent died
        before the kernel was asked to end it does not begin.
        """
        bound = ["setpriv", "--pdeathsig=KILL", *self._identity(reads_all), "--"]
        return [*bound, "sh", "-c", IF_NOT_LEFT, str(os.getpid()), *program]

    def _identity(self, reads_all: bool) -> list[str]:
        if not self.changes:
            return []
        who = pwd.getpwnam(self.name)
        reads = ["--inh-caps=+dac_read_search", "--ambient-caps=+dac_read_search"]
        return [
            f"--reuid={who.pw_uid}",
            f"--regid={who.pw_gid}",
            "--clear-groups",
            "--no-new-privs",
            *(reads if reads_all else []),
        ]

    def hand_over(self, path: Path) -> None:
        """Make a file, or a folder with all in it, this user's."""
        if not self.changes:
            return
        who = pwd.getpwnam(self.name)
        for item in (path, *(path.rglob("*") if path.is_dir() else ())):
            if item.lstat().st_uid != who.pw_uid:
                os.chown(item, who.pw_uid, who.pw_gid, follow_symlinks=False)

    def python(self, *arguments: str) -> list[str]:
        """The command of this Python as this user."""
        if self._can_run_python(reads_all=False):
            return self.command([sys.executable, *arguments])
        if self._can_run_python(reads_all=True):
            return self.command([sys.executable, *arguments], reads_all=True)
        return Owner("root", changes=False).command([sys.executable, *arguments])

    def _can_run_python(self, reads_all: bool) -> bool:
        """Whether this Python runs as this user with its own library, not with another's."""
        same = (
            "import sys; from importlib.util import find_spec; open(find_spec('pydantic').origin); "
            f"sys.exit(sys.base_prefix != {sys.base_prefix!r})"
        )
        return not self.changes or _runs(
            self.command([sys.executable, "-c", same], reads_all=reads_all)
        )


def owner_of(folder: Path) -> Owner:
    """The user to run as, with data in a folder; for root the user is made where it is missing."""
    if os.geteuid() != 0:
        return Owner(pwd.getpwuid(os.geteuid()).pw_name, changes=False)
    root = Owner("root", changes=False)
    try:
        pwd.getpwnam(OS_USER)
    except KeyError:
        made = ["useradd", "--system", "--no-create-home", "--shell", "/usr/sbin/nologin", OS_USER]
        if not _runs(made):
            return root
    own = Owner(OS_USER, changes=True)
    return own if _runs(own.command(["test", "-x", str(folder)])) else root


def _runs(command: list[str]) -> bool:
    return subprocess.run(command, capture_output=True, check=False).returncode == 0
