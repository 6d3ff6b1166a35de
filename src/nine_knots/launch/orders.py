"""What the service is told when it is started, on its standard input, as one line of JSON.

So no password stands in a command line or in the environment.
"""

import json
from dataclasses import asdict, dataclass

from nine_knots.store import Address


@dataclass(frozen=True)
class Orders:
    """Where the database is, the port to listen on, the folders of the interface and the data, and
    whether to begin without the demo."""

    address: Address
    port: int
    built: str
    data: str
    empty: bool = False
    again: bool = False

    def line(self) -> bytes:
        """As one line of JSON."""
        return json.dumps(asdict(self)).encode() + b"\n"

    @staticmethod
    def read(line: bytes) -> "Orders":
        """From such a line."""
        told = json.loads(line)
        return Orders(**{**told, "address": Address(**told["address"])})
