"""The site by which a hosted service is known, and the cookie by which it knows its callers."""

from dataclasses import dataclass
from typing import Annotated
from urllib.parse import urlsplit

from fastapi import Depends, Request, Response

from nine_knots.core.base.errors import NotFound

LOGIN_COOKIE = "__Host-nine-knots"
LOGIN_COOKIE_ALONE = "nine-knots-login"
"""On this machine alone, to try it out, without TLS."""
A_MONTH_S = 30 * 24 * 3600


@dataclass(frozen=True, slots=True)
class Site:
    """Where the service is found by its anglers, such as ``https://knots.example``; ``mail`` is the
    server by which invitations are sent, empty where there is none, and ``sender`` from whom."""

    origin: str
    mail: str = ""
    sender: str = ""

    @property
    def secure(self) -> bool:
        """Whether browsers come by TLS, as they do but where it is tried out on one machine."""
        return self.origin.startswith("https:")

    @property
    def cookie(self) -> str:
        """The name of the cookie by which it knows who is logged in."""
        return LOGIN_COOKIE if self.secure else LOGIN_COOKIE_ALONE

    @property
    def host(self) -> str:
        """Name and port, as a browser says them."""
        return urlsplit(self.origin).netloc

    @property
    def name(self) -> str:
        """The name alone, to which passkeys are bound."""
        return urlsplit(self.origin).hostname or ""

    def join_url(self, token: str) -> str:
        """Where one joins by an invitation; what follows the hash never leaves the browser."""
        return f"{self.origin}/join#{token}"


def set_login_cookie(response: Response, site: Site, token: str) -> None:
    """Hand a browser its token: to this site only, never to a script, never with another's call."""
    response.set_cookie(
        site.cookie,
        token,
        max_age=A_MONTH_S,
        path="/",
        secure=site.secure,
        httponly=True,
        samesite="strict",
    )


def gone(site: Site) -> Response:
    """The answer to who goes out: nothing, and the cookie is taken from the browser again."""
    response = Response(status_code=204)
    response.delete_cookie(
        site.cookie, path="/", secure=site.secure, httponly=True, samesite="strict"
    )
    return response


def _site(request: Request) -> Site:
    site: Site | None = request.app.state.site
    if site is None:
        raise NotFound(
            "Nobody logs in here: it is a bench at home.", mend="Serve it with ./serve for many."
        )
    return site


CurrentSite = Annotated[Site, Depends(_site)]
"""The site; at home there is none, and what needs one is refused."""
