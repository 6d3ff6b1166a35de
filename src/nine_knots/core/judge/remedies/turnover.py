"""Remedies for the turnover, found by casting what is tried.

One thing is changed at a time: tippet length, tippet spool, butt, a middle section, fly, stroke.
"""

from collections.abc import Callable, Iterator
from typing import Literal

from nine_knots.core.base.measure import Measure
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.remedies.bystanders import other_measures
from nine_knots.core.judge.remedies.search import (
    MOST_STEPS,
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
from nine_knots.core.judge.turnover import Thrown, eased, turnover_measure
from nine_knots.core.models.cast.mono import mass_ratio
from nine_knots.core.models.cast.quick_caster import QuickCaster
from nine_knots.core.models.cast.reserve import Least
from nine_knots.core.models.cast.stroke import FASTEST_M_S, SPEEDS, Stroke
from nine_knots.core.models.cast.wind import STEADY, Gust, air_of
from nine_knots.core.models.water.ask import USUAL_ASK
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.leader.workbench import Workbench
from nine_knots.core.trade.tackle import Fly

MOST_LENGTH = 3.6  # times longer or shorter
KINDS = 6  # of remedies sought
NOT_SHOWN = "lies as it falls"
STROKES = {  # from the softest to the hardest
    "easy": "an easy stroke",
    "normal": "a normal stroke",
    "a fifth harder": "a stroke a fifth harder",
    "hard": "a hard stroke",
    "double haul": "a double haul",
}


class Caster:
    """Casts what is tried, one after another, and says how it turns over."""

    def __init__(self, angler: Angler, gust: Gust) -> None:
        self._units, self._own, self._gust = angler.units, angler.cast, gust
        self._caster = QuickCaster()

    def slack_m(self, one: Try) -> float:
        """Slack in metres in which it lands, thrown as a caster would."""
        day = one.design.situation
        stroke = eased(self._least(one), one.stroke, day)
        air = air_of(day.wind, self._gust)
        flight = self._caster.cast(one.design.leader, day.line, day.fly, stroke, air)
        return max(0.0, flight.slack_m)

    def measure(self, one: Try) -> Measure:
        """The turnover cord; CannotCompute where the cast model refuses."""
        design, thrown = one.design, Thrown(self._least(one), one.stroke, NOT_SHOWN)
        return turnover_measure(thrown, design.leader, design.situation, self._units, self._own)

    def _least(self, one: Try) -> Least:
        day = one.design.situation
        air = air_of(day.wind, self._gust)
        return self._caster.least(one.design.leader, day.line, day.fly, one.stroke, air)


def remedies_for(
    design: Design, stroke: Stroke, angler: Angler, gust: Gust = STEADY
) -> tuple[Remedy, ...]:
    """For a leader outside its band, one remedy of each kind that works; none for one inside it.

    A remedy must bring it well in, not just to the edge.

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

    serves = judged_by(measures, more)
    before = other_measures(design, USUAL_ASK, angler)
    remedies = []
    found = _found(now, angler, serves, more)
    for what, (one, gives) in those_in_time(found, KINDS):
        after = other_measures(one.design, USUAL_ASK, angler)
        sets: dict[Literal["speed"], str] | None = None
        if what == "stroke":
            sets = {"speed": _word_of(one.stroke, angler)}
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
    yield "stroke", first(serves, _strokes(now, angler, more))


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


def _strokes(now: Try, angler: Angler, more: bool) -> Iterator[Try]:
    """The angler's other strokes: harder ones to open more, easier ones to open less."""
    now_m_s = now.stroke.speed_m_s
    for word in STROKES if more else reversed(STROKES):
        speed = SPEEDS[word] * angler.cast.speed_factor
        if (speed > 1.02 * now_m_s if more else speed < 0.98 * now_m_s) and speed <= FASTEST_M_S:
            stroke = now.stroke.model_copy(update={"speed_m_s": speed})
            yield Try(f"{STROKES[word]} instead", now.design, stroke, now.ask)


def _word_of(stroke: Stroke, angler: Angler) -> str:
    factor = angler.cast.speed_factor
    return min(STROKES, key=lambda word: abs(SPEEDS[word] * factor - stroke.speed_m_s))
