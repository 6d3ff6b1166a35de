"""Pages of a list: so many at a time, the next one named in a Link header (RFC 8288)."""

from typing import Annotated
from urllib.parse import urlencode

from fastapi import Query, Response

MOST = 200
USUAL = 60
PageSize = Annotated[int, Query(ge=1, le=MOST, description="page size")]


def set_page_headers(
    response: Response, path: str, total: int, following: dict[str, str | int] | None
) -> None:
    """Say how many there are in all, and where the next page is."""
    response.headers["X-Total-Count"] = str(total)
    if following is not None:
        response.headers["Link"] = f'<{path}?{urlencode(following)}>; rel="next"'
