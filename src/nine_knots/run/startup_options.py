"""What the service is told when it is started, on its standard input, as one line of JSON.

So no password stands in a command line or in the environment.
"""

import json
from dataclasses import asdict, dataclass

from nine_knots.api.jobs.remote_address import RemoteAddress, RemoteKeys
from nine_knots.api.site import Site
from nine_knots.store import Address


@dataclass(frozen=True)
class LanOptions:
    """The door to the home network: its port and addresses, the files of its certificate and key,
    the authority that vouches for it (PEM)."""

    port: int
    addresses: tuple[str, ...]
    certificate: str
    key: str
    authority: str


@dataclass(frozen=True)
class StartupOptions:
    """Where the database is, the port to listen on, the folders of the interface and the data (none
    where the database is elsewhere),
    whether to start without the demo, under which site it is hosted and where workers of other
    machines come to, if they do."""

    address: Address
    port: int
    built: str
    data: str
    empty: bool = False
    lan: LanOptions | None = None
    site: Site | None = None
    hall: RemoteAddress | None = None
    again: bool = False

    def line(self) -> bytes:
        """As one line of JSON."""
        return json.dumps(asdict(self)).encode() + b"\n"

    @staticmethod
    def read(line: bytes) -> "StartupOptions":
        """From such a line."""
        told = json.loads(line)
        lan, site, hall = told.pop("lan"), told.pop("site"), told.pop("hall")
        return StartupOptions(
            **{
                **told,
                "address": Address(**told["address"]),
                "lan": LanOptions(**{**lan, "addresses": tuple(lan["addresses"])}) if lan else None,
                "site": Site(**site) if site else None,
                "hall": RemoteAddress(hall["address"], RemoteKeys(**hall["keys"]))
                if hall
                else None,
            }
        )
