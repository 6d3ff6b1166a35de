"""Errors as RFC 9457 problem details with stable codes, field paths and the mend."""

import logging
from collections.abc import Sequence
from http import HTTPStatus
from typing import Any

from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from pydantic import BaseModel, ValidationError
from starlette.exceptions import HTTPException

from nine_knots.core.errors import NineKnotsError, StaleRevision

MEDIA_TYPE = "application/problem+json"
STATUS_BY_CODE = {
    "unreadable": 422,
    "out-of-range": 422,
    "edit-refused": 422,
    "cannot-compute": 422,
    "file-refused": 422,
    "not-found": 404,
    "stale-revision": 412,
    "superseded": 409,
    "database-trouble": 503,
}
MOST_FIELDS = 20
_log = logging.getLogger("nine_knots")


class FieldProblem(BaseModel):
    """One field that was refused."""

    where: str
    what: str


class Problem(BaseModel):
    """What is wrong, where, and the mend (RFC 9457, with extensions)."""

    type: str
    title: str
    status: int
    detail: str
    code: str
    where: str = ""
    mend: str = ""
    newest: int | None = None
    fields: list[FieldProblem] = []


RESPONSES: dict[int | str, dict[str, Any]] = {
    422: {"model": Problem, "content": {MEDIA_TYPE: {}}, "description": "Refused, with the mend"},
    503: {"model": Problem, "content": {MEDIA_TYPE: {}}, "description": "No database"},
}


def problem(status: int, code: str, detail: str, **more: Any) -> JSONResponse:
    """A problem answer."""
    made = Problem(
        type=f"urn:nine-knots:problem:{code}",
        title=HTTPStatus(status).phrase,
        status=status,
        detail=detail,
        code=code,
        **more,
    )
    return JSONResponse(
        made.model_dump(exclude_none=True), status_code=status, media_type=MEDIA_TYPE
    )


def _refused(_request: Request, error: Exception) -> JSONResponse:
    assert isinstance(error, NineKnotsError)
    status = STATUS_BY_CODE.get(error.code, 400)
    newest = error.newest if isinstance(error, StaleRevision) else None
    return problem(
        status, error.code, error.what, where=error.where, mend=error.mend, newest=newest
    )


def _invalid(_request: Request, error: Exception) -> JSONResponse:
    assert isinstance(error, RequestValidationError | ValidationError)
    found: Sequence[Any] = error.errors()
    fields = [
        FieldProblem(
            where=".".join(str(part) for part in one["loc"] if part != "body"),
            what=str(one["msg"]).removeprefix("Value error, "),
        )
        for one in found[:MOST_FIELDS]
    ]
    first = fields[0]
    return problem(
        422,
        "invalid",
        f"{first.where or 'The request'}: {first.what}.",
        where=first.where,
        mend="Mend the fields named.",
        fields=fields,
    )


def _http(_request: Request, error: Exception) -> JSONResponse:
    assert isinstance(error, HTTPException)
    code = "too-large" if error.status_code == 413 else ""
    code = code or HTTPStatus(error.status_code).phrase.lower().replace(" ", "-")
    return problem(error.status_code, code, str(error.detail))


def _unexpected(_request: Request, error: Exception) -> JSONResponse:
    _log.error("unexpected", exc_info=error)
    return problem(
        500,
        "unexpected",
        "Something went wrong inside Nine Knots.",
        mend="Your draft is kept in this browser. Try again; the log tells more.",
    )


def install(app: FastAPI) -> None:
    """Answer every error of the family, and every other one, as a problem."""
    app.add_exception_handler(NineKnotsError, _refused)
    app.add_exception_handler(RequestValidationError, _invalid)
    app.add_exception_handler(ValidationError, _invalid)
    app.add_exception_handler(HTTPException, _http)
    app.add_exception_handler(Exception, _unexpected)
