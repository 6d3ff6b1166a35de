"""Remedies for drift and depth, found by fishing what is tried.

One thing is changed at a time: the indicator's setting, shot, bead, tippet length or diameter, the
dropper, the leader's length, the count before the strip, how fast a tight line is led.
"""

from collections.abc import Iterator
from itertools import islice
from typing import Any

from nine_knots.core.cast.own_cast import UNKNOWN, OwnCast
from nine_knots.core.cast.stroke import Stroke
from nine_knots.core.cast.turnover import STEADY, Gust, mass_ratio
from nine_knots.core.cords import Measure
from nine_knots.core.design import Design
from nine_knots.core.errors import CannotCompute
from nine_knots.core.leader.attachments import SHOT_G
from nine_knots.core.leader.rig_edits import HangOn, RemoveDropper, SetThing, TakeOff
from nine_knots.core.leader.workbench import Workbench
from nine_knots.core.remedies.search import (
    MOST_STEPS,
    Change,
    Judged,
    Remedy,
    Served,
    Serves,
    Try,
    What,
    edited,
    effects,
    first,
    judged_by,
    least,
    longer,
    other_measures,
    other_spools,
    smallest,
    those_in_time,
)
from nine_knots.core.remedies.turnover import Caster
from nine_knots.core.strand import Stock
from nine_knots.core.tackle import Bead
from nine_knots.core.tying import USUAL_TIER, Tier
from nine_knots.core.units import Units
from nine_knots.core.water.measures import (
    depth_measure,
    drift_measure,
    floating_measure,
    free_drift_measure,
)
from nine_knots.core.water.outcome import outcome_of
from nine_knots.core.water.run import run_of, usual_count_s
from nine_knots.core.water.setups import USUAL_ASK, WaterAsk, setup_of
from nine_knots.core.water.surface import drag_of

BEADS_MM = (2.0, 2.5, 2.8, 3.0, 3.3, 3.8, 4.6)
MOST_TIMES = 2.6
TOGETHER, TOGETHER_STEPS = 1.6, 3  # times a setting, tried with every second shot
KINDS = 7  # of remedies sought, at most
MOST_COUNT, LEADS = 4.0, (0.7, 0.6, 0.5, 0.9, 1.0, 1.1)


def water_remedies_for(
    design: Design,
    stroke: Stroke,
    stock: tuple[Stock, ...],
    titles: dict[str, str],
    units: Units,
    ask: WaterAsk = USUAL_ASK,
    own: OwnCast = UNKNOWN,
    gust: Gust = STEADY,
    tier: Tier = USUAL_TIER,
) -> tuple[Remedy, ...]:
    """For a rig whose drift or depth is outside its band, one remedy of each kind that works.

    Each is fished again, and cast again to say what it does to the turnover.
    """
    fisher = _Fisher(units, Caster(units, own, gust))
    now = Try("", design, stroke, ask)
    try:
        measures = tuple(fisher.measures(now))
    except CannotCompute:
        return ()
    wrong = [m for m in reversed(measures) if m.standing != "right"]
    if not wrong:
        return ()
    sink_more = wrong[0].standing == "too little"
    serves = judged_by(fisher.measures, sink_more)
    before = fisher.all_measures(now, titles, tier)
    remedies = []
    found = _found(now, stock, units, serves, sink_more)
    for what, (one, gives) in those_in_time(found, KINDS):
        after = fisher.all_measures(one, titles, tier)
        others = tuple(e for e in effects(before, after) if e.title not in ("Drift", "Depth"))
        asked = one.ask if one.ask != ask else None
        remedies.append(Remedy(what, one.words, gives, one.design, None, others, asked))
    return tuple(remedies)


class _Fisher:
    """Fishes what is tried; a dry fly is cast first, for the slack in which it lands."""

    def __init__(self, units: Units, caster: Caster) -> None:
        self._units, self._caster = units, caster

    def measures(self, one: Try) -> Iterator[Measure]:
        design, units = one.design, self._units
        if setup_of(design) == "surface":
            water = design.situation.water
            yield floating_measure(design, 0.0, units)
            drag = drag_of(water, self._caster.slack_m(one), one.ask.differs_m_s)
            yield free_drift_measure(drag, True, units)
            return
        yield from in_the_water(one, units)

    def all_measures(self, one: Try, titles: dict[str, str], tier: Tier) -> tuple[Measure, ...]:
        found = other_measures(one.design, one.ask, titles, self._units, tier)
        if mass_ratio(one.design.leader, one.design.situation.fly) is not None:
            return found
        try:
            return (self._caster.measure(one), *found)
        except CannotCompute:
            return found


