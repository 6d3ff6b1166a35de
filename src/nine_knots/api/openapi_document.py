"""The OpenAPI document: the one schema of problems that every operation refers to, and the document
itself, which takes seconds to make."""

import json
from typing import Any

from fastapi import FastAPI, Request, Response

from nine_knots.api.jobs.isolated_process import CurrentIsolated
from nine_knots.api.problems import Problem

DOCUMENT = "/api/v1/openapi.json"


def install_openapi(app: FastAPI) -> None:
    """Let the application's document hold the schema of a problem, and be read."""
    made = app.openapi

    def openapi() -> dict[str, Any]:
        document = made()
        schemas = document.setdefault("components", {}).setdefault("schemas", {})
        schemas.setdefault("Problem", Problem.model_json_schema())
        return document

    app.openapi = openapi  # type: ignore[method-assign]
    app.add_api_route(DOCUMENT, get_document, include_in_schema=False)


def document_text() -> bytes:
    """The document of an application like this one, as JSON."""
    from nine_knots.api.app import create_app  # in the process that makes it

    return json.dumps(create_app(None, port=0).openapi(), ensure_ascii=False).encode()


async def get_document(request: Request, isolated: CurrentIsolated) -> Response:
    """Made once, elsewhere: it takes seconds, in which others are answered."""
    state = request.app.state
    if state.document is None:
        state.document = await isolated.run_own(document_text)
    return Response(state.document, media_type="application/json")
