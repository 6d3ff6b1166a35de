"""/api/v1/casts: a design thrown, and how it opens and lands."""

from typing import Literal

from fastapi import APIRouter, Response
from pydantic import Field
from starlette.concurrency import run_in_threadpool

from nine_knots.api.context import CurrentSession, Session
from nine_knots.api.examples import DESIGN
from nine_knots.api.jobs.responses import EVENTS, CurrentAnswering
from nine_knots.api.jobs.tasks import CastFileTask, CastTask, RemedyTask
from nine_knots.api.problems import RESPONSES, WORKED_OUT
from nine_knots.api.routes.files import file_of
from nine_knots.api.strokes import StrokeForm
from nine_knots.api.throw_request import ThrowRequest, throwing_outfit
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.limits import Key
from nine_knots.core.base.quantity import System
from nine_knots.core.domain.design import Design
from nine_knots.words.cast import CastReading, Near
from nine_knots.words.remedies import RemedyReading

router = APIRouter(prefix="/api/v1/casts", tags=["casts"], responses=RESPONSES | WORKED_OUT)


class CastRequest(Form):
    """A design to throw; ``bench`` names who asks, so that only the newest is worked out."""

    bench: Key = Field(examples=["bench-1"])
    design: Design = Field(examples=[DESIGN])
    stroke: StrokeForm = Field(default_factory=StrokeForm)
    near: Near | None = Field(default=None, description="from the last answer, if any")
    units: System = "imperial"


class BenchCastRequest(CastRequest):
    """A design to throw at once, while something of it is dragged, or as it was left."""

    rough: bool = Field(default=False, description="the turnover alone, at the aim of `near`")


@router.post("", summary="Cast a design", response_model=CastReading)
async def post_cast(
    session: CurrentSession, asked: BenchCastRequest, answering: CurrentAnswering
) -> Response:
    """Simulate the cast in a worker; nothing is stored."""
    task = (await _task(session, asked)).model_copy(update={"rough": asked.rough})
    return await answering.respond(asked.bench, task)


def without_titles(design: Design) -> Design:
    """The design without what no cast depends on, so that like ones are worked out once."""
    return design.model_copy(update={"title": "cast", "notes": ""})


async def _task(session: Session, asked: CastRequest) -> CastTask:
    own = (await run_in_threadpool(session.angler)).cast
    return CastTask(
        design=without_titles(asked.design),
        stroke=asked.stroke.read(asked.units, own).stroke,
        own=own,
        gust=asked.stroke.read_gust(asked.units),
        units=asked.units,
        near=asked.near,
    )


@router.post(
    "/files/{kind}",
    response_class=Response,
    summary="Export a cast as CSV or SVG",
)
async def post_cast_file(
    session: CurrentSession,
    kind: Literal["csv", "svg"],
    asked: CastRequest,
    answering: CurrentAnswering,
) -> Response:
    """The cast as CSV or SVG, named after the design."""
    title = f"{asked.design.title}, cast"
    cast = await _task(session, asked)
    task = CastFileTask.model_validate({**dict(cast), "title": title, "kind": kind})
    return await answering.respond(f"{asked.bench}-file", task, file_of(title, kind))


@router.post(
    "/remedies",
    summary="Find remedies for turnover",
    response_model=tuple[RemedyReading, ...],
    responses={200: {"content": EVENTS}},
)
async def post_remedies(
    session: CurrentSession, asked: ThrowRequest, answering: CurrentAnswering
) -> Response:
    """Each remedy is found by casting the changed leader; nothing is stored."""

    thrown = await throwing_outfit(session, asked.stroke, asked.units)
    task = RemedyTask(design=asked.design, **thrown)
    return await answering.respond(f"{asked.bench}-remedies", task)
