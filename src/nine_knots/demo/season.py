"""A season of Runa's on the Skarn, made up: days with their levels, and what happened on each.

Drawn by a seeded chance, so that it is the same every time: fish come best at a middling level and
at last light, the gorge costs flies, and one knot of hers breaks more often than it should.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from datetime import UTC, datetime
from functools import cache
from random import Random
from typing import Any

from nine_knots.core.domain.day_brief import BriefRig, BriefStop, DayBrief
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.event import Event, EventDetail
from nine_knots.core.domain.plan import DayPlan, FlyFor, Outfit, Stop
from nine_knots.core.domain.situation import TargetFish, Wind
from nine_knots.core.domain.strand import Stock
from nine_knots.core.log.expected import expected_breaks
from nine_knots.core.plan.parts import part_names
from nine_knots.demo.designs import demo_designs
from nine_knots.demo.rigs import demo_rigs
from nine_knots.demo.tackle import FLIES, LINES, RODS

SEED = 9
# day, level on the bridge's staff
DAYS = (
    ("2026-05-16", 0.81), ("2026-05-23", 0.66), ("2026-05-30", 0.60), ("2026-06-06", 0.55),
    ("2026-06-13", 0.52), ("2026-06-20", 0.50), ("2026-06-27", 0.47), ("2026-07-04", 0.58),
    ("2026-07-05", 0.63), ("2026-07-18", 0.45), ("2026-07-25", 0.42), ("2026-08-01", 0.40),
    ("2026-08-08", 0.39), ("2026-08-09", 0.38), ("2026-08-15", 0.49),
)  # fmt: skip
# stretch, its title, leader, fly, hour it begins, depth at half a metre on the staff
STRETCHES = (
    ("pockets", "Pockets above the bridge", "Skarn evening sedge", "skarn-sedge", 9.0, 0.5),
    ("alder-head", "The alder pool, head", "Tight line for the pockets", "slate-point", 11.2, 0.7),
    ("mill-glide", "The mill glide", "Long fine for the mill glide", "grey-speck", 14.0, 0.9),
    ("gorge", "The gorge pool", "Night pool", "night-runner", 19.0, 1.4),
)
OTHER_FLIES = ("pale-upright", "copper-bug", "half-hatched", "partridge-spider")
HOURS, BETWEEN_MIN = 2.0, 13.0
BEST_LEVEL_M, LEVEL_OFF_M = 0.52, 0.12
NOTES = (
    "Sedges over the alders from noon on.",
    "Eskil had three on the spider.",
    "Otter in the pool: nothing for an hour.",
    "Water warmer than the air.",
)


@dataclass(frozen=True, slots=True)
class SeasonDay:
    """A day of the season: its plan without a water, what its log is read by, rigs and events."""

    plan_id: str
    plan: DayPlan
    brief: DayBrief
    designs: dict[str, Design]
    events: tuple[Event, ...]


@cache
def demo_season(stock: tuple[Stock, ...]) -> tuple[SeasonDay, ...]:
    """All days, the first first."""
    chance = Random(SEED)
    by_title = {design.title: design for design in (*demo_designs(stock), *demo_rigs(stock))}
    designs = {title: by_title[title] for _, _, title, *_ in STRETCHES}
    return tuple(
        _day(number, on, level, designs, chance) for number, (on, level) in enumerate(DAYS)
    )


def _day(
    number: int, on: str, level: float, designs: dict[str, Design], chance: Random
) -> SeasonDay:
    keys = {
        title: "-".join(name for name in part_names(other_design.leader) if name)
        for title, other_design in designs.items()
    }
    plan_id = f"{0x5EA50000 + number:032x}"
    rows = [row for row in STRETCHES if row[0] != "gorge" or number % 2 == 0]
    brief = DayBrief(
        stops=tuple(
            BriefStop(
                stretch_id=stretch,
                title=title,
                rig=keys[leader],
                fly=FLIES[fly].title,
                begins_min=int(60 * begins),
                ends_min=int(60 * (begins + HOURS)),
                depth_m=max(0.2, depth + level - 0.5),
            )
            for stretch, title, leader, fly, begins, depth in rows
        ),
        rigs=tuple(
            BriefRig(key=keys[title], title=title, breaks=expected_breaks(other_design.leader))
            for title, other_design in designs.items()
        ),
    )
    plan = DayPlan(
        title=f"The Skarn, day {number + 1}",
        on=on,
        place_id="0",
        level_m=level,
        wind=Wind(speed_m_s=round(chance.uniform(0.0, 5.0), 1)),
        quarry=TargetFish(kind="grayling", mass_kg=0.6),
        outfits=(Outfit(rod=RODS["river"], line=LINES["river"]),),
        flies=tuple(
            FlyFor(fly=FLIES[fly], wish=designs[leader].situation.wish)
            for _, _, leader, fly, *_ in rows
        ),
        stops=tuple(
            Stop(
                stretch_id=stop.stretch_id,
                begins_min=stop.begins_min,
                ends_min=stop.ends_min,
                fly=place,
            )
            for place, stop in enumerate(brief.stops)
        ),
    )
    events = tuple(_events(plan_id, plan, brief, level, chance))
    return SeasonDay(
        plan_id,
        plan,
        brief,
        {keys[title]: other_design for title, other_design in designs.items()},
        events,
    )


def _events(
    plan_id: str, plan: DayPlan, brief: DayBrief, level: float, chance: Random
) -> Iterator[Event]:
    midnight = datetime.fromisoformat(plan.on).replace(tzinfo=UTC).timestamp()
    made = 0

    def event(minute: float, kind: str, **detail: Any) -> Event:
        nonlocal made
        made += 1
        return Event(
            event_id=f"{int(plan_id, 16) * 1000 + made:032x}",
            plan_id=plan_id,
            at=int(1000 * (midnight + 60 * minute)),
            kind=kind,
            detail=EventDetail(**detail),
        )

    yield event(brief.stops[0].begins_min, "level", level=level)
    for stop in brief.stops:
        at = float(stop.begins_min)
        yield event(at, "came-to", stretch=stop.stretch_id)
        yield event(at + 0.5, "changed-rig", rig=stop.rig, fly=stop.fly)
        fly = stop.fly
        eager = 1.0 / (1.0 + ((level - BEST_LEVEL_M) / LEVEL_OFF_M) ** 2)
        while True:
            at += chance.expovariate(1.0 / BETWEEN_MIN)
            if at >= stop.ends_min:
                break
            for kind, detail in _happens(stop, fly, eager, chance):
                fly = detail.get("fly") or fly
                yield event(at, kind, **detail)
                at += 0.4
    if chance.random() < 0.4:
        yield event(at + 2.0, "note", words=chance.choice(NOTES))


def _happens(
    stop: BriefStop, fly: str, eager: float, chance: Random
) -> Iterator[tuple[str, dict[str, Any]]]:
    """One thing that happens, and what follows from it."""
    roll = chance.random()
    late = stop.begins_min >= 18 * 60
    taking = 0.3 + 0.35 * eager + (0.12 if late else 0.0)
    if roll < taking:
        if chance.random() < 0.5 + 0.1 * eager:
            kind = "sea-trout" if stop.stretch_id == "gorge" else "grayling"
            usual = 1.2 if kind == "sea-trout" else 0.42
            mass = round(usual * chance.lognormvariate(0.0, 0.4), 2)
            yield "fish", {"fish": kind, "mass": mass, "fly": fly}
        elif chance.random() < 0.16:
            yield from _breaks(chance)
        else:
            yield "missed", {"fly": fly}
    elif roll < taking + 0.1:
        yield "refused", {"fly": fly}
    elif roll < taking + 0.2:
        yield "changed-fly", {"fly": FLIES[chance.choice(OTHER_FLIES)].title}
    elif roll < taking + (0.36 if stop.stretch_id == "gorge" else 0.27):
        yield "snagged", {}
        if chance.random() < 0.2:
            yield from _breaks(chance)
    elif roll < taking + 0.31:
        yield "wind-knot", {}
        yield "new-tippet", {}
    else:
        yield "landed", {"landed": chance.choice(("soft", "straight", "straight", "piled up"))}


def _breaks(chance: Random) -> Iterator[tuple[str, dict[str, Any]]]:
    # at the fly oftener than its knot deserves: she ties it in a hurry
    places, weights = ("at the fly", "at the tippet's knot", "in the tippet"), (9, 12, 1)
    place = chance.choices(places, weights)[0]
    yield "broke", {"place": place}
    if place != "at the fly":
        yield "new-tippet", {}
