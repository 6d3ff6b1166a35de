"""Packing a day for the water: all that may be asked for there is worked out beforehand."""

from collections.abc import Iterator, Mapping

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.gauge_rating import at_level
from nine_knots.core.base.cancellation import report_progress
from nine_knots.core.base.units import Units
from nine_knots.core.casting.mono import mass_ratio
from nine_knots.core.domain.day_brief import BriefRig, BriefStop, DayBrief
from nine_knots.core.domain.event_kinds import EVENT_KINDS
from nine_knots.core.domain.knots.table import KnotKey
from nine_knots.core.domain.places import Place, RiverStretch
from nine_knots.core.domain.plan import DayPlan
from nine_knots.core.domain.tackle import FISH
from nine_knots.core.log.expected import expected_breaks
from nine_knots.core.plan.parts import part_names
from nine_knots.core.plan.planned import Cast, PlannedStop, WorkedPlan
from nine_knots.core.plan.stops import stretch_of
from nine_knots.core.plan.what_if import AS_PLANNED, WhatIfQuestion, WhatIfRig
from nine_knots.drawing import knot_drawing
from nine_knots.words.knot_card import knot_card
from nine_knots.words.outline import outline
from nine_knots.words.places import deep_words, fast_words, level_text
from nine_knots.words.plan.at_the_water import WaterAdvice, water_advice_of
from nine_knots.words.plan.packed import (
    DayPack,
    Labelled,
    LevelStep,
    MassStep,
    PackedKnot,
    PackedRig,
    PackedStop,
    SettingStep,
    SliderStep,
    WaterCell,
)
from nine_knots.words.plan.reading import LightReading, PlanReading, plan_reading
from nine_knots.words.plan.reminders import REMINDERS
from nine_knots.words.plan.rig_states import rig_states
from nine_knots.words.plan.what_if_rig import fly_words, rig_change, rig_figure
from nine_knots.words.rig import items_on
from nine_knots.words.tying.steps import hang_steps

LEVEL_STEPS = range(-4, 5)
LEVEL_STEP_M = 0.05
SETTINGS = (0.6, 0.7, 0.8, 0.9, 1.0, 1.1, 1.2, 1.35, 1.5)
MASSES = (0.3, 0.5, 0.75, 1.0, 1.5, 2.2, 3.3, 5.0)


def day_pack(
    plan_id: str,
    whose: str,
    plan: DayPlan,
    place: Place,
    found: WorkedPlan,
    cast: Cast,
    own_s: Mapping[KnotKey, float],
    light: LightReading,
) -> DayPack:
    """The pack; tells how far it is as it goes."""
    _, angler, _ = cast
    reading = plan_reading(plan, place, found, angler, own_s, light)
    stops = []
    for number, stop in enumerate(found.stops):
        report_progress(number, len(found.stops))
        stops.append(_stop(plan, place, stop, reading, number, cast))
    flies = [fly_for.fly.title for fly_for in plan.flies]
    rigs = _rigs(found, angler)
    flies += [title for rig in rigs for title in rig.flies]
    return DayPack(
        format="nine-knots-day",
        version=1,
        plan_id=plan_id,
        angler=whose,
        title=plan.title,
        on=plan.on,
        place=place.title,
        light=light.words,
        rules=reading.rules,
        cautions=reading.cautions,
        stops=tuple(stops),
        rigs=rigs,
        knots=tuple(_knots(found, angler.units)),
        flies=tuple(dict.fromkeys(flies)),
        happenings=tuple(EVENT_KINDS.values()),
        fish=_fish(plan),
        masses=_masses(plan, angler.units),
        reminders=REMINDERS,
        units=angler.system,
        brief=_brief(plan, found, reading, rigs, angler),
        designs={rig_key(stop): stop.fit.design for stop in found.stops if stop.fit is not None},
    )


