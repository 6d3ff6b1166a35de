"""Asking others over HTTP: at home anybody, from a hosted service only what the whole world
reaches, so that nobody has it ask what lies behind its own walls."""

import socket
from collections.abc import Iterable
from ipaddress import ip_address

import httpcore
import httpx

PATIENCE_S = 6.0


class _Public(httpcore.SyncBackend):
    """Connects to addresses of the open internet only: the one that was looked at is the one that
    is connected to, whatever the name says the next time."""

    def connect_tcp(
        self,
        host: str,
        port: int,
        timeout: float | None = None,
        local_address: str | None = None,
        socket_options: Iterable[httpcore.SOCKET_OPTION] | None = None,
    ) -> httpcore.NetworkStream:
        """As the name says, where it says an address of the open internet; else ConnectError."""
        try:
            found = socket.getaddrinfo(host, port, type=socket.SOCK_STREAM)
        except OSError as unknown:
            raise httpcore.ConnectError(str(unknown)) from unknown
        address = str(found[0][4][0])
        if not ip_address(address).is_global:
            raise httpcore.ConnectError("not an address of the open internet")
        return super().connect_tcp(address, port, timeout, local_address, socket_options)


class _PublicTransport(httpx.HTTPTransport):
    """httpx's own transport, which connects by ``_Public``."""

    def __init__(self) -> None:
        super().__init__(trust_env=False)
        self._pool = httpcore.ConnectionPool(
            ssl_context=httpx.create_ssl_context(), network_backend=_Public()
        )


def asking(public_only: bool) -> httpx.Client:
    """A client that is patient for so long and follows no redirects."""
    transport = _PublicTransport() if public_only else None
    return httpx.Client(timeout=PATIENCE_S, follow_redirects=False, transport=transport)
