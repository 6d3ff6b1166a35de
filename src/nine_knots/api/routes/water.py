"""/api/v1/water: a design's rig in its water, what would bring it in, its depth table."""

from typing import Any

from fastapi import APIRouter, Response
from pydantic import Field
from starlette.concurrency import run_in_threadpool

from nine_knots.api.context import CurrentSession, Session
from nine_knots.api.examples import DESIGN
from nine_knots.api.jobs.responses import EVENTS, CurrentAnswering
from nine_knots.api.jobs.tasks import (
    DepthTableTask,
    ReachTask,
    RigTask,
    TuningTask,
    WaterRemedyTask,
    WaterTask,
)
from nine_knots.api.problems import RESPONSES, WORKED_OUT
from nine_knots.api.routes.casts import without_titles
from nine_knots.api.strokes import StrokeForm
from nine_knots.api.throw_request import throwing_outfit
from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.limits import Key
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import (
    parse_depths,
    parse_length,
    parse_seconds,
    parse_share,
    parse_speed,
)
from nine_knots.core.domain.design import Design
from nine_knots.core.water.question import FIELDS, WaterQuestion
from nine_knots.words.depth_table import DepthTableReading
from nine_knots.words.reach import ReachReading
from nine_knots.words.remedies import RemedyReading
from nine_knots.words.tuning import Tuning
from nine_knots.words.water.reading import WaterReading

router = APIRouter(prefix="/api/v1/water", tags=["water"], responses=RESPONSES | WORKED_OUT)

SaidFigure = Typed | float
"""Text as the angler typed it, or a figure in SI units."""


class WaterForm(Form):
    """How it is fished, as the angler says it; what is left empty is usual."""

    wanted: SaidFigure = Field(default="", description="depth wanted", examples=["3 ft"])
    drift: SaidFigure = Field(default="", description="before the next cast", examples=["40 ft"])
    lands: SaidFigure = Field(
        default="",
        description="how far away it lands, as a share of what is out",
        examples=["50 %"],
    )
    lead: SaidFigure = Field(
        default="", description="share of the surface speed", examples=["80 %"]
    )
    tip: SaidFigure = Field(default="", description="rod tip above the water", examples=["4 ft"])
    out: SaidFigure = Field(default="", description="length beyond the rod tip", examples=["10 ft"])
    count: SaidFigure = Field(default="", description="before the strip", examples=["8 s"])
    pull: SaidFigure = Field(default="", examples=["12 in"])
    pull_speed: SaidFigure = Field(default="", examples=["2 ft/s"])
    pause: SaidFigure = Field(default="", examples=["1 s"])
    follow: SaidFigure = Field(
        default="",
        description="how fast the rod follows, as a share of the stream",
        examples=["100 %"],
    )
    line: SaidFigure = Field(default="", description="of line on the water", examples=["40 ft"])
    differs: SaidFigure = Field(
        default="", description="speed difference between currents", examples=["0.5 ft/s"]
    )

    def read(self, units: System, slack_m: float | None = None) -> WaterQuestion:
        """The same in SI, or a refusal that names the field."""
        found: dict[str, Any] = {"slack_m": slack_m}
        for name, into in FIELDS.items():
            said = getattr(self, name)
            if isinstance(said, str) and not said.strip():
                continue
            with field(name):
                figure = _parsed(into, said, units) if isinstance(said, str) else said
                found[into] = getattr(WaterQuestion(**{into: figure}), into)
        return WaterQuestion(**found)


def _parsed(figure: str, text: str, units: System) -> float:
    """What was typed for a figure, whose name ends in its unit, in SI."""
    if figure.endswith("_m_s"):
        return parse_speed(text, units)
    if figure.endswith("_m"):
        return parse_length(text, units)
    return parse_seconds(text) if figure.endswith("_s") else parse_share(text)