def _found(
    now: Try, stock: tuple[Stock, ...], units: Units, serves: Serves, more: bool
) -> Iterator[tuple[What, Served | None]]:
    """One of each kind: to sink more and sooner, or less."""
    bench = Workbench(stock=stock, fly=now.design.situation.fly, units=units)
    setup, leader = setup_of(now.design), now.design.leader
    last = len(leader.pieces) - 1
    if setup == "surface":
        # slack is what keeps a dry fly free: a longer or finer tippet leaves more of it
        by_length = longer(now, bench, last, shorter=not more, name="tippet")
        yield "tippet length", least(serves, by_length, MOST_TIMES)
        yield "tippet spool", smallest(serves, other_spools(now, bench, last, not more, "tippet"))
        return
    if setup == "indicator":
        by_setting = least(serves, _setting(now, bench, more), MOST_TIMES)
        yield "setting", by_setting
        if more and by_setting is None:
            yield "shot and setting", _shot_and_setting(now, bench, serves)
    if setup in ("strip", "swing"):
        by_leader = longer(now, bench, 0, shorter=more, name="butt")
        yield "leader length", least(serves, by_leader, MOST_TIMES)
    else:
        yield "shot", smallest(serves, _shots(now, bench, more))
    yield "bead", smallest(serves, _beads(now, more))
    shorter = more if setup in ("strip", "swing") else not more
    by_length = longer(now, bench, last, shorter=shorter, name="tippet")
    yield "tippet length", least(serves, by_length, MOST_TIMES)
    yield "tippet spool", smallest(serves, other_spools(now, bench, last, not more, "tippet"))
    if not more:
        yield "dropper", first(serves, _without_dropper(now, bench))
    if setup == "strip":
        yield "count", least(serves, _count(now, units, more), MOST_COUNT)
    if setup == "tight line":
        yield "lead", first(serves, _leads(now, more))


def _setting(now: Try, bench: Workbench, deeper: bool) -> Change:
    """The indicator so many times further from the flies, or nearer."""
    things = now.design.leader.attachments
    number = next(i for i, thing in enumerate(things) if thing.kind == "indicator")
    old_m = things[number].above_end_m

    def change(times: float) -> Try | None:
        new_m = bench.units.snap_length(old_m * times if deeper else old_m / times)
        changed = edited(now.design, SetThing(thing=number, above=new_m), bench)
        if changed is None:
            return None
        old, new = bench.units.length(old_m).text, bench.units.length(new_m).text
        return Try(f"indicator set at {old} → {new}", changed, now.stroke, now.ask)

    return change


def _shots(now: Try, bench: Workbench, heavier: bool) -> Iterator[Try]:
    """The lowest shot heavier or lighter; one hung on, or taken off."""
    shots = [
        (thing.above_end_m, number)
        for number, thing in enumerate(now.design.leader.attachments)
        if thing.kind == "shot"
    ]
    if not shots:
        if not heavier:
            return
        hung = edited(now.design, HangOn(kind="shot"), bench)
        if hung is None:
            return
        number, old_kg, was = len(hung.leader.attachments) - 1, 0.0, "no shot"
    else:
        hung, number = now.design, min(shots)[1]
        old_kg = hung.leader.attachments[number].mass_kg
        was = f"shot {1e3 * old_kg:.2g} g"
    sizes = sorted(SHOT_G.items(), key=lambda row: row[1], reverse=not heavier)
    for name, grams in sizes:
        if (1e-3 * grams - old_kg) * (1 if heavier else -1) <= 0.02 * old_kg:
            continue
        changed = edited(hung, SetThing(thing=number, size=name), bench)
        if changed is not None:
            yield Try(f"{was} → {name} ({grams:g} g)", changed, now.stroke, now.ask)
    if not heavier:
        bare = edited(hung, TakeOff(thing=number), bench)
        if bare is not None:
            yield Try("without the shot", bare, now.stroke, now.ask)


def _shot_and_setting(now: Try, bench: Workbench, serves: Serves) -> Served | None:
    """A heavier shot and the indicator set for it, where neither serves alone.

    The lightest shot that is enough with the indicator so much further up, or one of the next,
    and the nearest setting for it.
    """

    def is_enough(one: Try) -> Judged:
        judged = serves(one)
        return judged if judged.is_not_enough else Judged(gives="")

    shots = tuple(islice(_shots(now, bench, heavier=True), 0, None, 2))
    further = [_setting(shot, bench, deeper=True)(TOGETHER) for shot in shots]
    if None in further:
        return None
    lightest = smallest(is_enough, [one for one in further if one is not None])
    if lightest is None:
        return None
    place = further.index(lightest[0])
    for heavier in shots[place : place + MOST_STEPS]:
        served = least(serves, _setting(heavier, bench, deeper=True), TOGETHER, TOGETHER_STEPS)
        if served is not None:
            one, gives = served
            return Try(f"{heavier.words}, {one.words}", one.design, one.stroke, one.ask), gives
    return None


def fished(units: Units, more: bool) -> Serves:
    """Serves where drift and depth are right when it is fished, without a cast."""

    return judged_by(lambda one: in_the_water(one, units), more)


def in_the_water(one: Try, units: Units) -> Iterator[Measure]:
    """Depth, which a settled drift tells at once, and then the drift."""
    outcome = outcome_of(run_of(one.design, one.ask))
    yield depth_measure(outcome, one.ask, units)
    yield drift_measure(outcome, units)


