"""/api/v1/plans: days planned the night before: worked out, printed, put in the calendar."""

from dataclasses import dataclass
from datetime import datetime
from typing import Any

from fastapi import APIRouter, Response
from pydantic import Field, ValidationError
from pymysql.cursors import DictCursor
from starlette.concurrency import run_in_threadpool

from nine_knots.api.context import CurrentSession, SavingSession, Session
from nine_knots.api.day_logs import last_time
from nine_knots.api.ids import Id, PathId
from nine_knots.api.jobs.plan_tasks import PackTask, PlanTask
from nine_knots.api.jobs.responses import EVENTS, CurrentAnswering
from nine_knots.api.jobs.tasks import adapter_of
from nine_knots.api.plan_forms import PlanForm, PlanTexts, plan_texts
from nine_knots.api.problems import MISSING, RESPONSES, WORKED_OUT
from nine_knots.api.routes.light import light_words
from nine_knots.api.strokes import StrokeForm
from nine_knots.api.throw_request import throwing_outfit
from nine_knots.api.typed_fields import Form
from nine_knots.core.assess.tying_time import own_times
from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.base.prose import count_words
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.domain.places import Place
from nine_knots.core.domain.plan import DayPlan
from nine_knots.core.plan.planned import MOST_OWN, TiedLeader
from nine_knots.services.sunlight import light_of
from nine_knots.store.anglers import read_settings
from nine_knots.store.events import days_fished, list_events
from nine_knots.store.leaders import list_leaders
from nine_knots.store.lower_rigs import list_lower_rigs
from nine_knots.store.places import list_places, read_place
from nine_knots.store.plans import (
    delete_plan,
    list_plans,
    packed_at,
    put_plan,
    read_pack,
    read_plan,
    read_worked,
    write_pack,
    write_worked,
)
from nine_knots.store.practice import list_attempts
from nine_knots.store.tackle import read_kit
from nine_knots.store.wallet import list_wallet
from nine_knots.words.plan.packed import DayPack
from nine_knots.words.plan.reading import LightReading, PlanReading

router = APIRouter(prefix="/api/v1/plans", tags=["plans"], responses=RESPONSES)


@dataclass(frozen=True, slots=True)
class PlanCard:
    """A plan in a line."""

    plan_id: str
    title: str
    on: str
    words: str
    fished: bool
    packed_at: str


@dataclass(frozen=True, slots=True)
class PlanAnswer:
    """A plan: its id, its figures as they can be typed again, what it came to where it was worked
    out since, when it was packed, and of each stretch what came there at such a level last time."""

    plan_id: str
    texts: PlanTexts
    worked: PlanReading | None
    packed_at: str
    before: tuple[str, ...]


class WorkRequest(Form):
    """A plan, how it is to be thrown, and in which units it is told."""

    plan_id: Id
    stroke: StrokeForm = Field(default_factory=StrokeForm)
    units: System = "imperial"


@router.get("", summary="List planned days")
def get_plans(session: CurrentSession) -> tuple[PlanCard, ...]:
    """The latest first."""
    plans, waters, fished, packed = session.read(
        lambda cursor, me: (
            list_plans(cursor, me),
            dict(list_places(cursor, me)),
            days_fished(cursor, me),
            packed_at(cursor, me),
        )
    )
    return tuple(
        PlanCard(
            plan_id,
            plan.title,
            plan.on,
            f"{_water(waters.get(plan.place_id))}, "
            f"{count_words(len(plan.stops), 'stretch', 'stretches')}",
            plan_id in fished,
            packed[plan_id].isoformat() if plan_id in packed else "",
        )
        for plan_id, plan in plans
        if session.day in (None, plan_id)
    )


@router.post("", responses=MISSING, summary="Plan a day")
def post_plan(session: SavingSession, form: PlanForm) -> PlanAnswer:
    """Kept as it is typed; nothing is worked out yet."""
    return session.save(
        lambda cursor, me: _put(cursor, me, form),
        lambda cursor, me, plan_id: _answer(cursor, me, plan_id, form.units),
    )


@router.get("/{plan_id}", responses=MISSING, summary="Show a planned day")
def get_plan(session: CurrentSession, plan_id: PathId, units: System = "imperial") -> PlanAnswer:
    """As it can be typed again."""
    return session.read(lambda cursor, me: _answer(cursor, me, plan_id, units))


@router.put("/{plan_id}", responses=MISSING, summary="Change a plan")
def put_plan_anew(session: CurrentSession, plan_id: PathId, form: PlanForm) -> PlanAnswer:
    """What was packed of it stays till it is packed again."""

    def write(cursor: DictCursor, me: str) -> PlanAnswer:
        _put(cursor, me, form, plan_id)
        return _answer(cursor, me, plan_id, form.units)

    return session.write(write)


@router.delete("/{plan_id}", status_code=204, responses=MISSING, summary="Delete a plan")
def remove_plan(session: CurrentSession, plan_id: PathId) -> Response:
    """One that was fished stays: its log is read by it."""

    def forget(cursor: DictCursor, me: str) -> None:
        if list_events(cursor, me, plan_id):
            raise OutOfRange(
                "This day has been fished, and its log needs the plan.",
                where="plan_id",
                hint="Keep the plan. You can rename it.",
            )
        delete_plan(cursor, me, plan_id)

    session.write(forget)
    return Response(status_code=204)


