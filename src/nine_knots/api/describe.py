"""The OpenAPI document: the one schema of problems that every operation refers to, and the document
itself, which takes seconds to make and is made once, beside all other calls."""

import json
from functools import cache
from threading import Lock
from typing import Any

from fastapi import FastAPI, Response

from nine_knots.api.problems import Problem

DOCUMENT = "/api/openapi.json"


def describe(app: FastAPI) -> None:
    """Let the application's document hold the schema of a problem, and be read."""
    made, making = app.openapi, Lock()

    def openapi() -> dict[str, Any]:
        with making:
            document = made()
            schemas = document.setdefault("components", {}).setdefault("schemas", {})
            schemas.setdefault("Problem", Problem.model_json_schema())
        return document

    @cache
    def written() -> bytes:
        return json.dumps(app.openapi(), ensure_ascii=False).encode()

    def get_document() -> Response:
        return Response(written(), media_type="application/json")

    app.openapi = openapi  # type: ignore[method-assign]
    app.add_api_route(DOCUMENT, get_document, include_in_schema=False)
