"""/api/v1/exports and /api/v1/imports: designs as files in open formats."""

import re
from typing import Any, Literal

from fastapi import APIRouter, Response
from pydantic import Field

from nine_knots.api.context import CurrentSession
from nine_knots.api.examples import DESIGN
from nine_knots.api.jobs.responses import FileAnswer
from nine_knots.api.problems import RESPONSES
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.strand import titles_of
from nine_knots.formats.leader_csv import read_csv, write_csv
from nine_knots.formats.leader_json import read_json, schema, write_json
from nine_knots.formats.strip_svg import write_svg
from nine_knots.store.stock import list_stock
from nine_knots.words.evaluation import evaluate

router = APIRouter(prefix="/api/v1", tags=["files"], responses=RESPONSES)
MEDIA = {
    "pdf": "application/pdf",
    "json": "application/json",
    "csv": "text/csv",
    "svg": "image/svg+xml",
    "ics": "text/calendar",
    "html": "text/html",
    "zip": "application/zip",
}


class ExportRequest(Form):
    """A design to write as a file."""

    design: Design = Field(examples=[DESIGN])
    units: System = "imperial"


class ImportRequest(Form):
    """A file's text; a CSV holds a leader only and keeps the rest of ``onto``."""

    kind: Literal["json", "csv"]
    text: str = Field(max_length=300_000)
    onto: Design = Field(examples=[DESIGN])


def file_of(title: str, kind: str) -> FileAnswer:
    """A file named after a title."""
    name = re.sub(r"[^a-z0-9]+", "-", title.lower()).strip("-") or "leader"
    charset = "" if kind == "pdf" else "; charset=utf-8"
    return FileAnswer(f"{name}.{kind}", f"{MEDIA[kind]}{charset}")


def file_answer(text: str, title: str, kind: str) -> Response:
    """A text as a file to keep."""
    return file_of(title, kind).response(text.encode())


@router.post(
    "/exports/{kind}", response_class=Response, summary="Export a design as JSON, CSV or SVG"
)
def post_export(
    session: CurrentSession, kind: Literal["json", "csv", "svg"], asked: ExportRequest
) -> Response:
    """The file, named after the design."""
    if kind == "json":
        text = write_json(asked.design)
    elif kind == "csv":
        text = write_csv(asked.design.leader)
    else:
        titles = titles_of(session.read(list_stock))
        text = write_svg(asked.design, evaluate(asked.design, titles, Units(asked.units)))
    return file_answer(text, asked.design.title, kind)


@router.post("/imports", summary="Import a design")
def post_import(asked: ImportRequest) -> Design:
    """The design in the file; nothing is stored."""
    if asked.kind == "json":
        return read_json(asked.text)
    return asked.onto.model_copy(update={"leader": read_csv(asked.text)})


@router.get("/formats/leader.schema.json", summary="JSON Schema of the leader file")
def get_schema() -> dict[str, Any]:
    """The published schema."""
    return schema()
