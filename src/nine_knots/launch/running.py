"""The database and the service side by side, watched until told to end."""

import argparse
from collections.abc import Callable
from pathlib import Path

from nine_knots.api.work.hall import Hall
from nine_knots.launch.backup import before_migrating, daily
from nine_knots.launch.elsewhere import DatabaseElsewhere, read_database
from nine_knots.launch.hosted import read_site
from nine_knots.launch.mariadb import PrivateServer
from nine_knots.launch.orders import Lan, Orders
from nine_knots.launch.owner import owner_of
from nine_knots.launch.service_process import Service
from nine_knots.launch.supervise import Supervisor
from nine_knots.launch.window import say
from nine_knots.store import Database
from nine_knots.store.migrate import migrate


def serve(arguments: argparse.Namespace, built: str, service: Service) -> None:
    """Start the database, bring its tables up to date, give the service its orders, and watch over
    both; the database is ended with it."""
    local: Path = arguments.local
    site = read_site(arguments.hosted, arguments.mail) if arguments.hosted else None
    server = _database(local, arguments.database)
    try:
        address = server.start()
        if server.stale:
            say("A database that an earlier run had left behind was ended first.")
        database = Database(address)
        if isinstance(server, PrivateServer):
            before_migrating(server, database, local)
        migrate(database)
        database.close()
        orders = Orders(
            address,
            arguments.port,
            built,
            str(server.data),
            empty=arguments.empty,
            lan=_door(local, arguments.port + 1) if arguments.lan else None,
            site=site,
            hall=_hall(local, arguments.hall) if arguments.hall else None,
        )
        service.serve(orders)
        Supervisor(server, service, _chore(server, local)).run()
    finally:
        service.stop()
        server.stop()


def _database(local: Path, named: Path | None) -> PrivateServer | DatabaseElsewhere:
    return read_database(named) if named else PrivateServer(local / "database")


def _chore(server: PrivateServer | DatabaseElsewhere, local: Path) -> Callable[[], None]:
    """What is done now and then: the daily backup of a database of our own."""
    if isinstance(server, PrivateServer):
        return lambda: daily(server, local)
    return lambda: None


def _hall(local: Path, address: str) -> Hall:
    """Where workers of other machines come to, with the keys of this folder."""
    from nine_knots.launch.hall_keys import HELPER, hall_keys  # loads what few starts need

    hall = Hall(address, hall_keys(local))
    say(f"Workers elsewhere come to {address} with the keys in {local / HELPER} (./lend).")
    return hall


def _door(local: Path, port: int) -> Lan:
    """The door to the home network, vouched for by an authority of the bench's own."""
    from nine_knots.launch.authority import home_addresses, vouch  # loads what few starts need

    vouched = vouch(local / "lan", home_addresses())
    owner_of(local).hand_over(local / "lan")
    return Lan(
        port,
        vouched.addresses,
        str(vouched.certificate),
        str(vouched.key),
        vouched.authority,
    )
