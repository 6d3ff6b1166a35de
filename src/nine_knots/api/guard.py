"""Keeping other web pages out of a local server: host, origin, size, and security headers."""

import logging
from collections.abc import Callable

from starlette.concurrency import run_in_threadpool
from starlette.datastructures import Headers, MutableHeaders
from starlette.requests import cookie_parser as http_cookies
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from nine_knots.api.bodies import MOST_BYTES, Unfit, check_kind, check_shape, most_bytes
from nine_knots.api.door import AT_THE_BENCH, COOKIE, OPEN, WATCHED_HERE, Door
from nine_knots.api.problems import problem, unexpected

_log = logging.getLogger("nine_knots")
LOCAL_NAMES = ("127.0.0.1", "localhost", "[::1]")
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
}


class Guard:
    """ASGI middleware; refuses what does not come from this machine's own page, or by the door from
    a phone that is paired. ``whose`` answers whose phone bears a token."""

    def __init__(
        self,
        app: ASGIApp,
        port: int,
        door: Door | None = None,
        whose: Callable[[str], str | None] | None = None,
    ) -> None:
        self.app = app
        self.here = frozenset(f"{name}:{port}" for name in LOCAL_NAMES)
        self.door, self.whose = door, whose

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Check the request, pass it on, add the headers to the answer."""
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        begun = False

        async def send_guarded(message: Message) -> None:
            nonlocal begun
            if message["type"] == "http.response.start":
                begun = True
                headers = MutableHeaders(scope=message)
                for name, value in HEADERS.items():
                    headers.setdefault(name, value)
                if scope["path"].startswith("/api"):
                    headers.setdefault("cache-control", "no-store")
            await send(message)

        try:
            headers = Headers(scope=scope)
            by_door = (
                self.door is not None and (scope.get("server") or ("", 0))[1] == self.door.port
            )
            self._check_sender(headers, scope["method"], by_door)
            if by_door and scope["path"] in WATCHED_HERE:
                raise Unfit(403, "at-the-bench", "That is watched at the machine itself.", "")
            if by_door and scope["path"].startswith("/api/"):
                scope["nine_knots_angler"] = await self._whose_phone(headers, scope["path"])
            if scope["path"].startswith("/api/"):
                receive = await _with_fit_body(scope, headers, receive)
            await self.app(scope, receive, send_guarded)
        except Unfit as unfit:
            refused = problem(unfit.status, unfit.code, unfit.detail, mend=unfit.mend)
            await refused(scope, receive, send_guarded)
        except Exception:
            _log.exception("unexpected, %s %s", scope["method"], scope["path"])
            if begun:
                raise
            await unexpected()(scope, receive, send_guarded)

    async def _whose_phone(self, headers: Headers, path: str) -> str | None:
        """Whose phone it is that calls by the door; a stranger only pairs."""
        if path in OPEN:
            return None
        if path.startswith(AT_THE_BENCH):
            raise Unfit(403, "at-the-bench", "That is done at the bench itself.", "")
        token = http_cookies(headers.get("cookie", "")).get(COOKIE, "")
        found = None
        if token and self.whose is not None:
            found = await run_in_threadpool(self.whose, token)
        if found is None:
            raise Unfit(
                401,
                "not-paired",
                "This phone is not paired with the bench, or not any more.",
                "At the bench, under My things, pair it.",
            )
        return found

    def _check_sender(self, headers: Headers, method: str, by_door: bool) -> None:
        hosts = self.door.hosts if by_door and self.door is not None else self.here
        if headers.get("host", "") not in hosts:
            raise Unfit(421, "wrong-host", "This server answers on its own local address only.", "")
        origin, scheme = headers.get("origin"), "https" if by_door else "http"
        strange = origin is not None and origin not in {f"{scheme}://{host}" for host in hosts}
        site = headers.get("sec-fetch-site", "same-origin")
        if strange or (method not in SAFE_METHODS and site not in ("same-origin", "none")):
            raise Unfit(403, "wrong-origin", "Another web page may not use this server.", "")


async def _with_fit_body(scope: Scope, headers: Headers, receive: Receive) -> Receive:
    """Read the body and look at it; what is passed on receives it as one piece."""
    most = most_bytes(scope["path"])
    length = headers.get("content-length", "0")
    if not (length.isascii() and length.isdigit()) or int(length[:12]) > most:
        raise _too_large(most)
    body = b""
    while True:
        message = await receive()
        if message["type"] != "http.request":
            break
        body += message.get("body", b"")
        if len(body) > most:
            raise _too_large(most)
        if not message.get("more_body", False):
            break
    if body:
        check_kind(headers.get("content-type", ""))
        if most == MOST_BYTES:
            check_shape(body)
    given = False

    async def receive_whole() -> Message:
        nonlocal given
        if given:
            return await receive()
        given = True
        return {"type": "http.request", "body": body, "more_body": False}

    return receive_whole


def _too_large(most: int) -> Unfit:
    return Unfit(413, "too-large", f"At most {most // 1000} kB are taken.", "Send less at once.")
