"""/api/v1/own-cast: landings as the angler saw them, and what they say of the angler's cast."""

from dataclasses import dataclass
from typing import Annotated

from fastapi import APIRouter, Query
from fastapi.concurrency import run_in_threadpool
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession, SavingSession
from nine_knots.api.examples import DESIGN
from nine_knots.api.jobs.responses import CurrentAnswering
from nine_knots.api.jobs.tasks import LandingTask, adapter_of
from nine_knots.api.problems import MISSING, RESPONSES, WORKED_OUT
from nine_knots.api.routes.casts import without_titles
from nine_knots.api.strokes import StrokeForm
from nine_knots.api.typed_fields import Form
from nine_knots.core.assess.landings import ObservedLanding
from nine_knots.core.assess.own_cast import Landed, estimate
from nine_knots.core.base.limits import Key
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.casting.stroke import SPEEDS
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.event import EventId
from nine_knots.store.landings import (
    KeptLanding,
    add_landing,
    delete_landing,
    estimate_anew,
    list_landings,
    read_estimate,
)
from nine_knots.words.own_cast import OwnReading, expected, own_reading

router = APIRouter(prefix="/api/v1/own-cast", tags=["own cast"], responses=RESPONSES)
AskedUnits = Annotated[System, Query()]


class LandingForm(Form):
    """How the leader on the bench landed."""

    bench: Key = Field(examples=["bench-1"])
    design: Design = Field(examples=[DESIGN])
    stroke: StrokeForm = Field(default_factory=StrokeForm)
    landed: Landed = Field(examples=["soft"])
    event_id: EventId | None = Field(
        default=None, description="the event it comes from, so it counts only once"
    )
    units: System = "imperial"


@dataclass(frozen=True, slots=True)
class LandingRow:
    """One landing as it is listed: what was thrown, what was seen, what the model expects."""

    landing_id: str
    day: str
    leader: str
    fly: str
    stroke: str
    landed: Landed
    expected: str


@dataclass(frozen=True, slots=True)
class OwnCastAnswer:
    """The own cast, the launch speed that each word now stands for, and the landings."""

    reading: OwnReading
    speeds: dict[str, str]
    landings: tuple[LandingRow, ...]


@router.get("", summary="Show the angler's own cast")
def get_own_cast(session: CurrentSession, units: AskedUnits = "imperial") -> OwnCastAnswer:
    """The estimate and the landings behind it."""
    return session.read(lambda cursor, me: _answer(cursor, me, Units(units)))


@router.post("/landings", summary="Record how a leader landed", responses=WORKED_OUT)
async def post_landing(
    session: SavingSession, form: LandingForm, answering: CurrentAnswering
) -> OwnCastAnswer:
    """Keep the landing and estimate the own cast anew from all of them."""
    said = form.stroke.read(form.units)
    seen = ObservedLanding(
        design=form.design,
        stroke=said.stroke,
        said=form.stroke.speed or "normal",
        by_word=said.by_word,
        landed=form.landed,
        gust=form.stroke.read_gust(form.units),
    )
    task = LandingTask(seen=seen.model_copy(update={"design": without_titles(form.design)}))
    told = await answering.worked_out(f"{form.bench}-landing", task)
    landing = adapter_of(LandingTask).validate_json(told)

    def keep(cursor: DictCursor, me: str) -> str:
        landing_id = add_landing(cursor, me, seen, landing, form.event_id or "")
        estimate_anew(cursor, me)
        return landing_id

    return await run_in_threadpool(
        session.save, keep, lambda cursor, me, _: _answer(cursor, me, Units(form.units))
    )


@router.delete("/landings/{landing_id}", summary="Delete a landing", responses=MISSING)
def delete_one_landing(
    session: CurrentSession, landing_id: str, units: AskedUnits = "imperial"
) -> OwnCastAnswer:
    """Forget it and estimate the own cast anew from the others."""

    def forget(cursor: DictCursor, me: str) -> OwnCastAnswer:
        delete_landing(cursor, me, landing_id)
        estimate_anew(cursor, me)
        return _answer(cursor, me, Units(units))

    return session.write(forget)


def _answer(cursor: DictCursor, me: str, units: Units) -> OwnCastAnswer:
    kept = list_landings(cursor, me)
    now = read_estimate(cursor, me) or estimate(())
    return OwnCastAnswer(
        reading=own_reading(now, len(kept), units),
        speeds={
            word: units.speed(speed * now.own.speed_factor).text for word, speed in SPEEDS.items()
        },
        landings=tuple(
            LandingRow(
                landing_id=item.landing_id,
                day=f"{item.seen_at:%Y-%m-%d}",
                leader=item.seen.design.title,
                fly=item.seen.design.situation.fly.title,
                stroke=_stroke_words(item, units),
                landed=item.seen.landed,
                expected=expected(item.landing, now.own),
            )
            for item in kept
        ),
    )


def _stroke_words(kept_landing: KeptLanding, units: Units) -> str:
    wind = kept_landing.seen.design.situation.wind
    speed = (
        kept_landing.seen.said
        if kept_landing.seen.by_word
        else units.speed(kept_landing.seen.stroke.speed_m_s).text
    )
    blows = f", wind {units.wind(wind.speed_m_s).text} {wind.bearing}" if wind.speed_m_s else ""
    if kept_landing.seen.gust.speed_m_s:
        blows += f", a gust of {units.wind(abs(kept_landing.seen.gust.speed_m_s)).text}"
    return f"{speed}, {units.on_spool(kept_landing.seen.stroke.line_out_m).text} out{blows}"