def every_shot(now: Try, bench: Workbench) -> Iterator[tuple[str, Try]]:
    """Every size of shot in turn for the one that hangs lowest, or where one usually hangs."""
    design: Design | None = now.design
    if not any(thing.kind == "shot" for thing in now.design.leader.attachments):
        design = edited(now.design, HangOn(kind="shot"), bench)
    if design is None:
        return
    things = design.leader.attachments
    number = min(
        (i for i, thing in enumerate(things) if thing.kind == "shot"),
        key=lambda i: things[i].above_end_m,
    )
    for name, grams in sorted(SHOT_G.items(), key=lambda row: row[1]):
        changed = edited(design, SetThing(thing=number, size=name), bench)
        if changed is not None:
            label = f"{name} ({grams:g} g)"
            yield label, Try(label, changed, now.stroke, now.ask)


def every_bead(now: Try) -> Iterator[tuple[str, Try]]:
    """The point fly on every bead, from none up."""
    fly = now.design.situation.fly
    metal = fly.bead.metal if fly.bead else "tungsten"
    yield "none", _with_fly(now, "no bead", bead=None)
    for size in BEADS_MM:
        words = f"{size:g} mm"
        yield words, _with_fly(now, words, bead=Bead(diameter_mm=size, metal=metal))


def fishing_changes(
    now: Try, bench: Workbench, units: Units, serves: Serves, more: bool
) -> Iterator[str | None]:
    """What is changed at the water, in a few words, the quickest first; None where it fails."""
    setup = setup_of(now.design)
    found: list[Served | None] = []
    if setup == "indicator":
        found.append(least(serves, _setting(now, bench, more), MOST_TIMES))
        yield _words(found)
    if setup == "strip":
        found.append(least(serves, _count(now, units, more), MOST_COUNT))
        yield _words(found)
    if setup not in ("strip", "swing"):
        found.append(smallest(serves, _shots(now, bench, more)))
        yield _words(found)
    if setup == "indicator" and more:
        found.append(_shot_and_setting(now, bench, serves))
        yield _words(found)
    found.append(smallest(serves, _beads(now, more)))
    yield _words(found)
    if setup in ("under a dry", "on the leader"):
        last = len(now.design.leader.pieces) - 1
        by_length = longer(now, bench, last, shorter=not more, name="tippet")
        found.append(least(serves, by_length, MOST_TIMES))
        yield _words(found)


def _words(found: list[Served | None]) -> str | None:
    last = found[-1]
    return last[0].words if last else None


def _with_fly(now: Try, words: str, **changes: Any) -> Try:
    fly = now.design.situation.fly.model_copy(update=changes)
    situation = now.design.situation.model_copy(update={"fly": fly})
    return Try(words, now.design.model_copy(update={"situation": situation}), now.stroke, now.ask)


def _beads(now: Try, heavier: bool) -> Iterator[Try]:
    """The point fly on a bigger or smaller bead, or tied without one."""
    fly = now.design.situation.fly
    if fly.weighed_kg is not None or fly.sink_m_s is not None:
        return  # weighed and tested as it is: another bead is another fly
    mine = fly.bead.diameter_mm if fly.bead else 0.0
    metal = fly.bead.metal if fly.bead else "tungsten"
    was = f"{mine:g} mm bead" if mine else "no bead"
    for size in BEADS_MM if heavier else reversed(BEADS_MM):
        if (size - mine) * (1 if heavier else -1) > 1e-6:
            bead = Bead(diameter_mm=size, metal=metal)
            yield _with_fly(now, f"{was} → {size:g} mm", bead=bead)
    if fly.bead and not heavier:
        yield _with_fly(now, f"{was} → no bead", bead=None)


def _without_dropper(now: Try, bench: Workbench) -> Iterator[Try]:
    for joint, dropper in now.design.leader.branches:
        changed = edited(now.design, RemoveDropper(joint=joint), bench)
        if changed is not None:
            yield Try(f"without the {dropper.fly.title}", changed, now.stroke, now.ask)


def _count(now: Try, units: Units, deeper: bool) -> Change:
    old = now.ask.count_s if now.ask.count_s is not None else usual_count_s(now.design)

    def change(times: float) -> Try | None:
        new = round(max(1.0, old) * times if deeper else old / times)
        asked = now.ask.model_copy(update={"count_s": float(min(120, new))})
        words = f"count {units.seconds(old)} → {units.seconds(new)}"
        return Try(words, now.design, now.stroke, asked)

    return change


def _leads(now: Try, slower: bool) -> Iterator[Try]:
    for lead in LEADS:
        if (now.ask.lead - lead) * (1 if slower else -1) > 1e-6:
            asked = now.ask.model_copy(update={"lead": lead})
            words = f"led at {now.ask.lead:.0%} → {lead:.0%} of the surface's pace"
            yield Try(words, now.design, now.stroke, asked)
