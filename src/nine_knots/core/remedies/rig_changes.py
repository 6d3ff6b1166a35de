"""What may be changed of a rig: setting, shot, bead, dropper, count, lead, what is out.

Each gives the rig after the change, to be fished.
"""

from collections.abc import Iterator
from dataclasses import replace
from itertools import islice

from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader.attachments import SHOT_G
from nine_knots.core.domain.leader.rig_edits import HangOn, RemoveDropper, SetThing, TakeOff
from nine_knots.core.domain.leader.rigging import GREASE_ABOVE_M
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.tackle import Bead, Fly
from nine_knots.core.domain.tackle.line import Sinking
from nine_knots.core.remedies.adjustment import (
    BeadChanged,
    Both,
    CountedDown,
    Degreased,
    FlyRemoved,
    FlySwapped,
    IndicatorMoved,
    Led,
    LineOut,
    ShotChanged,
    ShotRemoved,
    SinkTipAdded,
)
from nine_knots.core.remedies.search import (
    MOST_STEPS,
    Change,
    Served,
    Serves,
    Trial,
    TrialOutcome,
    edited,
    least,
    smallest,
)
from nine_knots.core.techniques.tight_line import out_m
from nine_knots.core.water.on_the_line import usual_count_s

BEADS_MM = (2.0, 2.5, 2.8, 3.0, 3.3, 3.8, 4.6)
TOGETHER, TOGETHER_STEPS = 1.6, 3  # times a setting, tried with every second shot
TIPS: tuple[Sinking, ...] = ("intermediate", "sink-3", "sink-6")
TIP_M = 10.0 * FOOT_M  # as they are sold to be looped on [P]
LEADS = (0.7, 0.6, 0.5, 0.9, 1.0, 1.1)


def settings(now: Trial, bench: Workbench, deeper: bool) -> Change:
    """The indicator so many times further from the flies, or nearer."""
    things = now.design.leader.attachments
    number = next(i for i, thing in enumerate(things) if thing.kind == "indicator")
    old_m = things[number].above_end_m

    def change(times: float) -> Trial | None:
        new_m = bench.units.snap_length(old_m * times if deeper else old_m / times)
        changed = edited(now.design, SetThing(thing=number, above=new_m), bench)
        if changed is None:
            return None
        return replace(now, design=changed, change=IndicatorMoved(old_m, new_m))

    return change


def shots(now: Trial, bench: Workbench, heavier: bool) -> Iterator[Trial]:
    """The lowest shot heavier or lighter; one hung on, or taken off."""
    hung_on = [
        (thing.above_end_m, number)
        for number, thing in enumerate(now.design.leader.attachments)
        if thing.kind == "shot"
    ]
    if not hung_on:
        if not heavier or not now.design.situation.takes_shot:
            return
        hung = edited(now.design, HangOn(kind="shot"), bench)
        if hung is None:
            return
        number, old_kg = len(hung.leader.attachments) - 1, None
    else:
        hung, number = now.design, min(hung_on)[1]
        old_kg = hung.leader.attachments[number].mass_kg
    least_kg = old_kg or 0.0
    sizes = sorted(SHOT_G.items(), key=lambda row: row[1], reverse=not heavier)
    for name, grams in sizes:
        if (1e-3 * grams - least_kg) * (1 if heavier else -1) <= 0.02 * least_kg:
            continue
        changed = edited(hung, SetThing(thing=number, size=name), bench)
        if changed is not None:
            yield replace(now, design=changed, change=ShotChanged(old_kg, name, grams))
    if not heavier:
        bare = edited(hung, TakeOff(thing=number), bench)
        if bare is not None:
            yield replace(now, design=bare, change=ShotRemoved())


def shot_and_setting(now: Trial, bench: Workbench, serves: Serves) -> Served | None:
    """A heavier shot and the indicator set for it, where neither serves alone.

    The lightest shot that is enough with the indicator so much further up, or one of the next,
    and the nearest setting for it.
    """

    def is_enough(trial: Trial) -> TrialOutcome:
        judged = serves(trial)
        return judged if judged.is_not_enough else TrialOutcome(gives=())

    heavier_ones = tuple(islice(shots(now, bench, heavier=True), 0, None, 2))
    further = [settings(shot, bench, deeper=True)(TOGETHER) for shot in heavier_ones]
    if None in further:
        return None
    lightest = smallest(is_enough, [item for item in further if item is not None])
    if lightest is None:
        return None
    place = further.index(lightest[0])
    for heavier in heavier_ones[place : place + MOST_STEPS]:
        served = least(serves, settings(heavier, bench, deeper=True), TOGETHER, TOGETHER_STEPS)
        if served is not None:
            one, gives = served
            return replace(one, change=Both(heavier.changed, one.changed)), gives
    return None


