"""A planned day as it is read: each stretch with its leader, what to tie, to pack and to mind."""

from collections.abc import Mapping
from dataclasses import dataclass

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.prose import capitalised, count_words, join_words
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.knots.table import KnotKey
from nine_knots.core.domain.places import Place
from nine_knots.core.domain.plan import DayPlan
from nine_knots.core.plan.planned import PlannedStop, WorkedPlan
from nine_knots.core.plan.set_cover import Cover
from nine_knots.core.plan.stops import stretch_of, tide_of
from nine_knots.core.remedies.adjustment import OtherStroke, StopAndDrop
from nine_knots.words.adjustments import done_words
from nine_knots.words.outline import OutlinePart, outline
from nine_knots.words.places import (
    beyond_words,
    rules_words,
    stretch_cautions,
    tide_words,
    water_words,
)
from nine_knots.words.plan.change import change_words
from nine_knots.words.plan.packing import PackLine, pack_lines
from nine_knots.words.plan.tonight import (
    TieTonight,
    cut_tonight,
    leader_parts,
    to_tie,
    tying_words,
)
from nine_knots.words.rig import HungItem, items_on
from nine_knots.words.schools_today import outcome_words
from nine_knots.words.scores.reading import ScoreReading, score_readings
from nine_knots.words.shortages import wanted_words
from nine_knots.words.tying.batch import Batch
from nine_knots.words.water_rules import quick_fixes

THUNDER = "Thunder: rods conduct. Lay the rod down, leave the water and wait."
SEARCHED_FOR = "No school from what you own suits this stretch; this leader was searched for."
BLOW_M_S = 8.0  # a fresh breeze: hooks go where they will [M]


@dataclass(frozen=True, slots=True)
class StopReading:
    """A stretch of the plan; without a design where nothing serves it, and ``words`` says why."""

    stretch_id: str
    stretch: str
    hours: str
    water: str
    beyond: str
    fly: str
    wish: str
    outfit: str
    title: str
    facts: str
    change: str
    words: str
    outline: tuple[OutlinePart, ...]
    hung: tuple[HungItem, ...]
    measures: tuple[ScoreReading, ...]
    cautions: tuple[str, ...]
    rules: str
    design: Design | None


@dataclass(frozen=True, slots=True)
class PlanReading:
    """The whole plan; ``words`` say what the choice of leaders came to, ``time`` how long tying
    takes, ``light`` when it is light."""

    title: str
    on: str
    place: str
    stops: tuple[StopReading, ...]
    words: str
    tie: tuple[TieTonight, ...]
    time: str
    cut: Batch
    pack: tuple[PackLine, ...]
    cautions: tuple[str, ...]
    rules: str
    light: str
    units: System


@dataclass(frozen=True, slots=True)
class LightReading:
    """Last light in minutes of the day, where it gets dark; the words for the day's light."""

    dusk_min: float | None = None
    words: str = ""


def plan_reading(
    plan: DayPlan,
    place: Place,
    found: WorkedPlan,
    angler: Angler,
    own_s: Mapping[KnotKey, float],
    light: LightReading,
) -> PlanReading:
    """The reading, in the angler's units; ``own_s`` are the angler's times for knots in seconds."""
    units = angler.units
    stops = []
    before: Design | None = None
    for stop in found.stops:
        stops.append(_stop(plan, place, stop, before, angler))
        before = stop.fit.design if stop.fit is not None else before
    tie = to_tie(plan, place, found, own_s, units)
    pairs = [(stop, stretch_of(place, plan.stops[stop.number])) for stop in found.stops]
    dark = light.dusk_min is not None and plan.stops[-1].ends_min > light.dusk_min
    return PlanReading(
        title=plan.title,
        on=plan.on,
        place=place.title,
        stops=tuple(stops),
        words=_words(found),
        tie=tuple(row for row, _, _ in tie),
        time=tying_words(tie),
        cut=cut_tonight(tie, angler),
        pack=pack_lines(plan, pairs, angler, dark),
        cautions=_cautions(plan),
        rules=rules_words(place.rules, units),
        light=light.words,
        units=angler.system,
    )


def hours_text(begins_min: int, ends_min: int) -> str:
    """``09:00 to 11:30``."""
    return f"{clock(begins_min)} to {clock(ends_min)}"


