"""The application as a process of its own: its orders come on its standard input."""

import asyncio
import contextlib
import io
import os
import sys
from collections.abc import Iterator
from pathlib import Path

import segno
import uvicorn
from fastapi import FastAPI
from pymysql.cursors import DictCursor

from nine_knots.api.app import create_app
from nine_knots.api.lan_access import LanAccess
from nine_knots.api.routes.phones import CODE_LENGTH, pairing_url
from nine_knots.core.base.errors import NineKnotsError
from nine_knots.demo.load import begin_empty, load_demo
from nine_knots.run.console import print_line
from nine_knots.run.hosted_setup import invite_first
from nine_knots.run.logs import write_logs
from nine_knots.run.startup_options import LanOptions, StartupOptions
from nine_knots.services.secret import code_hash, new_code
from nine_knots.store import Database
from nine_knots.store.anglers import current_angler
from nine_knots.store.pairing import add_pairing

WARM = "NINE_KNOTS_WARM"  # in the environment, 0: workers start with the first thing to compute
DOOR_LOOK_S = 0.02
END_SECONDS = 1  # for which calls under way are waited for when it is to end


class _Announcing(uvicorn.Server):
    """Says where to look once it listens."""

    def __init__(self, config: uvicorn.Config, orders: StartupOptions) -> None:
        super().__init__(config)
        self._orders = orders
        self.door: _Door | None = None

    async def startup(self, sockets: list[object] | None = None) -> None:  # type: ignore[override]
        await super().startup(sockets)  # type: ignore[arg-type]
        if self.door is not None:
            self._at_door = asyncio.ensure_future(self.door.serve())
            while not (self.door.started or self._at_door.done()):
                await asyncio.sleep(DOOR_LOOK_S)
        site = self._orders.site
        address = site.origin if site else f"http://127.0.0.1:{self.config.port}"
        word = "answers again" if self._orders.again else "is ready"
        print_line(f"Nine Knots {word}: {address}  (Ctrl-C stops it)")

    async def shutdown(self, sockets: list[object] | None = None) -> None:  # type: ignore[override]
        if self.door is not None:
            self.door.should_exit = True
            await self._at_door
        await super().shutdown(sockets)  # type: ignore[arg-type]


class _Door(uvicorn.Server):
    """Serves the home network beside the bench, which hears the signals for both."""

    @contextlib.contextmanager
    def capture_signals(self) -> Iterator[None]:
        yield


def _at_the_door(app: FastAPI, lan: LanOptions) -> _Door:
    return _Door(
        uvicorn.Config(
            app,
            host="0.0.0.0",
            port=lan.port,
            ssl_certfile=lan.certificate,
            ssl_keyfile=lan.key,
            log_level="warning",
            server_header=False,
            lifespan="off",
            timeout_graceful_shutdown=END_SECONDS,
        )
    )


def _show_pairing(database: Database, door: LanAccess) -> None:
    """A code for the first phone in the window, as a picture too."""
    code = new_code(CODE_LENGTH)

    def add(cursor: DictCursor) -> bool:
        angler_id = current_angler(cursor)
        if angler_id is not None:
            add_pairing(cursor, angler_id, code_hash(code))
        return angler_id is not None

    if not database.transact(add):
        return
    url = pairing_url(door.url, code)
    picture = io.StringIO()
    segno.make_qr(url, error="l").terminal(out=picture, compact=True)
    print_line(f"Phones at home reach it at {door.url}. To pair one within ten minutes, scan:")
    print_line(picture.getvalue())
    print_line(f"or open {url}  (how a phone trusts it: docs/phone.md)")


def main() -> int:
    """Serve until told to end; what is in the way is a sentence."""
    os.umask(0o077)
    orders = StartupOptions.read(sys.stdin.buffer.readline())
    write_logs(hosted=orders.site is not None)
    database = Database(orders.address, folder=Path(orders.data) if orders.data else None)
    try:
        if orders.site is not None:
            if not orders.again:
                invite_first(database, orders.site)
        elif orders.empty:
            if begin_empty(database):
                print_line("The shelf is empty. Start by adding what you own, under Spools.")
        elif load_demo(database):
            print_line("The demo of the Skarn valley is loaded.")
    except NineKnotsError as error:
        print(f"{error.what} {error.hint}".strip(), file=sys.stderr)
        return 1
    lan = orders.lan
    door = LanAccess(lan.port, lan.addresses, lan.authority) if lan else None
    built, site = Path(orders.built), orders.site
    warm = os.environ.get(WARM) != "0"
    app = create_app(
        database, orders.port, built, warm=warm, door=door, site=site, hall=orders.hall
    )
    config = uvicorn.Config(
        app,
        host="127.0.0.1",
        port=orders.port,
        log_level="warning",
        server_header=False,
        proxy_headers=site is not None,
        timeout_graceful_shutdown=END_SECONDS,
    )
    bench = _Announcing(config, orders)
    if lan is not None and door is not None:
        bench.door = _at_the_door(app, lan)
        if not orders.again:
            _show_pairing(database, door)
    bench.run()
    database.close()
    return 0
