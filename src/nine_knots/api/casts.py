"""/api/casts: a design thrown, and how it opens and lands."""

from typing import Annotated, Any, Literal

from fastapi import APIRouter, Depends, Request, Response
from pydantic import BaseModel, Field
from starlette.concurrency import run_in_threadpool

from nine_knots.api.context import CurrentSession, Session
from nine_knots.api.examples import DESIGN
from nine_knots.api.files import file_answer
from nine_knots.api.problems import RESPONSES, Problem
from nine_knots.api.strokes import StrokeForm
from nine_knots.api.tasks import CastTask, EffortTask, RemedyTask
from nine_knots.api.workers import Casting
from nine_knots.core.cast.effort import Effort
from nine_knots.core.cast.reading import CastReading, Resolution
from nine_knots.core.design import Design
from nine_knots.core.remedies import Remedy
from nine_knots.core.values import Key, System
from nine_knots.formats.cast_files import write_cast_csv, write_cast_svg
from nine_knots.store.landings import read_own_cast
from nine_knots.store.stock import list_stock
from nine_knots.store.tackle import read_kit
from nine_knots.store.tying import read_tier

router = APIRouter(prefix="/api/casts", tags=["casts"], responses=RESPONSES)
SUPERSEDED: dict[int | str, dict[str, Any]] = {
    409: {"model": Problem, "description": "A newer one of the same bench took its place"}
}


class CastRequest(BaseModel):
    """A design to throw; ``bench`` names who asks, so that only the newest is worked out."""

    bench: Key = Field(examples=["bench-1"])
    design: Design = Field(examples=[DESIGN])
    stroke: StrokeForm = Field(default_factory=StrokeForm)
    resolution: Resolution = "full"
    first_deg: float | None = Field(default=None, ge=-10, le=40, description="a good aim, if known")
    units: System = "imperial"


def _casting(request: Request) -> Casting:
    casting: Casting = request.app.state.casting
    return casting


CurrentCasting = Annotated[Casting, Depends(_casting)]


@router.post("", summary="Cast a design", responses=SUPERSEDED)
async def post_cast(
    session: CurrentSession, asked: CastRequest, casting: CurrentCasting
) -> CastReading:
    """Simulate the cast in a worker; nothing is stored."""
    return await _thrown(session, asked, casting)


def unnamed(design: Design) -> Design:
    """The design without what no cast depends on, so that like ones are worked out once."""
    return design.model_copy(update={"title": "cast", "notes": ""})


async def _thrown(session: Session, asked: CastRequest, casting: Casting) -> CastReading:
    own = await run_in_threadpool(session.run, read_own_cast)
    task = CastTask(
        design=unnamed(asked.design),
        stroke=asked.stroke.read(asked.units, own).stroke,
        own=own,
        gust=asked.stroke.read_gust(asked.units),
        resolution=asked.resolution,
        units=asked.units,
        first_deg=asked.first_deg,
    )
    return await casting.ask(asked.bench, task, CastReading)


@router.post(
    "/files/{kind}",
    response_class=Response,
    responses=SUPERSEDED,
    summary="Write a cast as a table of nodes or as a picture",
)
async def post_cast_file(
    session: CurrentSession,
    kind: Literal["csv", "svg"],
    asked: CastRequest,
    casting: CurrentCasting,
) -> Response:
    """The cast as CSV or SVG, named after the design."""
    reading = await _thrown(session, asked, casting)
    title = f"{asked.design.title}, cast"
    if kind == "csv":
        return file_answer(write_cast_csv(reading), title, kind)
    materials = tuple(piece.strand.material for piece in asked.design.leader.pieces)
    return file_answer(write_cast_svg(title, materials, reading), title, kind)


class ThrownRequest(BaseModel):
    """A design with a stroke, of which more is asked than one cast."""

    bench: Key = Field(examples=["bench-1"])
    design: Design = Field(examples=[DESIGN])
    stroke: StrokeForm = Field(default_factory=StrokeForm)
    units: System = "imperial"


@router.post("/remedies", summary="Ask what would bring the turnover in", responses=SUPERSEDED)
async def post_remedies(
    session: CurrentSession, asked: ThrownRequest, casting: CurrentCasting
) -> tuple[Remedy, ...]:
    """Each remedy is found by casting the changed leader; nothing is stored."""
    stock = await run_in_threadpool(session.run, list_stock)
    kit = await run_in_threadpool(session.run, read_kit)
    own = await run_in_threadpool(session.run, read_own_cast)
    task = RemedyTask(
        design=asked.design,
        stroke=asked.stroke.read(asked.units, own).stroke,
        own=own,
        gust=asked.stroke.read_gust(asked.units),
        stock=stock,
        flies=kit.flies,
        tier=await run_in_threadpool(session.run, read_tier),
        units=asked.units,
    )
    return await casting.ask(f"{asked.bench}-remedies", task, tuple)


@router.post("/effort", summary="Ask how hard a leader must be thrown", responses=SUPERSEDED)
async def post_effort(
    session: CurrentSession, asked: ThrownRequest, casting: CurrentCasting
) -> Effort:
    """The launch speed that just opens it, against a plain leader; nothing is stored."""
    own = await run_in_threadpool(session.run, read_own_cast)
    task = EffortTask(
        design=unnamed(asked.design),
        stroke=asked.stroke.read(asked.units, own).stroke,
        units=asked.units,
    )
    return await casting.ask(f"{asked.bench}-effort", task, Effort)