def clock(minute: int) -> str:
    """A minute of the day as ``09:05``."""
    return f"{minute // 60:02d}:{minute % 60:02d}"


def _stop(
    plan: DayPlan, place: Place, stop: PlannedStop, before: Design | None, angler: Angler
) -> StopReading:
    units, asked = angler.units, plan.stops[stop.number]
    stretch, day = stretch_of(place, asked), stop.choice.day
    tide = tide_of(plan, asked)
    design, candidate, fit = None, stop.candidate, stop.fit
    hint: tuple[str, ...] = ()
    change = words = facts = title = ""
    if candidate is not None and fit is not None:
        design, title = fit.design, candidate.title
        facts, hint = leader_parts(design, units), quick_fixes(design, units)
        change = change_words(before, design, title, units)
        words = ""
        if isinstance(fit.change, OtherStroke | StopAndDrop):
            words = f"Throw it {done_words(fit.change, units).removeprefix('thrown ')}."
        if candidate.origin == "sought":
            words = f"{SEARCHED_FOR} {words}".strip()
        if candidate.buys:
            buys = join_words([wanted_words(wanted, units) for wanted in candidate.buys])
            words = f"{words} To buy: {buys}.".strip()
    elif stop.nearest is not None:
        words = f"Nothing found suits this stretch. Nearest: {_nearest(stop, units)}"
    else:
        words = (
            "No school can be built for it from what you own. Add spools, or plan another fly here."
        )
    return StopReading(
        stretch_id=stretch.stretch_id,
        stretch=stretch.title,
        hours=hours_text(asked.begins_min, asked.ends_min),
        water=f"{water_words(day.water, units)} {tide_words(tide) if tide else ''}".strip(),
        beyond=beyond_words(stretch, plan.level_m, units),
        fly=day.fly.title,
        wish=day.wish,
        outfit=f"{day.rod.title}, {day.line.title}",
        title=title,
        facts=facts,
        change=change,
        words=words,
        outline=outline(design.leader) if design else (),
        hung=items_on(design.leader) if design else (),
        measures=score_readings(fit.measures, units) if fit else (),
        cautions=(*stretch_cautions(stretch, day.water), *hint),
        rules=rules_words(day.water.rules, units) if stretch.own_rules is not None else "",
        design=design,
    )


def _nearest(stop: PlannedStop, units: Units) -> str:
    assert stop.nearest is not None
    near = stop.nearest
    title = near.design.title if near.design is not None else near.key
    return f"{title}. {outcome_words(near, units)}"


def _words(found: WorkedPlan) -> str:
    """What was tried and what it came to; what was made least of."""
    chosen, unserved = found.chosen, sum(stop.fit is None for stop in found.stops)
    tried = (
        f"{capitalised(count_words(found.tried, 'leader'))} tried on "
        f"{_stretches(len(found.stops))}. "
    )
    if chosen is None:
        return f"{tried}None of them suits any: see what is wrong with the nearest."
    said = [count_words(len(chosen.uppers), "leader")]
    extra = len(chosen.lowers) - len(chosen.uppers)
    if extra > 0:
        said.append(count_words(extra, "further lower rig"))
    served = len(chosen.ways)
    words = f"{tried}{capitalised(join_words(said))} for {_stretches(served)}: {_changes(chosen)}"
    if unserved:
        words += (
            f" {capitalised(_stretches(unserved))} not covered: see what is wrong with the nearest."
        )
    return f"{words} Fewest leaders to tie tonight, then fewest changes on the water."


def _stretches(many: int) -> str:
    return count_words(many, "stretch", "stretches")


def _changes(chosen: Cover) -> str:
    kinds = [kind for kind in chosen.changes if kind]
    if not kinds:
        return "nothing to change on the way." if len(chosen.ways) > 1 else "fished as tied."
    said = [
        f"{count_words(kinds.count(kind), f'change of {kind}', f'changes of {kind}')}"
        for kind in dict.fromkeys(kinds)
    ]
    return f"{join_words(said)} on the way."


def _cautions(plan: DayPlan) -> tuple[str, ...]:
    said = [THUNDER, "Eyes and hooks: glasses on, and look behind before each cast."]
    if plan.wind.speed_m_s >= BLOW_M_S:
        said.insert(0, "A wind like this blows hooks at you: cast over the downwind shoulder.")
    return tuple(said)
