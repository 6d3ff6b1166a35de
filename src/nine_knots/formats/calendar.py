"""A planned day as iCalendar (RFC 5545): an entry a stretch, in floating local time."""

from datetime import UTC, date, datetime, time, timedelta

from nine_knots.core.domain.places import Place
from nine_knots.core.domain.plan import DayPlan

PRODUCT = "-//Nine Knots//days//EN"


def write_calendar(plan_id: str, plan: DayPlan, place: Place) -> str:
    """The file; its entries keep their names, so that a newer one replaces them."""
    import icalendar  # loads slowly, and few calendars are asked for

    calendar = icalendar.Calendar()
    calendar.add("prodid", PRODUCT)
    calendar.add("version", "2.0")
    begins = datetime.combine(date.fromisoformat(plan.on), time())
    for number, stop in enumerate(plan.stops):
        stretch = place.stretch(stop.stretch_id)
        entry = icalendar.Event()
        entry.add("uid", f"{plan_id}-{number}@nine-knots")
        entry.add("dtstamp", datetime.now(UTC))
        entry.add("dtstart", begins + timedelta(minutes=stop.begins_min))
        entry.add("dtend", begins + timedelta(minutes=stop.ends_min))
        name = stretch.title if stretch else stop.stretch_id
        entry.add("summary", f"{name}: {plan.title}")
        entry.add("location", place.title)
        if stop.fly is not None:
            entry.add("description", f"{plan.flies[stop.fly].fly.title}. {plan.notes}".strip())
        if place.latitude is not None and place.longitude is not None:
            entry.add("geo", (place.latitude, place.longitude))
        calendar.add_component(entry)
    return str(calendar.to_ical().decode())
