"""What the service is told when it is started, on its standard input, as one line of JSON.

So no password stands in a command line or in the environment.
"""

import json
from dataclasses import asdict, dataclass

from nine_knots.api.site import Site
from nine_knots.api.work.hall import Hall, HallKeys
from nine_knots.store import Address


@dataclass(frozen=True)
class Lan:
    """The door to the home network: its port and addresses, the files of its certificate and key,
    the authority that vouches for it (PEM)."""

    port: int
    addresses: tuple[str, ...]
    certificate: str
    key: str
    authority: str


@dataclass(frozen=True)
class Orders:
    """Where the database is, the port to listen on, the folders of the interface and the data (none
    where the database is elsewhere),
    whether to begin without the demo, under which site it is hosted and where workers of other
    machines come to, if they do."""

    address: Address
    port: int
    built: str
    data: str
    empty: bool = False
    lan: Lan | None = None
    site: Site | None = None
    hall: Hall | None = None
    again: bool = False

    def line(self) -> bytes:
        """As one line of JSON."""
        return json.dumps(asdict(self)).encode() + b"\n"

    @staticmethod
    def read(line: bytes) -> "Orders":
        """From such a line."""
        told = json.loads(line)
        lan, site, hall = told.pop("lan"), told.pop("site"), told.pop("hall")
        return Orders(
            **{
                **told,
                "address": Address(**told["address"]),
                "lan": Lan(**{**lan, "addresses": tuple(lan["addresses"])}) if lan else None,
                "site": Site(**site) if site else None,
                "hall": Hall(hall["address"], HallKeys(**hall["keys"])) if hall else None,
            }
        )
