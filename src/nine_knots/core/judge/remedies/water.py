"""Remedies for drift and depth, found by fishing what is tried.

One thing is changed at a time: the indicator's setting, shot, bead, tippet length or diameter, the
dropper, the leader's length, the count before the strip, how fast a tight line is led.
"""

from collections.abc import Iterator

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.measure import Measure
from nine_knots.core.base.units import Units
from nine_knots.core.judge.own_cast import UNKNOWN, OwnCast
from nine_knots.core.judge.remedies.rig_changes import (
    beads,
    counts,
    leads,
    settings,
    shot_and_setting,
    shots,
    without_dropper,
)
from nine_knots.core.judge.remedies.search import (
    Remedy,
    Served,
    Serves,
    Try,
    What,
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
from nine_knots.core.judge.remedies.turnover import Caster
from nine_knots.core.judge.water import (
    depth_measure,
    drift_measure,
    floating_measure,
    free_drift_measure,
)
from nine_knots.core.models.cast.mono import mass_ratio
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.cast.wind import STEADY, Gust
from nine_knots.core.models.water.dry_fly import drag_of
from nine_knots.core.models.water.fished import outcome_of
from nine_knots.core.models.water.fishing import run_of
from nine_knots.core.models.water.setups import USUAL_ASK, WaterAsk, setup_of
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.leader.workbench import Workbench
from nine_knots.core.trade.strand import Stock
from nine_knots.core.trade.tyer import USUAL_TYER, Tyer

MOST_TIMES = 2.6
KINDS = 7  # of remedies sought, at most
MOST_COUNT = 4.0


def water_remedies_for(
    design: Design,
    stroke: Stroke,
    stock: tuple[Stock, ...],
    units: Units,
    ask: WaterAsk = USUAL_ASK,
    own: OwnCast = UNKNOWN,
    gust: Gust = STEADY,
    tyer: Tyer = USUAL_TYER,
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
    before = fisher.all_measures(now, tyer)
    remedies = []
    found = _found(now, stock, units, serves, sink_more)
    for what, (one, gives) in those_in_time(found, KINDS):
        after = fisher.all_measures(one, tyer)
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

    def all_measures(self, one: Try, tyer: Tyer) -> tuple[Measure, ...]:
        found = other_measures(one.design, one.ask, self._units, tyer)
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
        by_setting = least(serves, settings(now, bench, more), MOST_TIMES)
        yield "setting", by_setting
        if more and by_setting is None:
            yield "shot and setting", shot_and_setting(now, bench, serves)
    if setup in ("strip", "swing"):
        by_leader = longer(now, bench, 0, shorter=more, name="butt")
        yield "leader length", least(serves, by_leader, MOST_TIMES)
    else:
        yield "shot", smallest(serves, shots(now, bench, more))
    yield "bead", smallest(serves, beads(now, more))
    shorter = more if setup in ("strip", "swing") else not more
    by_length = longer(now, bench, last, shorter=shorter, name="tippet")
    yield "tippet length", least(serves, by_length, MOST_TIMES)
    yield "tippet spool", smallest(serves, other_spools(now, bench, last, not more, "tippet"))
    if not more:
        yield "dropper", first(serves, without_dropper(now, bench))
    if setup == "strip":
        yield "count", least(serves, counts(now, units, more), MOST_COUNT)
    if setup == "tight line":
        yield "lead", first(serves, leads(now, more))


def fished(units: Units, more: bool) -> Serves:
    """Serves where drift and depth are right when it is fished, without a cast."""

    return judged_by(lambda one: in_the_water(one, units), more)


def in_the_water(one: Try, units: Units) -> Iterator[Measure]:
    """Depth, which a settled drift tells at once, and then the drift."""
    outcome = outcome_of(run_of(one.design, one.ask))
    yield depth_measure(outcome, one.ask, units)
    yield drift_measure(outcome, units)


def fishing_changes(
    now: Try, bench: Workbench, units: Units, serves: Serves, more: bool
) -> Iterator[str | None]:
    """What is changed at the water, in a few words, the quickest first; None where it fails."""
    setup = setup_of(now.design)
    found: list[Served | None] = []
    if setup == "indicator":
        found.append(least(serves, settings(now, bench, more), MOST_TIMES))
        yield _words(found)
    if setup == "strip":
        found.append(least(serves, counts(now, units, more), MOST_COUNT))
        yield _words(found)
    if setup not in ("strip", "swing"):
        found.append(smallest(serves, shots(now, bench, more)))
        yield _words(found)
    if setup == "indicator" and more:
        found.append(shot_and_setting(now, bench, serves))
        yield _words(found)
    found.append(smallest(serves, beads(now, more)))
    yield _words(found)
    if setup in ("under a dry", "on the leader"):
        last = len(now.design.leader.pieces) - 1
        by_length = longer(now, bench, last, shorter=not more, name="tippet")
        found.append(least(serves, by_length, MOST_TIMES))
        yield _words(found)


def _words(found: list[Served | None]) -> str | None:
    last = found[-1]
    return last[0].words if last else None