def _rigs(found: WorkedPlan, angler: Angler) -> tuple[PackedRig, ...]:
    rigs: dict[str, PackedRig] = {}
    for stop in found.stops:
        if stop.fit is None or stop.candidate is None:
            continue
        key, design = rig_key(stop), stop.fit.design
        if key in rigs:
            continue
        leader = design.leader
        rigs[key] = PackedRig(
            key=key,
            title=stop.candidate.title,
            facts=_facts(stop, angler.units),
            ready=stop.candidate.tied_id is not None,
            lies=stop.candidate.lies,
            outline=outline(leader),
            hung=items_on(leader),
            flies=tuple(fly.title for _, fly in leader.flies_above),
            states=rig_states(design, angler),
        )
    return tuple(rigs.values())


def _brief(
    plan: DayPlan,
    found: WorkedPlan,
    reading: PlanReading,
    rigs: tuple[PackedRig, ...],
    angler: Angler,
) -> DayBrief:
    """What its log will be read by."""
    leaders = {
        rig_key(stop): stop.fit.design.leader for stop in found.stops if stop.fit is not None
    }
    return DayBrief(
        stops=tuple(
            BriefStop(
                stretch_id=read.stretch_id,
                title=read.stretch,
                rig=rig_key(stop),
                fly=read.fly,
                begins_min=asked.begins_min,
                ends_min=asked.ends_min,
                depth_m=stop.choice.day.water.depth_m,
            )
            for stop, read, asked in zip(found.stops, reading.stops, plan.stops, strict=True)
        ),
        rigs=tuple(
            BriefRig(
                key=rig.key,
                title=rig.title[:80],
                breaks=expected_breaks(leaders[rig.key], angler.tyer.knots),
            )
            for rig in rigs
        ),
    )


def _knots(found: WorkedPlan, units: Units) -> Iterator[PackedKnot]:
    """Every knot of the rigs, once, as it is read up and drawn."""
    joints = (
        joint
        for stop in found.stops
        if stop.fit is not None
        for joint in stop.fit.design.leader.joints
    )
    keys = (
        key
        for joint in joints
        for key in (joint.knot, joint.upper_knot, joint.dropper.knot if joint.dropper else None)
    )
    for key in dict.fromkeys(key for key in keys if key is not None):
        card, drawing = knot_card(key, units), knot_drawing(key)
        yield PackedKnot(card.title, drawing.captions, card.lines, drawing.box, drawing.work)


def rig_key(stop: PlannedStop) -> str:
    """The name of a stop's rig in the pack; the wallet's where it is taken from there."""
    candidate = stop.candidate
    if candidate is None:
        return ""
    return candidate.tied_id or "-".join(name for name in part_names(candidate.leader) if name)


def _facts(stop: PlannedStop, units: Units) -> str:
    assert stop.fit is not None
    leader = stop.fit.design.leader
    return f"{units.length(leader.length_m).text}, to {units.tippet(leader.tippet_diameter_m).text}"


def _stop(
    plan: DayPlan,
    place: Place,
    stop: PlannedStop,
    reading: PlanReading,
    number: int,
    cast: Cast,
) -> PackedStop:
    _, angler, gust = cast
    units, read = angler.units, reading.stops[number]
    stretch = stretch_of(place, plan.stops[number])
    rows: tuple[tuple[WhatIfRig, ...], ...] = ()
    sees: tuple[WaterAdvice, ...] = ()
    flies: tuple[str, ...] = ()
    setting: tuple[str, ...] = ()
    if stop.fit is not None:
        design = stop.fit.design
        before = WhatIfQuestion(design, stop.fit.stroke, angler, gust)
        rows = tuple(before.grid())
        sees = tuple(water_advice_of(before, rows, plan.flies, _wind(before, units)))
        flies = tuple(fly_words(tried, units) for tried in before.other_flies(plan.flies))
        setting = tuple(f"{item.title}. {item.detail}" for item in hang_steps(design.leader, units))
    planned = (_middle(len(rows)), _middle(len(rows[0]) if rows else 0))
    return PackedStop(
        stretch_id=read.stretch_id,
        title=read.stretch,
        hours=read.hours,
        water=read.water,
        beyond=read.beyond,
        rig=rig_key(stop),
        fly=read.fly,
        wish=read.wish,
        outfit=read.outfit,
        change=read.change,
        words=read.words,
        setting=setting,
        settings=_settings(stop, units),
        deeper=tuple(SliderStep(deep_words(row[0].depth_m, units)) for row in rows),
        faster=tuple(
            SliderStep(fast_words(what_if_rig.pace_m_s, units))
            for what_if_rig in (rows[0] if rows else ())
        ),
        cells=tuple(tuple(_cell(what_if_rig, stop, units) for what_if_rig in row) for row in rows),
        planned=planned,
        levels=_levels(plan, stretch, rows, units),
        sees=sees,
        flies=flies,
        cautions=read.cautions,
        rules=read.rules,
    )


