"""What an earlier run may have left behind: a database server on our own data."""

from pathlib import Path

import psutil

TERM_SECONDS = 4.0
KILL_SECONDS = 10.0


def servers_on(data: Path) -> list[psutil.Process]:
    """MariaDB servers whose data directory is this one, by their own command lines."""
    mark = f"--datadir={data}"
    found = []
    for process in psutil.process_iter():
        try:
            command = process.cmdline()
            gone = process.status() == psutil.STATUS_ZOMBIE
        except psutil.Error:
            continue
        if not gone and mark in command and any("mariadbd" in part for part in command[:12]):
            found.append(process)
    return found


def end_servers_on(data: Path) -> int:
    """End them, by force where they do not end by themselves; answers how many there were."""
    found = servers_on(data)
    for process in found:
        _send(process.terminate)
    _, left = psutil.wait_procs(found, timeout=TERM_SECONDS)
    for process in left:
        _send(process.kill)
    psutil.wait_procs(left, timeout=KILL_SECONDS)
    return len(found)


def _send(signal) -> None:  # type: ignore[no-untyped-def]
    try:
        signal()
    except psutil.NoSuchProcess:
        return
