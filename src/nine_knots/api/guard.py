"""Keeping other web pages out of a local server: host, origin, size, and security headers."""

from starlette.datastructures import Headers, MutableHeaders
from starlette.exceptions import HTTPException
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from nine_knots.api.problems import problem

MOST_BODY_BYTES = 400_000
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


class _TooLarge(HTTPException):
    """An HTTPException, because FastAPI lets no other through while it reads a body."""

    def __init__(self) -> None:
        super().__init__(413, f"At most {MOST_BODY_BYTES // 1000} kB are taken.")


class Guard:
    """ASGI middleware; refuses what does not come from this machine's own page."""

    def __init__(self, app: ASGIApp, port: int) -> None:
        self.app = app
        self.hosts = {f"{name}:{port}" for name in LOCAL_NAMES}
        self.origins = {f"http://{host}" for host in self.hosts}

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Check the request, pass it on, add the headers to the answer."""
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return

        async def send_guarded(message: Message) -> None:
            if message["type"] == "http.response.start":
                headers = MutableHeaders(scope=message)
                for name, value in HEADERS.items():
                    headers.setdefault(name, value)
                if scope["path"].startswith("/api"):
                    headers.setdefault("cache-control", "no-store")
            await send(message)

        refused = self._refusal(Headers(scope=scope), scope["method"])
        if refused is not None:
            status, code, detail = refused
            await problem(status, code, detail)(scope, receive, send_guarded)
            return
        read = 0

        async def receive_limited() -> Message:
            nonlocal read
            message = await receive()
            read += len(message.get("body", b""))
            if read > MOST_BODY_BYTES:
                raise _TooLarge
            return message

        await self.app(scope, receive_limited, send_guarded)

    def _refusal(self, headers: Headers, method: str) -> tuple[int, str, str] | None:
        if headers.get("host", "") not in self.hosts:
            return 421, "wrong-host", "This server answers on its own local address only."
        origin = headers.get("origin")
        if origin is not None and origin not in self.origins:
            return 403, "wrong-origin", "Another web page may not use this server."
        if method not in SAFE_METHODS and headers.get("sec-fetch-site", "same-origin") not in (
            "same-origin",
            "none",
        ):
            return 403, "wrong-origin", "Another web page may not use this server."
        length = headers.get("content-length", "0")
        if not length.isdigit() or int(length) > MOST_BODY_BYTES:
            return 413, "too-large", f"At most {MOST_BODY_BYTES // 1000} kB are taken."
        return None
