"""A day's events each with what stood around it: stretch, rig, fly, level, how long it went on."""

from collections.abc import Iterable
from dataclasses import dataclass

from nine_knots.core.assess.rig_state import effective_events
from nine_knots.core.domain.day_brief import DayBrief
from nine_knots.core.domain.event import Event
from nine_knots.core.domain.event_kinds import EVENT_KINDS

HOUR_MS = 3_600_000.0
LONGEST_PAUSE_MS = HOUR_MS  # without an event: nobody fished [G]
LONGEST_WALK_MS = 0.25 * HOUR_MS  # before another stretch is come to: a rest, or lunch [G]


@dataclass(frozen=True, slots=True)
class EventInContext:
    """An event that stands, and what stood when it happened; ``hours`` since the event before."""

    event: Event
    stretch: str
    rig: str
    fly: str
    level_m: float | None
    hours: float


def events_in_context(
    brief: DayBrief, level_m: float | None, events: Iterable[Event]
) -> tuple[EventInContext, ...]:
    """Every event that stands, in order, begun as the day was planned."""
    first = brief.stops[0] if brief.stops else None
    stretch = first.stretch_id if first else ""
    rig, fly = (first.rig, first.fly) if first else ("", "")
    found: list[EventInContext] = []
    before: int | None = None
    for earlier in effective_events(events):
        pause = earlier.at - before if before is not None else 0.0
        longest = LONGEST_WALK_MS if earlier.kind == "came-to" else LONGEST_PAUSE_MS
        hours = pause / HOUR_MS if pause <= longest else 0.0
        told = earlier.detail
        then = (stretch, rig, fly)
        stretch, fly = told.stretch or stretch, told.fly or fly
        level_m = told.level if told.level is not None else level_m
        if EVENT_KINDS[earlier.kind].effect.takes_up:
            rig = told.rig or rig
        # the time till now was spent where and as it was before
        found.append(EventInContext(earlier, then[0], then[1], then[2], level_m, hours))
        if earlier.kind in ("came-to", "changed-rig"):
            found[-1] = EventInContext(earlier, stretch, rig, fly, level_m, hours)
        before = earlier.at
    return tuple(found)


def renewals(brief: DayBrief, events: Iterable[Event]) -> tuple[tuple[str, str], ...]:
    """Events by which a tippet was renewed, and the rig that it was on."""
    return tuple(
        (happening.event.event_id, happening.rig)
        for happening in events_in_context(brief, None, events)
        if happening.event.kind == "new-tippet" and happening.rig
    )
