"""The site that is served, and the cookie by which it knows its callers."""

from typing import Annotated

from fastapi import Depends, Request, Response

from nine_knots.api.site import Site
from nine_knots.core.base.errors import NotFound

A_MONTH_S = 30 * 24 * 3600


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


def log_out_response(site: Site) -> Response:
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
            "There are no accounts on a bench at home.",
            hint="Use ./serve for a service with accounts.",
        )
    return site


CurrentSite = Annotated[Site, Depends(_site)]
"""The site; at home there is none, and what needs one is refused."""
