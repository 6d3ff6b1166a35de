"""The database and the service side by side, watched until told to end."""

import argparse
from collections.abc import Callable
from pathlib import Path

from nine_knots.api.jobs.remote_address import RemoteAddress
from nine_knots.run.backup import before_migrating, daily
from nine_knots.run.console import print_line
from nine_knots.run.external_database import DatabaseElsewhere, read_database
from nine_knots.run.hosted_setup import read_site
from nine_knots.run.mariadb import PrivateServer
from nine_knots.run.owner import owner_of
from nine_knots.run.service_process import Service
from nine_knots.run.startup_options import LanOptions, StartupOptions
from nine_knots.run.supervisor import Supervisor
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
            print_line("A database left over from an earlier run was stopped first.")
        database = Database(address)
        if isinstance(server, PrivateServer):
            before_migrating(server, database, local)
        migrate(database)
        database.close()
        orders = StartupOptions(
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


def _hall(local: Path, address: str) -> RemoteAddress:
    """Where workers of other machines come to, with the keys of this folder."""
    from nine_knots.run.remote_keys import HELPER, hall_keys  # loads what few starts need

    hall = RemoteAddress(address, hall_keys(local))
    print_line(f"Remote workers connect to {address} with the keys in {local / HELPER} (./lend).")
    return hall


def _door(local: Path, port: int) -> LanOptions:
    """The door to the home network, vouched for by an authority of the bench's own."""
    from nine_knots.run.local_ca import (  # loads what few starts need
        home_addresses,
        issue_certificate,
    )

    vouched = issue_certificate(local / "lan", home_addresses())
    owner_of(local).hand_over(local / "lan")
    return LanOptions(
        port,
        vouched.addresses,
        str(vouched.certificate),
        str(vouched.key),
        vouched.authority,
    )
