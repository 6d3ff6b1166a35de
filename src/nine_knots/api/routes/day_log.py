"""Past days: list, season tables, search, and export as CSV, JSON or ZIP."""

import csv
import io
from dataclasses import dataclass, replace
from datetime import datetime
from typing import Annotated, Any, Literal

from fastapi import APIRouter, Query, Response
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession
from nine_knots.api.day_logs import FishedDay, fished_days
from nine_knots.api.ids import PathId
from nine_knots.api.problems import MISSING, RESPONSES
from nine_knots.api.routes.files import file_answer
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.base.values import Frozen, TupleOf
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.event import Event, EventId, Landed
from nine_knots.core.domain.tackle import Fly
from nine_knots.store.events import list_events
from nine_knots.store.landings import list_landings
from nine_knots.store.photos import list_photos
from nine_knots.store.plans import read_rigs
from nine_knots.store.tackle import read_kit
from nine_knots.words.log.day_log import DayLog, day_log, day_words, event_words
from nine_knots.words.log.season import Season, season_of

router = APIRouter(prefix="/api/v1/log", tags=["log"], responses=RESPONSES)
MOST_WORDS = 8
Words = Annotated[str, Query(max_length=100, description="search words; each must occur")]
MS = 1000.0


class LogFile(Frozen):
    """What happened, as a phone saves it and the bench writes it out."""

    format: Literal["nine-knots-log"] = "nine-knots-log"
    version: Literal[1] = 1
    plan_id: EventId | None = None
    events: TupleOf[Event] = ()


@dataclass(frozen=True, slots=True)
class LogCard:
    """A day in a line."""

    plan_id: str
    title: str
    on: str
    place: str
    words: str
    events: int


@dataclass(frozen=True, slots=True)
class LogAnswer:
    """Days that were fished, the latest first, and what they say together."""

    days: tuple[LogCard, ...]
    season: Season


@dataclass(frozen=True, slots=True)
class DayLanding:
    """How a rig landed at the water."""

    event_id: str
    design: Design
    landed: Landed


@router.get("", summary="List fished days and season tables")
def get_log(session: CurrentSession, q: Words = "", units: System = "imperial") -> LogAnswer:
    """Counts with how sure they are; of the events that are found, where words are given."""
    read = Units(units)
    found = [
        item
        for item in _sought(session.read(fished_days), q, read)
        if item.day.around or not q.strip()
    ]
    return LogAnswer(
        days=tuple(
            LogCard(
                found_item.day.plan_id,
                found_item.plan.title,
                found_item.plan.on,
                found_item.place,
                day_words(found_item.day),
                len(found_item.day.around),
            )
            for found_item in found
        ),
        season=season_of(tuple(found_item.day for found_item in found), read),
    )


@router.get("/{plan_id}", responses=MISSING, summary="Show a day as a diary")
def get_day_log(session: CurrentSession, plan_id: PathId, units: System = "imperial") -> DayLog:
    """Every event that stands, in a line."""
    found, rigs, photos = session.read(
        lambda cursor, me: (
            fished_days(cursor, me, plan_id)[0],
            read_rigs(cursor, me, plan_id),
            frozenset(list_photos(cursor, me, plan_id)),
        )
    )
    plan = found.plan
    return day_log(plan.title, plan.on, found.place, found.day, Units(units), rigs, photos)


@router.get("/{plan_id}/landings", responses=MISSING, summary="List a day's landings to learn from")
def get_landings(session: CurrentSession, plan_id: PathId) -> tuple[DayLanding, ...]:
    """Those that were not learnt from yet, each with the rig that was on the line and the fly on
    it, as far as both are known."""

    def read(cursor: DictCursor, me: str) -> tuple[DayLanding, ...]:
        day = fished_days(cursor, me, plan_id)[0].day
        rigs = read_rigs(cursor, me, plan_id)
        flies = {fly.title: fly for fly in read_kit(cursor, me).flies}
        learnt = {landing.landing_id for landing in list_landings(cursor, me)}
        return tuple(
            DayLanding(
                happening.event.event_id,
                _thrown(rigs[happening.rig], flies.get(happening.fly)),
                landed,
            )
            for happening in day.around
            if (landed := happening.event.detail.landed) is not None
            and happening.rig in rigs
            and happening.event.event_id not in learnt
        )

    return session.read(read)


def _thrown(design: Design, fly: Fly | None) -> Design:
    """A rig with the fly that was on it."""
    if fly is None or fly == design.situation.fly:
        return design
    return design.model_copy(update={"situation": design.situation.model_copy(update={"fly": fly})})


@router.get("/files/events.csv", response_class=Response, summary="Export all events as CSV")
def get_log_csv(session: CurrentSession, q: Words = "", units: System = "metric") -> Response:
    """One row an event that stands: when, what, and what stood around it."""
    out = io.StringIO()
    rows = csv.writer(out)
    rows.writerow(COLUMNS)
    read = Units(units)
    for item in _sought(session.read(fished_days), q, read):
        log = day_log(item.plan.title, item.plan.on, item.place, item.day, read)
        for line, near in zip(log.lines, item.day.around, strict=True):
            when = datetime.fromtimestamp(line.at / MS).astimezone().isoformat(timespec="seconds")
            rows.writerow(
                [
                    when,
                    line.kind,
                    line.words,
                    item.place,
                    line.stretch,
                    line.rig,
                    near.fly,
                    "" if near.level_m is None else f"{near.level_m:.3f}",
                    line.light,
                    line.photo,
                    line.event_id,
                ]
            )
    return file_answer(out.getvalue(), "log", "csv")


COLUMNS = (
    "at",
    "kind",
    "words",
    "water",
    "stretch",
    "rig",
    "fly",
    "level_m",
    "light",
    "photo",
    "event_id",
)


@router.get("/files/events.json", response_class=Response, summary="Export all events as JSON")
def get_log_json(session: CurrentSession) -> Response:
    """Format nine-knots-log: events as they were tapped, what was taken back among them."""
    return file_answer(log_text(session.read(list_events)), "log", "json")


def log_text(events: tuple[Event, ...]) -> str:
    """Events as the text of a file."""
    body = ",\n".join(event.model_dump_json(exclude_none=True) for event in events)
    return f'{{"format": "nine-knots-log", "version": 1, "events": [\n{body}\n]}}\n'


@router.get("/files/log.schema.json", summary="JSON Schema of the log file")
def get_log_schema() -> dict[str, Any]:
    """The published schema (2020-12)."""
    return LogFile.model_json_schema()


def _sought(found: tuple[FishedDay, ...], q: str, units: Units) -> tuple[FishedDay, ...]:
    """The days with those of their events in which every word is."""
    words = q.lower().split()[:MOST_WORDS]
    if not words:
        return found

    def has(fished_day: FishedDay, number: int) -> bool:
        near = fished_day.day.around[number]
        stop, rig = fished_day.day.brief.stop(near.stretch), fished_day.day.brief.rig(near.rig)
        text = " ".join(
            (
                event_words(near.event, fished_day.day, units),
                stop.title if stop else "",
                rig.title if rig else "",
                near.fly,
                fished_day.place,
                fished_day.plan.title,
                fished_day.plan.on,
            )
        ).lower()
        return all(word in text for word in words)

    return tuple(
        replace(
            found_item,
            day=replace(
                found_item.day,
                around=tuple(
                    near
                    for number, near in enumerate(found_item.day.around)
                    if has(found_item, number)
                ),
            ),
        )
        for found_item in found
    )