def every_shot(now: Trial, bench: Workbench) -> Iterator[Trial]:
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
            yield replace(now, design=changed, change=ShotChanged(None, name, grams))


def every_bead(now: Trial) -> Iterator[Trial]:
    """The point fly on every bead, from none up."""
    fly = now.design.situation.fly
    metal = fly.bead.metal if fly.bead else "tungsten"
    yield _with_bead(now, None)
    for size in BEADS_MM:
        yield _with_bead(now, Bead(diameter_mm=size, metal=metal))


def _with_bead(now: Trial, bead: Bead | None) -> Trial:
    fly = now.design.situation.fly
    old_mm = fly.bead.diameter_mm if fly.bead else 0.0
    change = BeadChanged(old_mm, bead.diameter_mm if bead else 0.0)
    return now.with_fly(change, fly.model_copy(update={"bead": bead}))


def beads(now: Trial, heavier: bool) -> Iterator[Trial]:
    """The point fly on a bigger or smaller bead, or tied without one."""
    fly = now.design.situation.fly
    if fly.weighed_kg is not None or fly.sink_m_s is not None:
        return  # weighed and tested as it is: another bead is another fly
    mine = fly.bead.diameter_mm if fly.bead else 0.0
    metal = fly.bead.metal if fly.bead else "tungsten"
    for size in BEADS_MM if heavier else reversed(BEADS_MM):
        if (size - mine) * (1 if heavier else -1) > 1e-6:
            yield _with_bead(now, Bead(diameter_mm=size, metal=metal))
    if fly.bead and not heavier:
        yield _with_bead(now, None)


def heavier_flies(now: Trial, flies: tuple[Fly, ...]) -> Iterator[Trial]:
    """Each fly of the box of the same kind that weighs more, the lightest first."""
    own = now.design.situation.fly
    heavier = [fly for fly in flies if fly.kind == own.kind and fly.mass_kg > own.mass_kg]
    for fly in sorted(heavier, key=lambda fly: fly.mass_kg):
        yield now.with_fly(FlySwapped(fly.title), fly)


def sink_tips(now: Trial) -> Iterator[Trial]:
    """A sinking tip on a floating line, the slowest first."""
    day = now.design.situation
    if day.line.sinking != "floating" or day.line.level_m is not None:
        return
    for sinking in TIPS:
        line = day.line.model_copy(update={"sinking": sinking, "sink_tip_m": TIP_M})
        situation = day.model_copy(update={"line": line})
        design = now.design.model_copy(update={"situation": situation})
        yield replace(now, design=design, change=SinkTipAdded(sinking, TIP_M))


def without_dropper(now: Trial, bench: Workbench) -> Iterator[Trial]:
    """Without each of the flies on droppers."""
    for joint, dropper in now.design.leader.branches:
        changed = edited(now.design, RemoveDropper(joint=joint), bench)
        if changed is not None:
            yield replace(now, design=changed, change=FlyRemoved(dropper.fly.title))


def degreased(now: Trial, bench: Workbench) -> Iterator[Trial]:
    """The grease taken off the last of the tippet, as far as is usual."""
    for number, thing in enumerate(now.design.leader.attachments):
        if thing.kind == "grease" and thing.above_end_m < GREASE_ABOVE_M:
            bare_m = 3.0 * FOOT_M if bench.units.system == "imperial" else GREASE_ABOVE_M
            changed = edited(now.design, SetThing(thing=number, above=bare_m), bench)
            if changed is not None:
                yield replace(now, design=changed, change=Degreased(bare_m))


def counts(now: Trial, deeper: bool) -> Change:
    """The line counted down so many times as long, or as short."""
    old = now.ask.count_s if now.ask.count_s is not None else usual_count_s(now.design)

    def change(times: float) -> Trial | None:
        new = round(max(1.0, old) * times if deeper else old / times)
        asked = now.ask.model_copy(update={"count_s": float(min(120, new))})
        return replace(now, ask=asked, change=CountedDown(old, new))

    return change


def outs(now: Trial, bench: Workbench, deeper: bool) -> Change:
    """So many times as much out beyond the rod's tip on a tight line, or as little."""
    old_m = out_m(now.design, now.ask)

    def change(times: float) -> Trial | None:
        new_m = bench.units.snap_length(old_m * times if deeper else old_m / times)
        if not now.ask.tip_m < new_m <= now.design.leader.length_m:
            return None
        asked = now.ask.model_copy(update={"out_m": new_m})
        return replace(now, ask=asked, change=LineOut(old_m, new_m))

    return change


def leads(now: Trial, slower: bool) -> Iterator[Trial]:
    """A tight line led slower, or faster."""
    for lead in LEADS:
        if (now.ask.lead - lead) * (1 if slower else -1) > 1e-6:
            asked = now.ask.model_copy(update={"lead": lead})
            yield replace(now, ask=asked, change=Led(now.ask.lead, lead))