def _cell(rig: WhatIfRig, stop: PlannedStop, units: Units) -> WaterCell:
    drop = stop.fit is not None and stop.fit.stroke.drop
    change = rig_change(rig, stop.choice.day, drop, units)
    return WaterCell(rig_figure(rig, units), rig.status, change)


def _settings(stop: PlannedStop, units: Units) -> tuple[SettingStep, ...]:
    """Places for the indicator about where the plan has it."""
    indicator = stop.fit.design.leader.indicator if stop.fit is not None else None
    if indicator is None:
        return ()
    steps = (units.snap_length(share * indicator.above_end_m) for share in SETTINGS)
    return tuple(SettingStep(units.length(m).text, m) for m in dict.fromkeys(steps))


def _fish(plan: DayPlan) -> tuple[Labelled, ...]:
    """Kinds of fish, the one that is meant first."""
    kinds = sorted(FISH.values(), key=lambda fish: fish.key != plan.quarry.kind)
    return tuple(Labelled(fish.key, fish.title) for fish in kinds if fish.key != "other")


def _masses(plan: DayPlan, units: Units) -> tuple[MassStep, ...]:
    """Weights about the fish that is meant, each a half more than the one before."""
    usual_kg = plan.quarry.fish.usual_kg
    rows = {units.fish_mass(kg).text: kg for kg in (share * usual_kg for share in MASSES)}
    return tuple(MassStep(words, kg) for words, kg in rows.items())


def _middle(steps: int) -> int:
    return AS_PLANNED if steps > AS_PLANNED else 0


def _wind(before: WhatIfQuestion, units: Units) -> str:
    if mass_ratio(before.design.leader, before.design.situation.fly) is not None:
        return "The fly pulls the mono out; wind isn't part of that figure. Cast low and short."
    most, all_of_it = before.most_wind_m_s()
    if most <= 0.0:
        return "It doesn't open into any head wind. Turn, or cast across it."
    blows = units.wind(most).text
    if all_of_it:
        return f"It opens into {blows} of head wind, the strongest tried. Keep the cast low."
    return (
        f"It opens into a head wind of up to {blows}. In more, cast across it or use less tippet."
    )


def _levels(
    plan: DayPlan, stretch: RiverStretch, rows: tuple[tuple[WhatIfRig, ...], ...], units: Units
) -> tuple[LevelStep, ...]:
    """Levels about that of the plan, with the nearest step of each slider."""
    if plan.level_m is None or not rows:
        return ()
    found = []
    for step in LEVEL_STEPS:
        level_m = plan.level_m + step * LEVEL_STEP_M
        at = at_level(stretch, level_m)
        if at is None:
            return ()
        depths = [row[0].depth_m for row in rows]
        paces = [what_if_rig.pace_m_s for what_if_rig in rows[0]]
        found.append(
            LevelStep(
                level=level_text(level_m, units),
                level_m=round(level_m, 4),
                words=f"{deep_words(at.depth_m, units)}; {fast_words(at.pace_m_s, units)}",
                deeper=_nearest(depths, at.depth_m),
                faster=_nearest(paces, at.pace_m_s),
                planned=step == 0,
            )
        )
    return tuple(found)


def _nearest(steps: list[float], value: float) -> int:
    return min(range(len(steps)), key=lambda number: abs(steps[number] - value))
