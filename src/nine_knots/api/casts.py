"""/api/casts: a design thrown, and how it opens and lands."""

from typing import Annotated, Any, Literal

from fastapi import APIRouter, Depends, Request, Response
from pydantic import BaseModel, Field
from starlette.concurrency import run_in_threadpool

from nine_knots.api.context import CurrentSession
from nine_knots.api.examples import DESIGN
from nine_knots.api.files import file_answer
from nine_knots.api.problems import RESPONSES, Problem
from nine_knots.api.typed import Typed, field
from nine_knots.api.workers import Casting, CastTask, RemedyTask
from nine_knots.core.cast.reading import CastReading, Resolution
from nine_knots.core.cast.stroke import SPEEDS, Stroke
from nine_knots.core.design import Design
from nine_knots.core.remedies import Remedy
from nine_knots.core.units import parse_length, parse_speed
from nine_knots.core.values import Key, System
from nine_knots.formats.cast_files import write_cast_csv, write_cast_svg
from nine_knots.store.stock import list_stock
from nine_knots.store.tackle import read_kit

router = APIRouter(prefix="/api/casts", tags=["casts"], responses=RESPONSES)
SUPERSEDED: dict[int | str, dict[str, Any]] = {
    409: {"model": Problem, "description": "A newer one of the same bench took its place"}
}


class StrokeForm(BaseModel):
    """A stroke as the angler says it; what is left empty is usual."""

    kind: Literal["overhead", "roll", "water-loaded"] = "overhead"
    speed: Typed = Field(default="normal", examples=["easy", "15 m/s"])
    line_out: Typed = Field(default="", examples=["30 ft"])
    loop: Typed = Field(default="", examples=["2 ft"])

    def read(self, units: System) -> Stroke:
        """The stroke in SI, or a refusal that names the field."""
        usual = Stroke(kind=self.kind)
        with field("speed"):
            said = self.speed.strip().lower() or "normal"
            speed = SPEEDS.get(said) or parse_speed(self.speed, units)
            usual = Stroke.model_validate({**usual.model_dump(), "speed_m_s": speed})
        with field("line_out"):
            if self.line_out.strip():
                out = parse_length(self.line_out, units)
                usual = Stroke.model_validate({**usual.model_dump(), "line_out_m": out})
        with field("loop"):
            if self.loop.strip():
                loop = parse_length(self.loop, units)
                usual = Stroke.model_validate({**usual.model_dump(), "loop_m": loop})
        return usual


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
async def post_cast(asked: CastRequest, casting: CurrentCasting) -> CastReading:
    """Simulate the cast in a worker; nothing is stored."""
    return await _thrown(asked, casting)


async def _thrown(asked: CastRequest, casting: Casting) -> CastReading:
    task = CastTask(
        design=asked.design.model_copy(update={"title": "cast", "notes": ""}),
        stroke=asked.stroke.read(asked.units),
        resolution=asked.resolution,
        units=asked.units,
        first_deg=asked.first_deg,
    )
    answer = await casting.ask(asked.bench, task)
    assert isinstance(answer, CastReading)
    return answer


@router.post(
    "/files/{kind}",
    response_class=Response,
    responses=SUPERSEDED,
    summary="Write a cast as a table of nodes or as a picture",
)
async def post_cast_file(
    kind: Literal["csv", "svg"], asked: CastRequest, casting: CurrentCasting
) -> Response:
    """The cast as CSV or SVG, named after the design."""
    reading = await _thrown(asked, casting)
    title = f"{asked.design.title}, cast"
    if kind == "csv":
        return file_answer(write_cast_csv(reading), title, kind)
    materials = tuple(piece.strand.material for piece in asked.design.leader.pieces)
    return file_answer(write_cast_svg(title, materials, reading), title, kind)


class RemedyRequest(BaseModel):
    """A design whose turnover is to be mended."""

    bench: Key = Field(examples=["bench-1"])
    design: Design = Field(examples=[DESIGN])
    stroke: StrokeForm = Field(default_factory=StrokeForm)
    units: System = "imperial"


@router.post("/remedies", summary="Ask what would bring the turnover in", responses=SUPERSEDED)
async def post_remedies(
    session: CurrentSession, asked: RemedyRequest, casting: CurrentCasting
) -> tuple[Remedy, ...]:
    """Each remedy is found by casting the changed leader; nothing is stored."""
    stock = await run_in_threadpool(session.run, list_stock)
    kit = await run_in_threadpool(session.run, read_kit)
    task = RemedyTask(
        design=asked.design,
        stroke=asked.stroke.read(asked.units),
        stock=stock,
        flies=kit.flies,
        units=asked.units,
    )
    answer = await casting.ask(f"{asked.bench}-remedies", task)
    assert isinstance(answer, tuple)
    return answer
