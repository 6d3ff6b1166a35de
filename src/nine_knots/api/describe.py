"""The OpenAPI document's last touch: the one schema of problems that every operation refers to."""

from typing import Any

from fastapi import FastAPI

from nine_knots.api.problems import Problem


def describe_problems(app: FastAPI) -> None:
    """Let the application's document hold the schema of a problem."""
    made = app.openapi

    def openapi() -> dict[str, Any]:
        document = made()
        schemas = document.setdefault("components", {}).setdefault("schemas", {})
        schemas.setdefault("Problem", Problem.model_json_schema())
        return document

    app.openapi = openapi  # type: ignore[method-assign]
