"""/api/v1/events: what was tapped at the water, sent when the bench is in reach, kept once."""

from dataclasses import dataclass
from typing import Annotated

from fastapi import APIRouter, Query
from pydantic import Field
from pymysql.cursors import DictCursor

from nine_knots.api.context import CurrentSession
from nine_knots.api.ids import HEX
from nine_knots.api.problems import RESPONSES
from nine_knots.api.sync_day import reconcile_day
from nine_knots.api.typed_fields import Form
from nine_knots.core.base.values import TupleOf
from nine_knots.core.domain.event import Event
from nine_knots.store.events import add_events, list_events

router = APIRouter(prefix="/api/v1/events", tags=["events"], responses=RESPONSES)
MOST_AT_ONCE = 2000


class EventsForm(Form):
    """Events as they were tapped, in any order, as often as need be."""

    events: TupleOf[Event] = Field(max_length=MOST_AT_ONCE)


@dataclass(frozen=True, slots=True)
class EventsSaved:
    """How many were new, and all that is known of the days they are of: another phone's too."""

    new: int
    events: tuple[Event, ...]


@router.post("", summary="Add events")
def post_events(session: CurrentSession, form: EventsForm) -> EventsSaved:
    """What is here already stays as it is; the same in any order gives the same."""
    days = dict.fromkeys(event.plan_id for event in form.events)
    session.check_day(*days)

    def keep(cursor: DictCursor, me: str) -> EventsSaved:
        new = add_events(cursor, me, form.events)
        found = {day: list_events(cursor, me, day) for day in days}
        for day, events in found.items():
            reconcile_day(cursor, me, day, events)
        return EventsSaved(new, tuple(event for events in found.values() for event in events))

    return session.write(keep)


@router.get("", summary="List events")
def get_events(
    session: CurrentSession,
    plan_id: Annotated[str, Query(pattern=HEX, description="of one day")],
) -> tuple[Event, ...]:
    """In the order of their times, with what was taken back and what took it back."""
    session.check_day(plan_id)
    return session.read(lambda cursor, me: list_events(cursor, me, plan_id))
