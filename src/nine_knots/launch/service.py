"""``python -m nine_knots.launch.service``: the application as a process of its own.

Its orders come on its standard input.
"""

import logging
import os
import sys
from pathlib import Path

import uvicorn

from nine_knots.api.app import create_app
from nine_knots.core.base.errors import NineKnotsError
from nine_knots.demo.load import begin_empty, load_demo
from nine_knots.launch.orders import Orders
from nine_knots.launch.window import say
from nine_knots.store import Database

END_SECONDS = 1  # for which calls under way are waited for when it is to end


class _Announcing(uvicorn.Server):
    """Says where to look once it listens."""

    def __init__(self, config: uvicorn.Config, again: bool) -> None:
        super().__init__(config)
        self._again = again

    async def startup(self, sockets: list[object] | None = None) -> None:  # type: ignore[override]
        await super().startup(sockets)  # type: ignore[arg-type]
        address = f"http://127.0.0.1:{self.config.port}"
        word = "answers again" if self._again else "is ready"
        say(f"Nine Knots {word}: {address}  (Ctrl-C stops it)")


def main() -> int:
    """Serve until told to end; what is in the way is a sentence."""
    logging.basicConfig(level=logging.WARNING)
    os.umask(0o077)
    orders = Orders.read(sys.stdin.buffer.readline())
    database = Database(orders.address, folder=Path(orders.data))
    try:
        if orders.empty:
            if begin_empty(database):
                say("The shelf is empty: begin with what you own, under Spools.")
        elif load_demo(database):
            say("The demo of the Skarn valley is loaded.")
    except NineKnotsError as error:
        print(f"{error.what} {error.mend}".strip(), file=sys.stderr)
        return 1
    config = uvicorn.Config(
        create_app(database, orders.port, Path(orders.built), warm=True),
        host="127.0.0.1",
        port=orders.port,
        log_level="warning",
        server_header=False,
        timeout_graceful_shutdown=END_SECONDS,
    )
    _Announcing(config, orders.again).run()
    database.close()
    return 0


if __name__ == "__main__":
    sys.exit(main())
