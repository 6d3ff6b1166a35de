"""Days that were fished, read with what stood around each event; and the last time somewhere."""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass, replace
from datetime import datetime

from pymysql.cursors import DictCursor

from nine_knots.core.base.errors import NotFound
from nine_knots.core.base.units import Units
from nine_knots.core.domain.day_brief import DayBrief
from nine_knots.core.domain.event import Event
from nine_knots.core.domain.places import Place
from nine_knots.core.domain.plan import DayPlan
from nine_knots.core.log.day import events_in_context
from nine_knots.core.log.tables import LoggedDay
from nine_knots.services.sunlight import light_of
from nine_knots.store.events import list_events
from nine_knots.store.places import list_places
from nine_knots.store.plans import list_plans, read_briefs
from nine_knots.words.log.day_log import day_words
from nine_knots.words.places import level_text

MS = 1000.0
LIKE_M = 0.06  # of level: as good as the same


@dataclass(frozen=True, slots=True)
class FishedDay:
    """A day that was fished: its plan, its water by its name, and what happened."""

    plan: DayPlan
    place: str
    day: LoggedDay


def fished_days(cursor: DictCursor, me: str, plan_id: str | None = None) -> tuple[FishedDay, ...]:
    """Days with their events, the latest first: all that were fished, or the one that is named."""
    places = dict(list_places(cursor, me))
    briefs = read_briefs(cursor, me)
    by_day: dict[str, list[Event]] = {}
    for event in list_events(cursor, me, plan_id):
        by_day.setdefault(event.plan_id, []).append(event)
    plans = dict(list_plans(cursor, me))
    wanted = [plan_id] if plan_id is not None else [key for key in plans if key in by_day]
    return tuple(
        _day(plan_of(plans, key), key, briefs.get(key, DayBrief()), places, by_day.get(key, ()))
        for key in wanted
    )


def plan_of(plans: dict[str, DayPlan], plan_id: str) -> DayPlan:
    """One of the plans, or NotFound."""
    if plan_id not in plans:
        raise NotFound("That day doesn't exist.", where="plan_id", hint="Choose one from the list.")
    return plans[plan_id]


def _day(
    plan: DayPlan,
    plan_id: str,
    brief: DayBrief,
    places: dict[str, Place],
    events: Iterable[Event],
) -> FishedDay:
    place = places.get(plan.place_id)
    day = LoggedDay(
        plan_id=plan_id,
        brief=brief,
        around=events_in_context(brief, plan.level_m, events),
        light_ms=_light(place, plan.on) if place else None,
    )
    return FishedDay(plan, place.title if place else "a deleted water", day)


def _light(place: Place, on: str) -> tuple[int, int, int, int] | None:
    if place.latitude is None or place.longitude is None:
        return None
    day = datetime.fromisoformat(on)
    zone = day.astimezone().tzinfo
    assert zone is not None
    light = light_of(place.latitude, place.longitude, day.date(), zone)
    if light.sunrise is None or light.sunset is None:
        return None
    times = (light.dawn or light.sunrise, light.sunrise, light.sunset, light.dusk or light.sunset)
    dawn, sunrise, sunset, dusk = (int(MS * time.timestamp()) for time in times)
    return dawn, sunrise, sunset, dusk


def last_time(cursor: DictCursor, me: str, plan_id: str, units: Units) -> Iterator[str]:
    """Of each stretch of a plan what came there the last time the water stood so; empty where it
    was not fished at such a level."""
    found = fished_days(cursor, me)
    plan = plan_of(dict(list_plans(cursor, me)), plan_id)
    for stop in plan.stops:
        yield next(
            (
                _last(found_item, stop.stretch_id, units)
                for found_item in found
                if found_item.day.plan_id != plan_id
                and found_item.plan.place_id == plan.place_id
                and _as_high(found_item.plan.level_m, plan.level_m)
                and any(near.stretch == stop.stretch_id for near in found_item.day.around)
            ),
            "",
        )


def _as_high(value: float | None, other: float | None) -> bool:
    if value is None or other is None:
        return value is other
    return abs(value - other) <= LIKE_M


def _last(fished_day: FishedDay, stretch_id: str, units: Units) -> str:
    here = tuple(near for near in fished_day.day.around if near.stretch == stretch_id)
    words = day_words(replace(fished_day.day, around=here))
    level = (
        f" at {level_text(fished_day.plan.level_m, units)}"
        if fished_day.plan.level_m is not None
        else ""
    )
    flies = {near.event.detail.fly or near.fly for near in here if near.event.kind == "fish"}
    by = f" On {', '.join(sorted(flies))}." if flies else ""
    return f"Last time here{level}, {fished_day.plan.on}: {words}{by}"