class WaterRequest(Form):
    """A design to fish; ``bench`` names who asks, so that only the newest is worked out."""

    bench: Key = Field(examples=["bench-1"])
    design: Design = Field(examples=[DESIGN])
    fished: WaterForm = Field(default_factory=WaterForm)
    slack_m: float | None = Field(
        default=None,
        ge=0.0,
        le=5.0,
        description="slack of the cast it landed with, if there was one",
    )
    units: System = "imperial"


class ReachRequest(WaterRequest):
    """A design to fish, with the movie to draw or without."""

    movie: bool = True


class WaterRemedyRequest(WaterRequest):
    """A design to mend, with the stroke that throws it."""

    stroke: StrokeForm = Field(default_factory=StrokeForm)


@router.post("", summary="Fish a design", response_model=WaterReading)
async def post_water(asked: ReachRequest, answering: CurrentAnswering) -> Response:
    """Follow the rig in its water in a worker; nothing is stored."""
    task = WaterTask(
        design=without_titles(asked.design),
        ask=asked.fished.read(asked.units, asked.slack_m),
        units=asked.units,
        movie=asked.movie,
    )
    return await answering.respond(f"{asked.bench}-water", task)


@router.post(
    "/remedies",
    summary="Find remedies for drift and depth",
    response_model=tuple[RemedyReading, ...],
    responses={200: {"content": EVENTS}},
)
async def post_water_remedies(
    session: CurrentSession, asked: WaterRemedyRequest, answering: CurrentAnswering
) -> Response:
    """Each remedy is found by fishing and casting the changed rig; nothing is stored."""
    thrown = await throwing_outfit(session, asked.stroke, asked.units)
    ask = asked.fished.read(asked.units, asked.slack_m)
    task = WaterRemedyTask(design=asked.design, ask=ask, **thrown)
    return await answering.respond(f"{asked.bench}-water-remedies", task)


class DepthTableRequest(WaterRequest):
    """A design whose depth table is wanted, for depths as typed; empty for such as the day's."""

    depths: Typed = Field(default="", examples=["2 ft, 3 ft, 5 ft"])


async def _rig_task(
    kind: type[RigTask], session: Session, asked: WaterRequest, **more: Any
) -> RigTask:
    """A search through settings and weights, from the spools that the angler owns."""
    angler = await run_in_threadpool(session.angler)
    return kind(
        **more,
        design=without_titles(asked.design),
        ask=asked.fished.read(asked.units, asked.slack_m),
        angler=Angler(stock=angler.stock, system=asked.units),
    )


@router.post(
    "/tuning",
    summary="Find the settings and weights that work",
    response_model=Tuning,
    responses={200: {"content": EVENTS}},
)
async def post_tuning(
    session: CurrentSession, asked: WaterRequest, answering: CurrentAnswering
) -> Response:
    """The setting by bisection, the least and most shot and bead; nothing is stored."""
    task = await _rig_task(TuningTask, session, asked)
    return await answering.respond(f"{asked.bench}-tuning", task)


@router.post(
    "/reach",
    summary="Show how surely it reaches the zone",
    response_model=ReachReading,
    responses={200: {"content": EVENTS}},
)
async def post_reach(
    session: CurrentSession, asked: WaterRequest, answering: CurrentAnswering
) -> Response:
    """Fished again and again in water a little other than was guessed; nothing is stored."""
    task = await _rig_task(ReachTask, session, asked)
    return await answering.respond(f"{asked.bench}-reach", task)


@router.post(
    "/depth-table",
    summary="Show a rig's depth table",
    response_model=DepthTableReading,
    responses={200: {"content": EVENTS}},
)
async def post_depth_table(
    session: CurrentSession, asked: DepthTableRequest, answering: CurrentAnswering
) -> Response:
    """Depth by pace and depth of water, and what to change in each; nothing is stored."""
    with field("depths"):
        depths = parse_depths(asked.depths, asked.units)
    task = await _rig_task(DepthTableTask, session, asked, depths_m=depths)
    return await answering.respond(f"{asked.bench}-depth-table", task)
