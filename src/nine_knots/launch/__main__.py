"""``python -m nine_knots.launch``: what ./start runs once Python is ready."""

import argparse
import fcntl
import logging
import socket
import sys
import time
from pathlib import Path

import uvicorn

from nine_knots.api.app import create_app
from nine_knots.core.errors import NineKnotsError
from nine_knots.demo.load import load_demo
from nine_knots.launch import PROJECT
from nine_knots.launch.interface import build_interface
from nine_knots.launch.mariadb import PrivateServer
from nine_knots.store import Database
from nine_knots.store.migrate import migrate

DEFAULT_PORT = 8909


class CannotStart(NineKnotsError):
    """Something outside the program is in the way."""

    code = "cannot-start"


def _arguments() -> argparse.Namespace:
    parser = argparse.ArgumentParser(prog="./start", description="Start Nine Knots.")
    parser.add_argument("--port", type=int, default=DEFAULT_PORT, help="port on 127.0.0.1")
    parser.add_argument("--fresh", action="store_true", help="begin again with the demo")
    parser.add_argument("--local", type=Path, default=PROJECT / ".local", help="folder for data")
    return parser.parse_args()


def _check_port(port: int) -> None:
    if not 1024 <= port <= 65535:
        raise CannotStart(f"Port {port} cannot be used.", mend="Choose one from 1024 to 65535.")
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("127.0.0.1", port))
        except OSError as error:
            raise CannotStart(
                f"Port {port} is in use, perhaps by a Nine Knots that runs already.",
                mend=f"Open http://127.0.0.1:{port}, or start with --port {port + 1}.",
            ) from error


def _set_aside(folder: Path) -> None:
    """Keep the old data beside the new: --fresh is not a way to lose a season by accident."""
    if folder.exists():
        kept = folder.with_name(f"{folder.name}-until-{time.strftime('%Y%m%d-%H%M%S')}")
        folder.rename(kept)
        print(f"The old data are kept in {kept}.")


def run(arguments: argparse.Namespace) -> None:
    """Start everything, serve until interrupted, stop everything."""
    local: Path = arguments.local
    local.mkdir(parents=True, exist_ok=True)
    _check_port(arguments.port)
    with (local / "running.lock").open("w") as lock:
        try:
            fcntl.flock(lock, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except OSError as error:
            raise CannotStart(
                "Nine Knots is already running from this folder.",
                mend="Use that one, or stop it with Ctrl-C in its window.",
            ) from error
        if arguments.fresh:
            _set_aside(local / "database")
        built = build_interface(PROJECT / "web", local)
        server = PrivateServer(local / "database")
        address = server.start()
        try:
            _serve(Database(address), arguments.port, built)
        finally:
            server.stop()


class _Announcing(uvicorn.Server):
    """Says where to look once it listens, and so once Ctrl-C is heard by it."""

    async def startup(self, sockets: list[socket.socket] | None = None) -> None:
        await super().startup(sockets)
        address = f"http://127.0.0.1:{self.config.port}"
        print(f"Nine Knots is ready: {address}  (Ctrl-C stops it)", flush=True)


def _serve(database: Database, port: int, built: Path) -> None:
    migrate(database)
    if load_demo(database):
        print("The demo of the Skarn valley is loaded.")
    app = create_app(database, port, built, warm=True)
    config = uvicorn.Config(
        app, host="127.0.0.1", port=port, log_level="warning", server_header=False
    )
    _Announcing(config).run()
    database.close()


def main() -> int:
    """Run; whatever is in the way is a sentence with the mend, not a traceback."""
    logging.basicConfig(level=logging.WARNING)
    try:
        run(_arguments())
    except NineKnotsError as error:
        print(f"{error.what} {error.mend}".strip(), file=sys.stderr)
        return 1
    except KeyboardInterrupt:
        pass
    return 0


if __name__ == "__main__":
    sys.exit(main())
