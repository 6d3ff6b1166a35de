"""By which way a call comes in, and who may: at the bench itself, by the door to the home network
from a paired phone, or to a hosted service from who is logged in."""

import re
from collections.abc import Callable
from typing import Protocol

from starlette.concurrency import run_in_threadpool

from nine_knots.api.client_info import ClientInfo
from nine_knots.api.lan_access import COOKIE, OPEN, WATCHED_HERE, LanAccess
from nine_knots.api.principal import ANYBODY, Principal
from nine_knots.api.request_limits import RejectedRequest
from nine_knots.api.site import Site

LOCAL_NAMES = ("127.0.0.1", "localhost", "[::1]")
ENTERING = re.compile(
    r"^/api/v1/(account|account/(log-in|join|join/look|join/passkey|passkey|passkey/log-in|recover)"
    r"|phones/pair|readiness|openapi\.json)$"
)
"""What a stranger may call of a hosted service."""
OWN_MACHINE = ("/api/v1/instruments", "/api/v1/pulls/scale")
"""What is plugged in at a bench of one's own."""
AT_THE_WATER = re.compile(
    r"^(GET /api/v1/(plans(/[0-9a-f]{32}/pack)?|events|photos|readiness)"
    r"|POST /api/v1/(events|photos))$"
)
"""All that a phone may call: packed days, and what happened on them. A guest's phone is shown its
own day there, and writes to no other (``Session.check_day``)."""

Phones = Callable[[str], Principal | None]
"""Whose phone bears a token."""
Logins = Callable[[str, ClientInfo], Principal | None]
"""Who is logged in by a token, on the browser that calls."""
Cookies = dict[str, str]


class AccessMode(Protocol):
    """A way in: by which hosts it is called, over http or https, and whom it admits; by some come
    ``strangers``, who may do little."""

    hosts: frozenset[str]
    scheme: str
    strangers: bool

    def takes(self, port: int) -> bool:
        """Whether calls to such a port of this machine come in by it."""

    async def admit(
        self, method: str, path: str, cookies: Cookies, calling: ClientInfo
    ) -> Principal:
        """Who calls, or Unfit."""


def _check_watched(path: str) -> None:
    if path in WATCHED_HERE:
        raise RejectedRequest(
            403, "at-the-bench", "Monitoring is available on the server itself only.", ""
        )


def local_hosts(port: int) -> frozenset[str]:
    """As what this machine is called by itself."""
    return frozenset(f"{name}:{port}" for name in LOCAL_NAMES)


class LocalAccess:
    """This machine's own page: all is allowed, and who is in front is asked of the database."""

    scheme = "http"
    strangers = False

    def __init__(self, port: int, but: int = 0) -> None:
        self.hosts, self._but = local_hosts(port), but

    def takes(self, port: int) -> bool:
        """Whatever does not come to the door."""
        return port != self._but

    async def admit(
        self, method: str, path: str, cookies: Cookies, calling: ClientInfo
    ) -> Principal:
        """Anybody who sits there."""
        return ANYBODY


class LanPhoneAccess:
    """The home network: paired phones only, and what belongs to the bench stays there."""

    scheme = "https"
    strangers = True

    def __init__(self, door: LanAccess, phones: Phones) -> None:
        self.hosts, self._port, self._phones = door.hosts, door.port, phones

    def takes(self, port: int) -> bool:
        """What comes to the door."""
        return port == self._port

    async def admit(
        self, method: str, path: str, cookies: Cookies, calling: ClientInfo
    ) -> Principal:
        """Whose phone it is; a stranger only pairs."""
        _check_watched(path)
        if path in OPEN or not path.startswith("/api/v1/"):
            return ANYBODY
        return await calling_phone(self._phones, f"{method} {path}", cookies)


async def calling_phone(phones: Phones, called: str, cookies: Cookies) -> Principal:
    """Whose phone it is that calls, as far as a phone may; Unfit where it is none."""
    token = cookies.get(COOKIE, "")
    found = await run_in_threadpool(phones, token) if token else None
    if found is None:
        raise RejectedRequest(
            401,
            "not-paired",
            "This phone is not paired with the bench, or its pairing was removed.",
            "Pair it at the bench, under My things.",
        )
    if not AT_THE_WATER.fullmatch(called):
        raise RejectedRequest(
            403, "at-the-bench", "A phone is for the water: do this at the bench.", ""
        )
    return found


class HostedAccess:
    """A service for many behind a proxy that speaks TLS: who is logged in, and their phones."""

    strangers = True

    def __init__(self, site: Site, logins: Logins, phones: Phones) -> None:
        self.hosts, self.scheme = frozenset({site.host}), "https" if site.secure else "http"
        self._cookie = site.cookie
        self._logins, self._phones = logins, phones

    def takes(self, port: int) -> bool:
        """The proxy calls the port of all."""
        return True

    async def admit(
        self, method: str, path: str, cookies: Cookies, calling: ClientInfo
    ) -> Principal:
        """Who is logged in, else whose phone it is; a stranger logs in or joins."""
        _check_watched(path)
        if not path.startswith("/api/v1/"):
            return ANYBODY
        if path.startswith(OWN_MACHINE):
            raise RejectedRequest(
                403,
                "at-the-bench",
                "Instruments work only with a bench on your own machine.",
                "Type the reading instead.",
            )
        token = cookies.get(self._cookie, "")
        found = await run_in_threadpool(self._logins, token, calling) if token else None
        if found is not None:
            return found
        if ENTERING.fullmatch(path):
            return ANYBODY
        if COOKIE in cookies:
            return await calling_phone(self._phones, f"{method} {path}", cookies)
        raise RejectedRequest(401, "not-logged-in", "Nobody is logged in here.", "Log in.")


class MonitoringAccess:
    """This machine itself, where the service is hosted: it watches, and does nothing else."""

    scheme = "http"
    strangers = True

    def __init__(self, port: int) -> None:
        self.hosts = local_hosts(port)

    def takes(self, port: int) -> bool:
        """Whatever says that it is called from here."""
        return True

    async def admit(
        self, method: str, path: str, cookies: Cookies, calling: ClientInfo
    ) -> Principal:
        """Anybody on the machine, to watch."""
        if path not in (*WATCHED_HERE, "/api/v1/readiness"):
            raise RejectedRequest(421, "wrong-host", "Use this service by its own address.", "")
        return ANYBODY
