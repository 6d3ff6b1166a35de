"""/api/v1/places/…/gauge: where a water's level is read, and what the gauge says."""

from dataclasses import dataclass
from datetime import UTC, datetime
from typing import Annotated, Literal

from fastapi import APIRouter, Query, Request
from pydantic import Field
from starlette.concurrency import run_in_threadpool

from nine_knots.api.context import CurrentSession
from nine_knots.api.ids import PathId
from nine_knots.api.jobs.outbound import CurrentOutside
from nine_knots.api.problems import MISSING, RESPONSES, WORKED_OUT
from nine_knots.api.routes.places import changed_place
from nine_knots.api.typed_fields import Form, Typed, field
from nine_knots.core.assess.gauge import read_gauge
from nine_knots.core.base.errors import NotFound
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.domain.places import Gauge
from nine_knots.services.sensor_things import list_datastreams, read_levels
from nine_knots.simulated.level_service import LevelService, Trick
from nine_knots.store.places import read_place
from nine_knots.words.gauge import gauge_words
from nine_knots.words.places import PlaceReading, level_text

router = APIRouter(prefix="/api/v1/places", tags=["places"], responses=RESPONSES)
DEMO = "demo"
LOOKED_BACK = 13  # observations: three hours of quarters


class GaugeForm(Form):
    """Where the level is read: the base address of a SensorThings service, or ``demo`` for the
    stand-in that ships; empty forgets it."""

    base: str = Field(max_length=300, pattern=r"^(demo|https?://\S+)?$", examples=["demo"])
    datastream: str = Field(default="", max_length=100)
    title: Typed = ""
    metres: float = Field(default=1.0, ge=1e-4, le=1000.0)


@dataclass(frozen=True, slots=True)
class GaugeChoice:
    """A datastream that a level can be read of."""

    datastream: str
    title: str
    unit: str
    metres: float | None


@dataclass(frozen=True, slots=True)
class LevelAnswer:
    """The level that the gauge says, as it is typed, and whether it can be gone by."""

    level: str
    status: Literal["fresh", "stale", "odd"]
    words: str


@router.get("/gauges", responses=WORKED_OUT, summary="List the gauges of a SensorThings service")
async def get_gauges(
    request: Request,
    outside: CurrentOutside,
    base: Annotated[str, Query(max_length=300, pattern=r"^(demo|https?://\S+)$")],
) -> tuple[GaugeChoice, ...]:
    """Its datastreams, those of a length first."""
    asked, public_only = _base(request, base), _public_only(request, base)
    found = await outside.exchange(lambda: list_datastreams(asked, public_only))
    return tuple(
        GaugeChoice(found_item.key, found_item.title, found_item.unit, found_item.metres)
        for found_item in found
    )


@router.put("/{place_id}/gauge", responses=MISSING, summary="Choose a water's gauge")
def put_gauge(session: CurrentSession, place_id: PathId, form: GaugeForm) -> PlaceReading:
    """A service and its datastream, or none."""
    gauge = None
    if form.base:
        with field("datastream"):
            gauge = Gauge(
                base=form.base,
                datastream=form.datastream,
                title=form.title.strip() or form.datastream,
                metres=form.metres,
            )
    return changed_place(session, place_id, lambda place: place.evolve(gauge=gauge), "imperial")


@router.get("/{place_id}/level", responses=MISSING | WORKED_OUT, summary="Read the gauge")
async def get_level(
    request: Request,
    session: CurrentSession,
    outside: CurrentOutside,
    place_id: PathId,
    trick: Annotated[Trick, Query(description="how the simulated gauge behaves")] = "none",
    units: System = "imperial",
) -> LevelAnswer:
    """The newest level, how it goes, and whether it can be gone by; nothing is stored."""
    place = await run_in_threadpool(
        session.read, lambda cursor, me: read_place(cursor, me, place_id)
    )
    gauge = place.gauge
    if gauge is None:
        raise NotFound(
            "This water has no gauge.",
            where="gauge",
            hint="Choose one, or type the level.",
        )
    base = _base(request, gauge.base, trick)
    now = datetime.now(UTC)
    public_only = _public_only(request, gauge.base)
    seen = await outside.exchange(
        lambda: read_levels(base, gauge.datastream, gauge.metres, LOOKED_BACK, public_only)
    )
    found = read_gauge(
        tuple((observation.level_m, (now - observation.at).total_seconds()) for observation in seen)
    )
    return LevelAnswer(
        level_text(found.level_m, Units(units)), found.status, gauge_words(found, Units(units))
    )


def _base(request: Request, base: str, trick: Trick = "none") -> str:
    """The address to ask; that of the stand-in, which is started once, where that is meant."""
    if base != DEMO:
        return base
    state = request.app.state
    if state.level_service is None:
        state.level_service = LevelService()
    service: LevelService = state.level_service
    service.trick = trick
    return service.base


def _public_only(request: Request, base: str) -> bool:
    """Whether it is asked from a hosted service, and is not the stand-in that ships with it."""
    return request.app.state.site is not None and base != DEMO