@router.post(
    "/work",
    responses={**MISSING, **WORKED_OUT, 200: {"content": EVENTS}},
    summary="Work out a plan",
    response_model=PlanReading,
)
async def post_work(
    session: CurrentSession, asked: WorkRequest, answering: CurrentAnswering
) -> Response:
    """Leaders tried on every stretch at the level said, and the fewest that fish them all."""
    task = PlanTask(**await _asked(session, asked))

    def keep(worked: bytes) -> None:
        session.write(lambda cursor, me: write_worked(cursor, me, asked.plan_id, worked.decode()))

    return await answering.respond(f"plan-{asked.plan_id}", task, keep=keep)


@router.post(
    "/pack",
    responses={**MISSING, **WORKED_OUT, 200: {"content": EVENTS}},
    summary="Pack a planned day for the water",
    response_model=DayPack,
)
async def post_pack(
    session: CurrentSession, asked: WorkRequest, answering: CurrentAnswering
) -> Response:
    """All that may be asked at the water, worked out beforehand; kept till it is packed again."""
    whose = session.read(read_settings).name
    task = PackTask(plan_id=asked.plan_id, whose=whose, **await _asked(session, asked))

    def keep(answer: bytes) -> None:
        pack = adapter_of(PackTask).validate_json(answer)
        body = answer.decode()
        session.write(
            lambda cursor, me: write_pack(cursor, me, asked.plan_id, body, pack.brief, pack.designs)
        )

    return await answering.respond(f"pack-{asked.plan_id}", task, keep=keep)


@router.get(
    "/{plan_id}/pack",
    responses=MISSING,
    summary="Show a packed day",
    response_model=DayPack,
)
def get_pack(session: CurrentSession, plan_id: PathId) -> Response:
    """As it was packed last."""
    session.check_day(plan_id)
    body = session.read(lambda cursor, me: read_pack(cursor, me, plan_id))
    return Response(body, media_type="application/json")


async def _asked(session: Session, asked: WorkRequest) -> dict[str, Any]:
    """All that a plan is worked out from."""
    thrown = await throwing_outfit(session, asked.stroke, asked.units)
    fields = await run_in_threadpool(
        session.read, lambda cursor, me: _fields(cursor, me, asked.plan_id)
    )
    return {**fields, **thrown}


def plan_and_place(cursor: DictCursor, me: str, plan_id: str) -> tuple[DayPlan, Place]:
    """A plan and its water; NotFound where either is gone."""
    plan = read_plan(cursor, me, plan_id)
    return plan, read_place(cursor, me, plan.place_id)


def _fields(cursor: DictCursor, me: str, plan_id: str) -> dict[str, Any]:
    plan, place = plan_and_place(cursor, me, plan_id)
    wishes = {fly.wish for fly in plan.flies}
    saved = [leader.design for leader in list_leaders(cursor, me, 10 * MOST_OWN)]
    return {
        "plan": plan,
        "place": place,
        "own": tuple(
            design for design in saved if design is not None and design.situation.wish in wishes
        ),
        "wallet": tuple(
            TiedLeader(rig_id, rig.design, rig.lies)
            for rig_id, rig in list_wallet(cursor, me)
            if rig.state != "worn"
        ),
        "lowers": tuple(rig for _, rig in list_lower_rigs(cursor, me)),
        "own_s": own_times(list_attempts(cursor, me)),
        "light": _light(plan, place),
    }


def _light(plan: DayPlan, place: Place) -> LightReading:
    if place.latitude is None or place.longitude is None:
        return LightReading()
    on = datetime.fromisoformat(plan.on)
    zone = on.astimezone().tzinfo
    assert zone is not None
    light = light_of(place.latitude, place.longitude, on.date(), zone)
    dusk = light.dusk
    return LightReading(60.0 * dusk.hour + dusk.minute if dusk else None, light_words(light))


def _put(cursor: DictCursor, me: str, form: PlanForm, plan_id: str = "") -> str:
    read_place(cursor, me, form.place_id)
    return put_plan(cursor, me, form.read(read_kit(cursor, me)), plan_id)


def _answer(cursor: DictCursor, me: str, plan_id: str, units: System) -> PlanAnswer:
    texts = plan_texts(read_plan(cursor, me, plan_id), Units(units))
    worked = read_worked(cursor, me, plan_id)
    packed = packed_at(cursor, me).get(plan_id)
    return PlanAnswer(
        plan_id,
        texts,
        _worked(worked, units) if worked else None,
        packed.isoformat() if packed else "",
        tuple(last_time(cursor, me, plan_id, Units(units))),
    )


def _worked(kept: str, units: System) -> PlanReading | None:
    """What a plan came to; None where an earlier program wrote it otherwise, or it is told in other
    units."""
    try:
        found: PlanReading = adapter_of(PlanTask).validate_json(kept)
    except ValidationError:
        return None
    return found if found.units == units else None


def _water(place: Place | None) -> str:
    return place.title if place else "a deleted water"
