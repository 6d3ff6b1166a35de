"""Catches and takes by stretch, rig, fly, depth and light; breaks against what was expected."""

from collections.abc import Callable, Iterable
from dataclasses import dataclass, field
from functools import lru_cache
from math import log

from nine_knots.core.domain.day_brief import DayBrief
from nine_knots.core.domain.event_kinds import BROKE
from nine_knots.core.domain.situation import DEPTH_WORDS
from nine_knots.core.log.counts import Rate, Share, between, rate_of, share_of
from nine_knots.core.log.day import EventInContext

LEVEL_STEP_M = 0.1


@dataclass(frozen=True, slots=True)
class LoggedDay:
    """A day that was fished: its plan's id, brief and events with what stood around them; first
    light, sunrise, sunset and last light in ms since 1970, where it is known."""

    plan_id: str
    brief: DayBrief
    around: tuple[EventInContext, ...]
    light_ms: tuple[int, int, int, int] | None = None


@dataclass(frozen=True, slots=True)
class Row:
    """What came of one stretch, rig, fly or the like."""

    name: str
    fish: int
    takes: int
    landed: Share
    rate: Rate | None


@dataclass(frozen=True, slots=True)
class BreakRow:
    """Breaks at a place: how many were expected of all that broke, between how many in four of five
    cases, and how many came."""

    place: str
    expected: float
    low: int
    high: int
    seen: int


@dataclass
class _Sum:
    fish: int = 0
    missed: int = 0
    hours: float = 0.0


NameOf = Callable[[LoggedDay, EventInContext], str]


def table(days: Iterable[LoggedDay], name_of: NameOf) -> tuple[Row, ...]:
    """A row a name, the one with most fish first; what has no name is left out."""
    sums: dict[str, _Sum] = {}
    for day in days:
        for happening in day.around:
            name = name_of(day, happening)
            if not name:
                continue
            row = sums.setdefault(name, _Sum())
            row.hours += happening.hours
            row.fish += happening.event.kind == "fish"
            row.missed += happening.event.kind in ("missed", "broke")
    rows = [
        Row(
            name,
            row.fish,
            row.fish + row.missed,
            share_of(row.fish, row.fish + row.missed),
            rate_of(row.fish, row.hours),
        )
        for name, row in sums.items()
        if row.hours > 0.0 or row.fish or row.missed
    ]
    return tuple(sorted(rows, key=lambda row: (-row.fish, -row.takes, row.name)))


def by_stretch(day: LoggedDay, event_in_context: EventInContext) -> str:
    """The stretch by its name."""
    stop = day.brief.stop(event_in_context.stretch)
    return stop.title if stop else ""


def by_rig(day: LoggedDay, event_in_context: EventInContext) -> str:
    """The rig by its name."""
    rig = day.brief.rig(event_in_context.rig)
    return rig.title if rig else ""


def by_fly(_day: LoggedDay, event_in_context: EventInContext) -> str:
    """The fly as it was told, else that on the line."""
    return event_in_context.event.detail.fly or event_in_context.fly


def by_depth(day: LoggedDay, event_in_context: EventInContext) -> str:
    """How deep the stretch was expected to be that day, in the nearest word."""
    stop = day.brief.stop(event_in_context.stretch)
    if stop is None:
        return ""
    return _depth_word(stop.depth_m)


@lru_cache(maxsize=1024)
def _depth_word(depth_m: float) -> str:
    return min(DEPTH_WORDS, key=lambda word: abs(log(DEPTH_WORDS[word] / depth_m)))


def by_light(day: LoggedDay, event_in_context: EventInContext) -> str:
    """First light, day, last light or dark."""
    if day.light_ms is None:
        return ""
    dawn, sunrise, sunset, dusk = day.light_ms
    at = event_in_context.event.at
    if dawn <= at < sunrise:
        return "first light"
    if sunrise <= at < sunset:
        return "by day"
    return "last light" if sunset <= at < dusk else "in the dark"


def breaks(days: Iterable[LoggedDay]) -> tuple[BreakRow, ...]:
    """Where it broke, against where the rig on the line was expected to, for all breaks whose place
    was told."""
    chances: dict[str, list[float]] = {place: [] for place, _ in BROKE.by_place}
    seen = dict.fromkeys(chances, 0)
    for day in days:
        for happening in day.around:
            place = happening.event.detail.place
            rig = day.brief.rig(happening.rig)
            if (
                happening.event.kind != "broke"
                or place not in seen
                or rig is None
                or not rig.breaks
            ):
                continue
            seen[place] += 1
            expected = {row.place: row.chance for row in rig.breaks}
            for name, row in chances.items():
                row.append(expected.get(name, 0.0))
    rows = [
        BreakRow(place, *between(row), seen=seen[place])
        for place, row in chances.items()
        if sum(row) > 0.05 or seen[place]
    ]
    return tuple(rows)


@dataclass
class SeasonCost:
    """What a season cost: tippets renewed, rigs lost, fish broken off, and hours."""

    tippets: int = 0
    rigs: int = 0
    breaks: int = 0
    fish: int = 0
    hours: float = field(default=0.0)


def season_cost(days: Iterable[LoggedDay]) -> SeasonCost:
    """All of it."""
    sum_ = SeasonCost()
    for day in days:
        for happening in day.around:
            kind = happening.event.kind
            sum_.hours += happening.hours
            sum_.tippets += kind == "new-tippet"
            sum_.rigs += kind == "lost-rig"
            sum_.breaks += kind == "broke"
            sum_.fish += kind == "fish"
    return sum_
