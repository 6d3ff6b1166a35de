"""/api/v1/today: every school built, cast and fished for a day, ranked and grouped."""

from typing import Annotated, Any

from fastapi import APIRouter
from pydantic import Field

from nine_knots.api.context import CurrentSession
from nine_knots.api.examples import SITUATION
from nine_knots.api.jobs.responses import CurrentAnswering
from nine_knots.api.jobs.tasks import SchoolTask, adapter_of
from nine_knots.api.problems import RESPONSES, WORKED_OUT
from nine_knots.api.strokes import StrokeForm
from nine_knots.api.throw_request import throwing_outfit
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.limits import Key
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.base.values import TupleOf
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools import SCHOOLS
from nine_knots.words.days import DaysReading, days_reading
from nine_knots.words.schools_today import TodayReading, today_reading

router = APIRouter(prefix="/api/v1/today", tags=["today"], responses=RESPONSES | WORKED_OUT)

MOST_DAYS = 8


class TodayRequest(Form):
    """A day and the stroke that is to open the leader; ``bench`` names who asks."""

    bench: Key = Field(examples=["shelf-1"])
    situation: Situation = Field(examples=[SITUATION])
    stroke: StrokeForm = Field(default_factory=StrokeForm)
    units: System = "imperial"


class DaysRequest(Form):
    """Days that are all to be served, and what things cost where that is known."""

    bench: Key = Field(examples=["buy-1"])
    days: TupleOf[Situation] = Field(min_length=1, max_length=MOST_DAYS, examples=[[SITUATION]])
    stroke: StrokeForm = Field(default_factory=StrokeForm)
    prices: dict[
        Annotated[str, Field(max_length=80)], Annotated[float, Field(ge=0.0, le=10_000.0)]
    ] = Field(default_factory=dict, max_length=100)
    units: System = "imperial"


@router.post("", summary="Rank the schools for a day")
async def post_today(
    session: CurrentSession, asked: TodayRequest, answering: CurrentAnswering
) -> TodayReading:
    """Those that fit, those that would with a change or a purchase, and the rest with why."""
    thrown = await throwing_outfit(session, asked.stroke, asked.units)
    return await _today(asked.bench, asked.situation, thrown, answering)


@router.post("/days", summary="Find what to buy for several days")
async def post_days(
    session: CurrentSession, asked: DaysRequest, answering: CurrentAnswering
) -> DaysReading:
    """The cheapest set with which every day has a leader that serves it, from what is owned and
    what a shop has; and which leader that is on each day."""
    thrown = await throwing_outfit(session, asked.stroke, asked.units)
    read = [
        (day, await _today(f"{asked.bench}-{number}", day, thrown, answering))
        for number, day in enumerate(asked.days)
    ]
    prices = {what[:1].lower() + what[1:]: price for what, price in asked.prices.items()}
    return days_reading(tuple(read), prices, Units(asked.units))


async def _today(
    bench: str, day: Situation, thrown: dict[str, Any], answering: CurrentAnswering
) -> TodayReading:
    tasks = {key: SchoolTask(key=key, day=day, **thrown) for key in SCHOOLS}
    long = {key for key, school in SCHOOLS.items() if not school.suits(day)}
    answers = await answering.all_worked_out(
        {f"{bench}-{key}": tasks[key] for key in tasks if key in long}
    )
    read_card = adapter_of(SchoolTask).validate_json
    at_once = [task.work() for key, task in tasks.items() if key not in long]
    return today_reading(at_once + [read_card(answer) for answer in answers])
