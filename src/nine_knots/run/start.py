"""What ./start runs once Python is ready and signals to end are heard."""

import argparse
import fcntl
import logging
import socket
import sys
import time
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from nine_knots.core.base.errors import NineKnotsError
from nine_knots.run import PROJECT
from nine_knots.run.console import print_line
from nine_knots.run.interface import build_interface
from nine_knots.run.kernel_cache import keep_kernels_in
from nine_knots.run.owner import owner_of
from nine_knots.run.service_process import Service
from nine_knots.run.signals import raise_if_shutdown

DEFAULT_PORT = 8909


class CannotStart(NineKnotsError):
    """Something outside the program is in the way."""

    code = "cannot-start"


def _arguments() -> argparse.Namespace:
    parser = argparse.ArgumentParser(prog="./start", description="Start Nine Knots.")
    parser.add_argument("--port", type=int, default=DEFAULT_PORT, help="port on 127.0.0.1")
    parser.add_argument("--fresh", action="store_true", help="start over with the demo")
    parser.add_argument("--empty", action="store_true", help="start without the demo")
    parser.add_argument(
        "--lan", action="store_true", help="let paired phones on the home network connect, over TLS"
    )
    parser.add_argument(
        "--hosted",
        metavar="ADDRESS",
        help="serve anglers with accounts of their own, found at such as https://knots.example "
        "behind a proxy that speaks TLS (docs/hosting.md)",
    )
    parser.add_argument(
        "--hall",
        metavar="ADDRESS",
        help="with --hosted: where workers of other machines come to, such as tcp://0.0.0.0:8919",
    )
    parser.add_argument(
        "--database",
        type=Path,
        metavar="FILE",
        help="with --hosted: names a database that others keep running, a cluster perhaps",
    )
    parser.add_argument(
        "--mail", type=Path, metavar="FILE", help="with --hosted: names the server that sends mail"
    )
    parser.add_argument("--local", type=Path, help="folder for data")
    parser.add_argument(
        "--backup", type=Path, metavar="FILE", help="write a backup of all data to a file"
    )
    parser.add_argument("--restore", type=Path, metavar="FILE", help="restore a backup")
    parser.add_argument(
        "--until",
        metavar="WHEN",
        help="with --restore: go on from the backup by the changes logged since, up to a time "
        "such as “2026-11-26 18:30” (UTC), or “last” for all of them",
    )
    arguments = parser.parse_args()
    home = PROJECT / ".local"
    arguments.local = arguments.local or (home / "hosted" if arguments.hosted else home)
    return arguments


def _check_port(port: int) -> None:
    if not 1024 <= port <= 65535:
        raise CannotStart(f"Port {port} cannot be used.", hint="Choose one from 1024 to 65535.")
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("127.0.0.1", port))
        except OSError as error:
            raise CannotStart(
                f"Port {port} is in use, perhaps by a Nine Knots that runs already.",
                hint=f"Open http://127.0.0.1:{port}, or start with --port {port + 1}.",
            ) from error


def set_aside(folder: Path) -> None:
    """Keep the old data beside the new: nothing loses a season by accident."""
    if folder.exists():
        name = f"{folder.name}-until-{time.strftime('%Y%m%d-%H%M%S')}"
        kept, number = folder.with_name(name), 1
        while kept.exists():  # two within a second
            number += 1
            kept = folder.with_name(f"{name}-{number}")
        folder.rename(kept)
        print_line(f"The old data is kept in {kept}.")


@contextmanager
def _only_one(local: Path) -> Iterator[None]:
    """Hold the folder; CannotStart where another that still runs holds it."""
    with (local / "running.lock").open("w") as lock:
        try:
            fcntl.flock(lock, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except OSError as error:
            raise CannotStart(
                "Nine Knots is already running from this folder.",
                hint="Use that one, or stop it with Ctrl-C in its window.",
            ) from error
        yield


def run(arguments: argparse.Namespace) -> None:
    """Start everything and watch over it until told to end; end everything."""
    local: Path = arguments.local
    local.mkdir(parents=True, exist_ok=True)
    for port in (arguments.port, arguments.port + 1)[: 1 + arguments.lan]:
        _check_port(port)
    with _only_one(local):
        if arguments.fresh:
            set_aside(local / "database")
        built = build_interface(PROJECT / "web", local)
        owner_of(local).hand_over(keep_kernels_in(PROJECT / ".local"))
        service = Service(local)
        try:
            service.load()
            from nine_knots.run.running import serve  # it too loads while the service does

            serve(arguments, str(built), service)
        finally:
            service.stop()


def _task(arguments: argparse.Namespace) -> None:
    local: Path = arguments.local
    if arguments.hosted and (arguments.lan or arguments.empty):
        raise CannotStart("--hosted has accounts: --lan and --empty are for a bench at home.")
    if (arguments.mail or arguments.hall or arguments.database) and not arguments.hosted:
        raise CannotStart(
            "--mail, --hall and --database are for a hosted service.",
            hint="Name the site: --hosted ADDRESS.",
        )
    if arguments.until and not arguments.restore:
        raise CannotStart(
            "--until says how far to restore.", hint="Name the backup: --restore FILE."
        )
    if arguments.backup:
        from nine_knots.run.backup import back_up
        from nine_knots.run.mariadb import PrivateServer

        local.mkdir(parents=True, exist_ok=True)
        print_line(
            back_up(PrivateServer(local / "database"), arguments.backup, lambda: _only_one(local))
        )
    elif arguments.restore:
        from nine_knots.run.restore import restore

        local.mkdir(parents=True, exist_ok=True)
        with _only_one(local):
            print_line(restore(arguments.restore, local, arguments.until, set_aside))
    else:
        run(arguments)


def main() -> int:
    """Run; whatever is in the way is a sentence with the mend, not a traceback."""
    logging.basicConfig(level=logging.WARNING)
    raise_if_shutdown()
    try:
        _task(_arguments())
    except NineKnotsError as error:
        print(f"{error.what} {error.hint}".strip(), file=sys.stderr)
        return 1
    return 0
