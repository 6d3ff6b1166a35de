"""A day as it went: every event in a line, with where, on what, at which level."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, replace
from types import MappingProxyType

from nine_knots.core.base.prose import capitalised, count_words
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.event import Event
from nine_knots.core.domain.event_kinds import EVENT_KINDS
from nine_knots.core.domain.tackle import fish_of
from nine_knots.core.log.day import EventInContext
from nine_knots.core.log.tables import LoggedDay, by_light, season_cost
from nine_knots.words.outline import OutlinePart, outline
from nine_knots.words.places import level_text
from nine_knots.words.rig import HungItem, items_on


@dataclass(frozen=True, slots=True)
class LogLine:
    """An event: its moment (ms since 1970), its kind, in words, and what stood around it; the name
    of the photo that was told, and whether it is at the bench."""

    event_id: str
    at: int
    kind: str
    words: str
    stretch: str
    rig: str
    level: str
    light: str
    photo: str
    photo_here: bool


@dataclass(frozen=True, slots=True)
class LoggedRig:
    """A rig that was on the line, drawn, with what it had."""

    title: str
    words: str
    outline: tuple[OutlinePart, ...]
    hung: tuple[HungItem, ...]


@dataclass(frozen=True, slots=True)
class DayLog:
    """A day in lines, its rigs, and all in a sentence."""

    plan_id: str
    title: str
    on: str
    place: str
    words: str
    rigs: tuple[LoggedRig, ...]
    lines: tuple[LogLine, ...]


def day_log(
    title: str,
    on: str,
    place: str,
    day: LoggedDay,
    units: Units,
    designs: Mapping[str, Design] = MappingProxyType({}),
    photos: frozenset[str] = frozenset(),
) -> DayLog:
    """The day's log; ``designs`` are its rigs by their names in it, as far as they are known, and
    ``photos`` those that are at the bench."""
    return DayLog(
        plan_id=day.plan_id,
        title=title,
        on=on,
        place=place,
        words=day_words(day),
        rigs=tuple(_rigs(day, designs)),
        lines=tuple(_line(day, happening, units, photos) for happening in day.around),
    )


def _rigs(day: LoggedDay, designs: Mapping[str, Design]) -> Iterator[LoggedRig]:
    """Those that were on the line, in the order in which they came on."""
    for key in dict.fromkeys(happening.rig for happening in day.around):
        design, rig = designs.get(key), day.brief.rig(key)
        if design is not None and rig is not None:
            mine = replace(
                day, around=tuple(happening for happening in day.around if happening.rig == key)
            )
            leader = design.leader
            yield LoggedRig(rig.title, day_words(mine), outline(leader), items_on(leader))


TELLING_H = 0.5  # shorter than this, hours say nothing


def hours_text(hours: float) -> str:
    """``40 min``, ``2.5 h`` or ``31 h``."""
    if hours < 1.0:
        return f"{60.0 * hours:.0f} min"
    return f"{hours:.1f} h" if hours < 10.0 else f"{hours:.0f} h"


def day_words(day: LoggedDay) -> str:
    """``Four fish and six takes missed in five hours; two tippets, one rig lost.``"""
    sum_ = season_cost([day])
    if not day.around:
        return "Nothing was recorded."
    missed = sum(happening.event.kind == "missed" for happening in day.around)
    said = f"{count_words(sum_.fish, 'fish', 'fish')} and {count_words(missed, 'take')} missed"
    if sum_.hours >= TELLING_H:
        said += f" in {hours_text(sum_.hours)}"
    costs = [
        count_words(many, text)
        for many, text in (
            (sum_.tippets, "new tippet"),
            (sum_.breaks, "break"),
            (sum_.rigs, "lost rig"),
        )
        if many
    ]
    return f"{capitalised(said)}{'; ' + ', '.join(costs) if costs else ''}."


def _line(
    day: LoggedDay, event_in_context: EventInContext, units: Units, photos: frozenset[str]
) -> LogLine:
    stop, rig = day.brief.stop(event_in_context.stretch), day.brief.rig(event_in_context.rig)
    return LogLine(
        event_id=event_in_context.event.event_id,
        at=event_in_context.event.at,
        kind=event_in_context.event.kind,
        words=event_words(event_in_context.event, day, units),
        stretch=stop.title if stop else event_in_context.stretch,
        rig=rig.title if rig else "",
        level=level_text(event_in_context.level_m, units)
        if event_in_context.level_m is not None
        else "",
        light=by_light(day, event_in_context),
        photo=event_in_context.event.detail.photo or "",
        photo_here=event_in_context.event.detail.photo in photos,
    )


def event_words(event: Event, day: LoggedDay, units: Units) -> str:
    """An event in a line, with what was told of it."""
    told, kind = event.detail, EVENT_KINDS[event.kind]
    stop = day.brief.stop(told.stretch) if told.stretch else None
    rig = day.brief.rig(told.rig) if told.rig else None
    said = [
        fish_of(told.fish).title if told.fish else None,
        units.fish_mass(told.mass).text if told.mass else None,
        told.fly,
        told.place,
        stop.title if stop else told.stretch,
        rig.title if rig else None,
        told.landed,
        level_text(told.level, units) if told.level is not None else None,
        f"indicator at {units.length(told.setting).text}" if told.setting else None,
        told.words,
        "with a photo" if told.photo else None,
    ]
    more = ", ".join(text for text in said if text)
    return f"{kind.title}: {more}" if more else kind.title
