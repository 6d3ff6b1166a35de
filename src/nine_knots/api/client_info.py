"""What a call tells of where it comes from: its address and its browser, and both in words."""

from dataclasses import dataclass
from ipaddress import ip_address, ip_network
from typing import Annotated

from fastapi import Depends, Request
from starlette.requests import HTTPConnection
from ua_parser import parse

LONGEST_AGENT = 400


@dataclass(frozen=True, slots=True)
class ClientInfo:
    """A call: from which address, and what its browser says of itself; both in words."""

    address: str
    agent: str

    @property
    def device(self) -> str:
        """The browser and its system."""
        return device_of(self.agent)

    @property
    def source(self) -> str:
        """What one caller has of addresses: one of IPv4, sixty-four bits of IPv6."""
        return source_of(self.address)

    @property
    def place(self) -> str:
        """The network it comes from."""
        return network_of(self.address)


def client_info_of(connection: HTTPConnection) -> ClientInfo:
    """Where a call comes from."""
    address = connection.client.host if connection.client else ""
    return ClientInfo(address, connection.headers.get("user-agent", ""))


async def _calling(request: Request) -> ClientInfo:
    return client_info_of(request)


CurrentCalling = Annotated[ClientInfo, Depends(_calling)]


def device_of(agent: str) -> str:
    """A browser and its system in words, by what it says of itself."""
    found = parse(agent[:LONGEST_AGENT])
    browser = found.user_agent.family if found.user_agent else "a program"
    return f"{browser} on {found.os.family}"[:80] if found.os else browser[:80]


def source_of(address: str) -> str:
    """All the addresses that whoever calls from one has at hand."""
    try:
        bits = 32 if ip_address(address).version == 4 else 64
    except ValueError:
        return address
    return str(ip_network(f"{address}/{bits}", strict=False))


def network_of(address: str) -> str:
    """The network that an address is of: enough to know one's own by, too little to find one."""
    try:
        bits = 24 if ip_address(address).version == 4 else 48
    except ValueError:
        return "unknown"
    return str(ip_network(f"{address}/{bits}", strict=False))
