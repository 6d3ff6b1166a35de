"""/api/casts: a design thrown, and how it opens and lands."""

from typing import Literal

from fastapi import APIRouter, Response
from pydantic import Field
from starlette.concurrency import run_in_threadpool

from nine_knots.api.context import CurrentSession, Session
from nine_knots.api.examples import DESIGN
from nine_knots.api.files import file_of
from nine_knots.api.problems import RESPONSES, WORKED_OUT
from nine_knots.api.strokes import StrokeForm
from nine_knots.api.thrown import ThrownRequest, thrower
from nine_knots.api.typed import Form
from nine_knots.api.work.answering import EVENTS, CurrentAnswering
from nine_knots.api.work.tasks import CastFileTask, CastTask, RemedyTask
from nine_knots.core.base.limits import Key
from nine_knots.core.base.quantity import System
from nine_knots.core.judge.remedies.search import Remedy
from nine_knots.core.tell.cast import CastReading, Near
from nine_knots.core.trade.design import Design

router = APIRouter(prefix="/api/casts", tags=["casts"], responses=RESPONSES | WORKED_OUT)


class CastRequest(Form):
    """A design to throw; ``bench`` names who asks, so that only the newest is worked out."""

    bench: Key = Field(examples=["bench-1"])
    design: Design = Field(examples=[DESIGN])
    stroke: StrokeForm = Field(default_factory=StrokeForm)
    near: Near | None = Field(default=None, description="as the last answer gave it, if any")
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


def unnamed(design: Design) -> Design:
    """The design without what no cast depends on, so that like ones are worked out once."""
    return design.model_copy(update={"title": "cast", "notes": ""})


async def _task(session: Session, asked: CastRequest) -> CastTask:
    own = (await run_in_threadpool(session.angler)).cast
    return CastTask(
        design=unnamed(asked.design),
        stroke=asked.stroke.read(asked.units, own).stroke,
        own=own,
        gust=asked.stroke.read_gust(asked.units),
        units=asked.units,
        near=asked.near,
    )


@router.post(
    "/files/{kind}",
    response_class=Response,
    summary="Write a cast as a table of nodes or as a picture",
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
    summary="Ask what would bring the turnover in",
    response_model=tuple[Remedy, ...],
    responses={200: {"content": EVENTS}},
)
async def post_remedies(
    session: CurrentSession, asked: ThrownRequest, answering: CurrentAnswering
) -> Response:
    """Each remedy is found by casting the changed leader; nothing is stored."""

    thrown = await thrower(session, asked.stroke, asked.units)
    task = RemedyTask(design=asked.design, **thrown)
    return await answering.respond(f"{asked.bench}-remedies", task)
