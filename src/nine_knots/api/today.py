"""/api/today: every school built, cast and fished for a day, ranked and grouped."""

from fastapi import APIRouter
from pydantic import Field

from nine_knots.api.context import CurrentSession
from nine_knots.api.examples import SITUATION
from nine_knots.api.problems import RESPONSES, WORKED_OUT
from nine_knots.api.strokes import StrokeForm
from nine_knots.api.thrown import thrower
from nine_knots.api.typed import Form
from nine_knots.api.work.answering import CurrentAnswering
from nine_knots.api.work.tasks import SchoolTask, adapter_of
from nine_knots.core.base.limits import Key
from nine_knots.core.base.quantity import System
from nine_knots.core.tell.today import TodayReading, today_reading
from nine_knots.core.trade.schools import SCHOOLS
from nine_knots.core.trade.situation import Situation

router = APIRouter(prefix="/api/today", tags=["today"], responses=RESPONSES | WORKED_OUT)


class TodayRequest(Form):
    """A day and the stroke that is to open the leader; ``bench`` names who asks."""

    bench: Key = Field(examples=["shelf-1"])
    situation: Situation = Field(examples=[SITUATION])
    stroke: StrokeForm = Field(default_factory=StrokeForm)
    units: System = "imperial"


@router.post("", summary="Ask which schools fit a day")
async def post_today(
    session: CurrentSession, asked: TodayRequest, answering: CurrentAnswering
) -> TodayReading:
    """Those that fit, those that would with one change, those that are not for this and why."""
    thrown = await thrower(session, asked.stroke, asked.units)
    tasks = {key: SchoolTask(key=key, day=asked.situation, **thrown) for key in SCHOOLS}
    long = {key for key, school in SCHOOLS.items() if not school.suits(asked.situation)}
    answers = await answering.all_worked_out(
        {f"{asked.bench}-{key}": tasks[key] for key in tasks if key in long}
    )
    read_card = adapter_of(SchoolTask).validate_json
    at_once = [task.work() for key, task in tasks.items() if key not in long]
    return today_reading(at_once + [read_card(answer) for answer in answers])
