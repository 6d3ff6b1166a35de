"""Remedies for the turnover, found by casting what is tried at the fast mesh.

One thing is changed at a time: tippet length, tippet spool, butt, a middle section, fly, stroke.
"""

from collections.abc import Callable, Iterator
from typing import Literal

from nine_knots.core.base.measure import Measure
from nine_knots.core.base.units import Units
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.remedies.bystanders import other_measures
from nine_knots.core.judge.remedies.search import (
    MOST_STEPS,
    Change,
    Remedy,
    Served,
    Serves,
    Try,
    effects,
    first,
    judged_by,
    least,
    longer,
    other_spools,
    smallest,
    those_in_time,
)
from nine_knots.core.judge.remedies.what import What
from nine_knots.core.judge.turnover import turnover_measure
from nine_knots.core.models.cast.casting import Flight
from nine_knots.core.models.cast.mono import mass_ratio
from nine_knots.core.models.cast.quick_caster import QuickCaster
from nine_knots.core.models.cast.stroke import FASTEST_M_S, SLOWEST_M_S, Stroke
from nine_knots.core.models.cast.wind import STEADY, Gust, air_of
from nine_knots.core.models.water.ask import USUAL_ASK
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.leader.workbench import Workbench
from nine_knots.core.trade.tackle import Fly

MOST_LENGTH = 3.6  # times longer or shorter
KINDS = 6  # of remedies sought
MOST_SPEED = 1.4  # times faster or slower


class Caster:
    """Casts what is tried, one after another, and says how it turns over."""

    def __init__(self, angler: Angler, gust: Gust) -> None:
        self._units, self._own, self._gust = angler.units, angler.cast, gust
        self._caster = QuickCaster()

    def slack_m(self, one: Try) -> float:
        """Slack in metres in which it lands."""
        return max(0.0, self._flight(one).slack_m)

    def measure(self, one: Try) -> Measure:
        """The turnover cord; CannotCompute where the cast model refuses."""
        design = one.design
        flight = self._flight(one)
        return turnover_measure(flight, design.leader, design.situation, self._units, self._own)

    def _flight(self, one: Try) -> Flight:
        day = one.design.situation
        air = air_of(day.wind, self._gust)
        return self._caster.cast(one.design.leader, day.line, day.fly, one.stroke, air)


def remedies_for(
    design: Design, stroke: Stroke, angler: Angler, gust: Gust = STEADY
) -> tuple[Remedy, ...]:
    """For a leader outside its band, one remedy of each kind that works; none for one inside it.

    A remedy must bring it well in, not just to the edge, which is known to a fifth only.

    Mono rigs, which are judged by mass, get none.
    """
    if mass_ratio(design.leader, design.situation.fly) is not None:
        return ()
    caster = Caster(angler, gust)
    now = Try("", design, stroke, USUAL_ASK)
    standing = caster.measure(now).standing
    if standing == "right":
        return ()
    more = standing == "too little"

    def measures(one: Try) -> Iterator[Measure]:
        yield caster.measure(one)
        yield Caster(angler, gust).measure(one)  # from no aim known: it must open that way too

    serves = judged_by(measures, more)
    before = other_measures(design, USUAL_ASK, angler)
    remedies = []
    found = _found(now, angler, serves, more)
    for what, (one, gives) in those_in_time(found, KINDS):
        after = other_measures(one.design, USUAL_ASK, angler)
        speed = angler.units.speed(one.stroke.speed_m_s).text
        sets: dict[Literal["speed"], str] | None = {"speed": speed} if what == "stroke" else None
        changed = effects(before, after)
        remedies.append(Remedy(what, one.words, gives, one.design, changed, stroke=sets))
    return tuple(remedies)


def _found(
    now: Try, angler: Angler, serves: Serves, more: bool
) -> Iterator[tuple[What, Served | None]]:
    """One of each kind: to open more, or to open less."""
    units = angler.units
    bench = Workbench(stock=angler.stock, fly=now.design.situation.fly, units=units)
    last = len(now.design.leader.pieces) - 1
    by_length = longer(now, bench, last, shorter=more, name=_name(now, last))
    yield "tippet length", least(serves, by_length, MOST_LENGTH)
    yield "tippet spool", smallest(serves, other_spools(now, bench, last, more, _role(last)))
    yield "butt", smallest(serves, other_spools(now, bench, 0, more, _role(0)))
    middle = _longest_inner(now.design)
    if middle is not None:
        by_middle = longer(now, bench, middle, shorter=not more, name=_name(now, middle))
        yield "middle", least(serves, by_middle, MOST_LENGTH)
    yield "fly", first(serves, _flies(now, angler.flies, more))
    yield "stroke", least(serves, _stroke(now, units, more), MOST_SPEED)


def _name(now: Try, piece: int) -> str:
    return "tippet" if piece == len(now.design.leader.pieces) - 1 else f"piece {piece + 1}"


def _role(piece: int) -> str:
    return "butt" if piece == 0 else "tippet"


def _longest_inner(design: Design) -> int | None:
    """The longest section between butt and tippet: longer it carries more, shorter less."""
    inner = range(1, len(design.leader.pieces) - 1)
    return max(inner, key=lambda i: design.leader.pieces[i].length_m) if inner else None


def _flies(now: Try, flies: tuple[Fly, ...], more: bool) -> Iterator[Try]:
    """Flies of the same kind from the box, the nearest in air resistance first."""
    own = now.design.situation.fly
    load: Callable[[Fly], float] = lambda fly: fly.air_drag_area_m2  # noqa: E731
    fit = [fly for fly in flies if fly.kind == own.kind and (load(fly) < load(own)) == more]
    for fly in sorted(fit, key=lambda one: abs(load(one) - load(own)))[:MOST_STEPS]:
        situation = now.design.situation.model_copy(update={"fly": fly})
        changed = now.design.model_copy(update={"situation": situation})
        yield Try(f"the {fly.title} instead", changed, now.stroke, now.ask)


def _stroke(now: Try, units: Units, more: bool) -> Change:
    """A harder stroke to open more, an easier one to open less."""
    stroke = now.stroke

    def change(times: float) -> Try | None:
        speed = stroke.speed_m_s * times if more else stroke.speed_m_s / times
        if not SLOWEST_M_S <= speed <= FASTEST_M_S:
            return None
        old, new = units.speed(stroke.speed_m_s).text, units.speed(speed).text
        faster = stroke.model_copy(update={"speed_m_s": speed})
        return Try(f"line speed {old} → {new}", now.design, faster, now.ask)

    return change
