"""Keeping others out: host, origin, who calls, size, and security headers."""

from collections.abc import Sequence

import structlog
from starlette.datastructures import Headers, MutableHeaders
from starlette.requests import HTTPConnection
from starlette.requests import cookie_parser as http_cookies
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from nine_knots.api.access_modes import AccessMode
from nine_knots.api.body_reading import BodyBudget, read_body
from nine_knots.api.client_info import client_info_of
from nine_knots.api.principal import ANYBODY, set_principal
from nine_knots.api.problems import answer_to, problem, unexpected
from nine_knots.api.request_limits import STRANGERS_BYTES, RejectedRequest, most_bytes
from nine_knots.core.base.errors import NineKnotsError

_log = structlog.get_logger("nine_knots")
SAFE_METHODS = ("GET", "HEAD", "OPTIONS")
HEADERS = {
    "content-security-policy": (
        "default-src 'self'; script-src 'self'; style-src 'self'; img-src 'self' data:; "
        "font-src 'self'; connect-src 'self'; object-src 'none'; base-uri 'none'; "
        "form-action 'self'; frame-ancestors 'none'"
    ),
    "x-content-type-options": "nosniff",
    "x-frame-options": "DENY",
    "referrer-policy": "no-referrer",
    "cross-origin-opener-policy": "same-origin",
    "cross-origin-resource-policy": "same-origin",
    "permissions-policy": "camera=(self), geolocation=(), microphone=(), payment=(), usb=()",
}
BY_TLS = {"strict-transport-security": "max-age=31536000"}


class SecurityMiddleware:
    """ASGI middleware; refuses what comes by none of the ``entrances``, from another web page, or
    from whom the entrance does not admit."""

    def __init__(self, app: ASGIApp, entrances: Sequence[AccessMode]) -> None:
        self.app, self.entrances = app, tuple(entrances)
        self._budget = BodyBudget()

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Check the request, pass it on, add the headers to the answer."""
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        begun, more = False, HEADERS

        async def send_guarded(message: Message) -> None:
            nonlocal begun
            if message["type"] == "http.response.start":
                begun = True
                headers = MutableHeaders(scope=message)
                for name, value in more.items():
                    headers.setdefault(name, value)
                if scope["path"].startswith("/api"):
                    headers.setdefault("cache-control", "no-store")
            await send(message)

        try:
            headers = Headers(scope=scope)
            entrance = self._entrance(scope, headers)
            if entrance.scheme == "https":
                more = {**HEADERS, **BY_TLS}
            _check_origin(entrance, headers, scope["method"], scope["path"])
            cookies = http_cookies(headers.get("cookie", ""))
            calling = client_info_of(HTTPConnection(scope))
            caller = await entrance.admit(scope["method"], scope["path"], cookies, calling)
            set_principal(scope, caller)
            if not scope["path"].startswith("/api/v1/"):
                await self.app(scope, receive, send_guarded)
                return
            most = most_bytes(scope["path"])
            if caller == ANYBODY and entrance.strangers:
                most = min(most, STRANGERS_BYTES)
            who = caller.whose or calling.address
            async with read_body(scope["path"], headers, receive, self._budget, who, most) as fit:
                await self.app(scope, fit, send_guarded)
        except RejectedRequest as unfit:
            refused = problem(unfit.status, unfit.code, unfit.detail, hint=unfit.hint)
            await refused(scope, receive, send_guarded)
        except NineKnotsError as error:
            await answer_to(error)(scope, receive, send_guarded)
        except Exception:
            route = getattr(scope.get("route"), "path", "none")
            _log.exception("unexpected", method=scope["method"], route=route)
            if begun:
                raise
            await unexpected()(scope, receive, send_guarded)

    def _entrance(self, scope: Scope, headers: Headers) -> AccessMode:
        port, host = (scope.get("server") or ("", 0))[1], headers.get("host", "")
        for access_mode in self.entrances:
            if access_mode.takes(port) and host in access_mode.hosts:
                return access_mode
        raise RejectedRequest(421, "wrong-host", "Use this server by its own address.", "")


def _check_origin(entrance: AccessMode, headers: Headers, method: str, path: str) -> None:
    """Refuse what another page asks for: to change anything, or anything at all of the API, whose
    reads may call a gauge or take long."""
    origin = headers.get("origin")
    own = {f"{entrance.scheme}://{host}" for host in entrance.hosts}
    site = headers.get("sec-fetch-site", "same-origin")
    changes = method not in SAFE_METHODS or path.startswith("/api/v1/")
    foreign = changes and site not in ("same-origin", "none")
    if foreign or (origin is not None and origin not in own):
        raise RejectedRequest(403, "wrong-origin", "Other web pages may not use this server.", "")
