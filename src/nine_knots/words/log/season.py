"""What many days say, in tables: counts with how sure they are, never a share of three."""

from dataclasses import dataclass

from nine_knots.core.base.prose import capitalised, count_words
from nine_knots.core.base.units import Units
from nine_knots.core.log.day import EventInContext
from nine_knots.core.log.tables import (
    LEVEL_STEP_M,
    BreakRow,
    LoggedDay,
    NameOf,
    Row,
    breaks,
    by_depth,
    by_fly,
    by_light,
    by_rig,
    by_stretch,
    season_cost,
    table,
)
from nine_knots.words.log.day_log import TELLING_H, hours_text
from nine_knots.words.places import level_text

FEW = "too few to say"
MOST_ROWS = 12
_KNOT = "check that knot, and pull-test it under Knots."
MORE = {
    "at the fly": f"{_KNOT[:-1]}; retie it after each fish.",
    "in the tippet": "it was abraded or had a wind knot. Feel it after each snag, and "
    "renew it sooner.",
    "at the tippet's knot": _KNOT,
    "at the ring or swivel": _KNOT,
    "at a dropper": _KNOT,
    "higher up": "the leader above is worn. Check it before the next day.",
}
"""What to do where more breaks at a place than was reckoned with."""


@dataclass(frozen=True, slots=True)
class SeasonRow:
    """A row in words; the share as ``low``, ``middle`` and ``high`` from 0 to 1 to draw it, none
    where there is too little of it."""

    name: str
    counts: str
    share: str
    hourly: str
    low: float | None
    middle: float | None
    high: float | None


@dataclass(frozen=True, slots=True)
class SeasonTable:
    """Rows by one thing."""

    title: str
    rows: tuple[SeasonRow, ...]


@dataclass(frozen=True, slots=True)
class BreakLine:
    """Breaks at a place: seen beside expected, and whether that is within what chance allows."""

    place: str
    words: str
    seen: int
    expected: float
    low: int
    high: int
    odd: bool


@dataclass(frozen=True, slots=True)
class Season:
    """All of it, and in a sentence."""

    words: str
    tables: tuple[SeasonTable, ...]
    breaks: tuple[BreakLine, ...]
    break_words: str


def season_of(days: tuple[LoggedDay, ...], units: Units) -> Season:
    """What the days say."""

    def by_level(_day: LoggedDay, event_in_context: EventInContext) -> str:
        if event_in_context.level_m is None:
            return ""
        low = LEVEL_STEP_M * int(event_in_context.level_m / LEVEL_STEP_M + 1e-9)
        return f"{level_text(low, units)} to {level_text(low + LEVEL_STEP_M, units)}"

    dimensions: tuple[tuple[str, NameOf], ...] = (
        ("By stretch", by_stretch),
        ("By rig", by_rig),
        ("By fly", by_fly),
        ("By level", by_level),
        ("By depth", by_depth),
        ("By light", by_light),
    )
    tables = [
        SeasonTable(title, tuple(_row(row) for row in table(days, name_of)[:MOST_ROWS]))
        for title, name_of in dimensions
    ]
    lines = tuple(_break(row) for row in breaks(days))
    return Season(
        words=_words(days),
        tables=tuple(season_table for season_table in tables if season_table.rows),
        breaks=lines,
        break_words=_break_words(lines),
    )


def _row(row: Row) -> SeasonRow:
    share = row.landed
    rate = row.rate
    return SeasonRow(
        name=row.name,
        counts=f"{row.fish} of {row.takes} {'take' if row.takes == 1 else 'takes'} landed",
        share=f"{share.low:.0%} to {share.high:.0%}" if share.enough else FEW,
        hourly=(
            f"{rate.low:.1f} to {rate.high:.1f} fish an hour, in {rate.hours:.1f} h" if rate else ""
        ),
        low=share.low if share.enough else None,
        middle=share.middle if share.enough else None,
        high=share.high if share.enough else None,
    )


def _break(row: BreakRow) -> BreakLine:
    odd = not row.low <= row.seen <= row.high
    expected = f"{row.expected:.1f} expected, {row.low} to {row.high} in four of five cases"
    words = f"{row.seen} seen; {expected}"
    return BreakLine(row.place, words, row.seen, row.expected, row.low, row.high, odd)


def _break_words(lines: tuple[BreakLine, ...]) -> str:
    if not lines:
        return "No break has a place yet. Record where it broke to check Hold."
    total = sum(line.seen for line in lines)
    more = [line for line in lines if line.odd and line.seen > line.high]
    if not more:
        return f"{capitalised(count_words(total, 'break'))}, as Hold expected, within chance."
    worst = max(more, key=lambda line: line.seen - line.expected)
    return f"More broke {worst.place} than Hold expected: {MORE[worst.place]}"


def _words(days: tuple[LoggedDay, ...]) -> str:
    fished = [day for day in days if day.around]
    if not fished:
        return "No fished day matches."
    sum_ = season_cost(fished)
    long = f", {hours_text(sum_.hours)}" if sum_.hours >= TELLING_H else ""
    said = (
        f"{capitalised(count_words(len(fished), 'day'))}{long}: "
        f"{count_words(sum_.fish, 'fish', 'fish')}, {count_words(sum_.breaks, 'break')}, "
        f"{count_words(sum_.rigs, 'rig')} lost, {count_words(sum_.tippets, 'tippet')} renewed"
    )
    if sum_.tippets and sum_.hours >= TELLING_H:
        said += f", one every {hours_text(sum_.hours / sum_.tippets)}"
    return f"{said}."
