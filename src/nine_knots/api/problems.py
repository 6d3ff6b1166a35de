"""Errors as RFC 9457 problem details with stable codes, field paths and the mend."""

from collections.abc import Sequence
from http import HTTPStatus
from typing import Any

from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from pydantic import BaseModel, ValidationError
from starlette.exceptions import HTTPException
from starlette.routing import Match

from nine_knots.core.base.errors import Busy, Fault, NineKnotsError, NotAllowed
from nine_knots.store.errors import DatabaseUnavailable, StaleRevision

MEDIA_TYPE = "application/problem+json"
STATUS_BY_CODE = {
    "not-found": 404,
    "stale-revision": 412,
    "superseded": 409,
    "too-long": 422,
    "database-trouble": 503,
    "disk-full": 507,
}
STATUS_BY_BRANCH = ((NotAllowed, 403), (Busy, 429), (Fault, 500), (NineKnotsError, 422))
METHODS = ("DELETE", "GET", "PATCH", "POST", "PUT")
MOST_WHERE = 300
RETRY_S = 2  # until the database may answer again


class Problem(BaseModel):
    """What is wrong, where, and the mend (RFC 9457, with extensions)."""

    type: str
    title: str
    status: int
    detail: str
    code: str
    where: str = ""
    hint: str = ""
    newest: int | None = None
    retry_s: int | None = None


def _documented(description: str) -> dict[str, Any]:
    return {
        "description": description,
        "content": {MEDIA_TYPE: {"schema": {"$ref": "#/components/schemas/Problem"}}},
    }


RESPONSES: dict[int | str, dict[str, Any]] = {
    status: _documented(words)
    for status, words in {
        400: "Malformed request",
        401: "Not logged in, or a phone that isn't paired",
        403: "Request from another web page",
        405: "Method not allowed; see Allow",
        413: "Request too large",
        415: "Not JSON",
        421: "Wrong host name",
        422: "Refused, with a hint",
        500: "Our fault",
        503: "The database is unavailable",
        507: "The disk is full",
    }.items()
}
MISSING: dict[int | str, dict[str, Any]] = {404: _documented("Not found")}
STALE: dict[int | str, dict[str, Any]] = {
    412: _documented("Not the newest revision; both are kept")
}
WORKED_OUT: dict[int | str, dict[str, Any]] = {
    409: _documented("Replaced by a newer question from the same bench"),
    429: _documented("Busy; Retry-After gives the seconds to wait"),
}
TRIED: dict[int | str, dict[str, Any]] = {
    429: _documented("Too many attempts; Retry-After gives the seconds to wait")
}


def problem(status: int, code: str, detail: str, **more: Any) -> JSONResponse:
    """A problem answer."""
    return _response(_made(status, code, detail, **more))


def _made(status: int, code: str, detail: str, **more: Any) -> Problem:
    return Problem(
        type=f"urn:nine-knots:problem:{code}",
        title=HTTPStatus(status).phrase,
        status=status,
        detail=detail,
        code=code,
        **more,
    )


def _response(made: Problem) -> JSONResponse:
    headers = {"retry-after": str(made.retry_s)} if made.retry_s else None
    return JSONResponse(
        made.model_dump(exclude_none=True),
        status_code=made.status,
        media_type=MEDIA_TYPE,
        headers=headers,
    )


def _status_of(error: NineKnotsError) -> int:
    branch = next(status for kind, status in STATUS_BY_BRANCH if isinstance(error, kind))
    return STATUS_BY_CODE.get(error.code, branch)


def of_error(error: NineKnotsError) -> Problem:
    """The problem that an error of the family is told as."""
    retry_s = RETRY_S if isinstance(error, DatabaseUnavailable) else None
    return _made(
        _status_of(error),
        error.code,
        error.what,
        where=error.where,
        hint=error.hint,
        newest=error.newest if isinstance(error, StaleRevision) else None,
        retry_s=error.retry_s if isinstance(error, Busy) else retry_s,
    )


def answer_to(error: NineKnotsError) -> JSONResponse:
    """The answer in which an error of the family is told."""
    return _response(of_error(error))


def _refused(_request: Request, error: Exception) -> JSONResponse:
    assert isinstance(error, NineKnotsError)
    return answer_to(error)


def _invalid(_request: Request, error: Exception) -> JSONResponse:
    assert isinstance(error, RequestValidationError | ValidationError)
    found: Sequence[Any] = error.errors()
    where = ".".join(str(part) for part in found[0]["loc"] if part != "body")[:MOST_WHERE]
    what = str(found[0]["msg"]).removeprefix("Value error, ")[:MOST_WHERE]
    named = where or "The request"
    return problem(422, "invalid", f"{named}: {what}.", where=where, hint="Correct this field.")


def _http(request: Request, error: Exception) -> JSONResponse:
    assert isinstance(error, HTTPException)
    code = "too-large" if error.status_code == 413 else ""
    code = code or HTTPStatus(error.status_code).phrase.lower().replace(" ", "-")
    answer = problem(error.status_code, code, str(error.detail))
    if error.status_code == 405:
        answer.headers["allow"] = ", ".join(_methods_of(request))
    return answer


def _methods_of(request: Request) -> list[str]:
    """Every method that some route takes for this path."""

    def taken(method: str) -> bool:
        asked = {**request.scope, "method": method}
        return any(route.matches(asked)[0] is Match.FULL for route in request.app.routes)

    return [method for method in METHODS if taken(method)]


def unexpected() -> JSONResponse:
    """What is answered where the service itself is at fault."""
    return problem(
        500,
        "unexpected",
        "Something went wrong inside Nine Knots.",
        hint="Your draft is safe in this browser. Try again; the log has details.",
    )


def install(app: FastAPI) -> None:
    """Answer every error of the family, and every other one, as a problem."""
    app.add_exception_handler(NineKnotsError, _refused)
    app.add_exception_handler(RequestValidationError, _invalid)
    app.add_exception_handler(ValidationError, _invalid)
    app.add_exception_handler(HTTPException, _http)
