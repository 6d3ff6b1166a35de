"""Asking others over HTTP: at home anybody, from a hosted service only what the whole world
reaches, so that nobody has it ask what lies behind its own walls.

Whoever is asked may answer a byte at a time. So an exchange as a whole has one deadline, and only
so many go on at once: the others who use the service never wait for them.
"""

import socket
import ssl
import threading
import time
from collections import Counter
from collections.abc import Iterable, Iterator
from contextlib import contextmanager
from ipaddress import ip_address
from typing import Any

import httpcore
import httpx

from nine_knots.core.base.errors import TooBusy

DEADLINE_S = 8.0  # for connecting, asking and all of the answer
AT_ONCE, OF_ONE_CALLER = 6, 2
_going: Counter[str] = Counter()
_counting = threading.Lock()


@contextmanager
def outbound_slot(caller: str) -> Iterator[None]:
    """Holds one of the few places for exchanges with others; TooBusy where none is free."""
    with _counting:
        if _going.total() >= AT_ONCE or _going[caller] >= OF_ONE_CALLER:
            raise TooBusy(
                "Other services are slow to answer just now.",
                retry_s=round(DEADLINE_S),
                hint="Wait a few seconds, then try again.",
            )
        _going[caller] += 1
    try:
        yield
    finally:
        with _counting:
            _going[caller] -= 1
            _going[caller] or _going.pop(caller)


class _Until(httpcore.NetworkStream):
    """A stream of which every read and write ends by one deadline."""

    def __init__(self, stream: httpcore.NetworkStream, deadline: float) -> None:
        self._stream, self._deadline = stream, deadline

    def _left_s(self) -> float:
        left = self._deadline - time.monotonic()
        if left <= 0.0:
            raise httpcore.ReadTimeout("the answer takes too long")
        return left

    def read(self, max_bytes: int, timeout: float | None = None) -> bytes:
        return self._stream.read(max_bytes, self._left_s())

    def write(self, buffer: bytes, timeout: float | None = None) -> None:
        self._stream.write(buffer, self._left_s())

    def close(self) -> None:
        self._stream.close()

    def start_tls(
        self,
        ssl_context: ssl.SSLContext,
        server_hostname: str | None = None,
        timeout: float | None = None,
    ) -> httpcore.NetworkStream:
        secure = self._stream.start_tls(ssl_context, server_hostname, self._left_s())
        return _Until(secure, self._deadline)

    def get_extra_info(self, info: str) -> Any:
        return self._stream.get_extra_info(info)


class _Outward(httpcore.SyncBackend):
    """Connects by one deadline; with ``public_only`` to addresses of the open internet only: the
    one that was looked at is the one that is connected to, whatever the name says the next time."""

    def __init__(self, public_only: bool, deadline: float) -> None:
        super().__init__()
        self._public_only, self._deadline = public_only, deadline

    def connect_tcp(
        self,
        host: str,
        port: int,
        timeout: float | None = None,
        local_address: str | None = None,
        socket_options: Iterable[httpcore.SOCKET_OPTION] | None = None,
    ) -> httpcore.NetworkStream:
        """As the name says, where it says an address that may be asked; else ConnectError."""
        address = _public_address(host, port) if self._public_only else host
        left = max(0.1, self._deadline - time.monotonic())
        stream = super().connect_tcp(address, port, left, local_address, socket_options)
        return _Until(stream, self._deadline)


def _public_address(host: str, port: int) -> str:
    try:
        found = socket.getaddrinfo(host, port, type=socket.SOCK_STREAM)
    except OSError as unknown:
        raise httpcore.ConnectError(str(unknown)) from unknown
    address = str(found[0][4][0])
    if not ip_address(address).is_global:
        raise httpcore.ConnectError("not a public internet address")
    return address


class _Transport(httpx.HTTPTransport):
    """httpx's own transport, which connects by ``_Outward``."""

    def __init__(self, backend: _Outward) -> None:
        super().__init__(trust_env=False)
        self._pool = httpcore.ConnectionPool(
            ssl_context=httpx.create_ssl_context(), network_backend=backend
        )


def outbound_client(public_only: bool, within_s: float = DEADLINE_S) -> httpx.Client:
    """A client for one exchange, which ends within so many seconds and follows no redirects."""
    backend = _Outward(public_only, time.monotonic() + within_s)
    return httpx.Client(timeout=within_s, follow_redirects=False, transport=_Transport(backend))
