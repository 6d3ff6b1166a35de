"""Remedies: the smallest single change that brings the turnover into its band, found by casting.

One thing is changed at a time: tippet length, tippet spool, butt, a middle section, fly, stroke.
Each candidate is cast again at the fast mesh from the last good aim; nothing is a canned tip.
Lengths and speeds are stepped until one serves and then halved back to the least that does.
"""

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Literal

from nine_knots.core.cast.own_cast import UNKNOWN, OwnCast
from nine_knots.core.cast.stroke import FASTEST_M_S, SLOWEST_M_S, Stroke
from nine_knots.core.cast.thrower import Thrower
from nine_knots.core.cast.turnover import STEADY, Gust, air_of, mass_ratio, turnover_measure
from nine_knots.core.cords import Measure, Standing
from nine_knots.core.design import Design
from nine_knots.core.errors import CannotCompute, NineKnotsError
from nine_knots.core.evaluation import evaluate
from nine_knots.core.leader.editing import apply_edit
from nine_knots.core.leader.edits import Edit, SetLength, StepStock
from nine_knots.core.leader.workbench import Workbench
from nine_knots.core.strand import Stock
from nine_knots.core.tackle import Fly
from nine_knots.core.tying import USUAL_TIER, Tier
from nine_knots.core.units import Units

What = Literal["tippet length", "tippet spool", "butt", "middle", "fly", "stroke"]

MOST_LENGTH, LENGTH_STEPS = 3.6, 6  # times longer or shorter, in so many steps
MOST_SPEED, SPEED_STEPS = 1.4, 4  # times faster or slower
HALVINGS = 2  # back from the first step that serves
MOST_STEPS = 3  # through the spools owned


@dataclass(frozen=True, slots=True)
class Effect:
    """What a remedy does to another measure."""

    title: str
    before: str
    after: str
    standing: Standing


@dataclass(frozen=True, slots=True)
class Remedy:
    """One change, the design (or the stroke's speed) after it, and what it does."""

    what: What
    words: str
    gives: str
    design: Design
    speed: str | None
    effects: tuple[Effect, ...]


@dataclass(frozen=True)
class _Try:
    words: str
    design: Design
    stroke: Stroke


Change = Callable[[float], _Try | None]
"""A change by so many times, as a design and stroke to try; None where it cannot be made."""


class _Judge:
    """Casts what is tried, and says how it turns over and whether that is well inside the band."""

    def __init__(self, units: Units, own: OwnCast, gust: Gust) -> None:
        self._units, self._own, self._gust = units, own, gust
        self._thrower = Thrower()

    def measure(self, design: Design, stroke: Stroke) -> Measure:
        day = design.situation
        air = air_of(day.wind, self._gust)
        flight = self._thrower.throw(design.leader, day.line, day.fly, stroke, air)
        return turnover_measure(flight, design.leader, day, self._units, self._own)

    def serves(self, one: _Try) -> str | None:
        """How it then turns over, where it is well in and not on the edge; None where not."""
        try:
            after = self.measure(one.design, one.stroke)
        except CannotCompute:
            return None
        return after.figure if after.standing == "right" and not after.marginal else None

    def first(self, tries: Iterator[_Try]) -> tuple[_Try, str] | None:
        """The first that serves, of tries from small to great."""
        return next(((one, gives) for one in tries if (gives := self.serves(one))), None)

    def least(self, change: Change, most: float, steps: int) -> tuple[_Try, str] | None:
        """The smallest change that serves, from 1 to ``most`` times."""
        served, low, high = None, 0.0, 0.0
        for step in range(1, steps + 1):
            low, high = high, step / steps
            served = self._at(change, most**high)
            if served:
                break
        for _ in range(HALVINGS if served else 0):
            middle = 0.5 * (low + high)
            nearer = self._at(change, most**middle)
            served, low, high = (nearer, low, middle) if nearer else (served, middle, high)
        return served

    def _at(self, change: Change, times: float) -> tuple[_Try, str] | None:
        one = change(times)
        gives = self.serves(one) if one else None
        return (one, gives) if one and gives else None


def remedies_for(
    design: Design,
    stroke: Stroke,
    stock: tuple[Stock, ...],
    flies: tuple[Fly, ...],
    titles: dict[str, str],
    units: Units,
    own: OwnCast = UNKNOWN,
    gust: Gust = STEADY,
    tier: Tier = USUAL_TIER,
) -> tuple[Remedy, ...]:
    """For a leader outside its band, one remedy of each kind that works; none for one inside it.

    A remedy must bring it well in, not just to the edge, which is known to a fifth only.

    Mono rigs, which are judged by mass, get none.
    """
    if mass_ratio(design.leader, design.situation.fly) is not None:
        return ()
    judge = _Judge(units, own, gust)
    now = judge.measure(design, stroke)
    if now.standing == "right":
        return ()
    more = now.standing == "too little"
    bench = Workbench(stock=stock, fly=design.situation.fly, units=units)
    last = len(design.leader.pieces) - 1
    middle = _longest_inner(design)
    found: list[tuple[What, tuple[_Try, str] | None]] = [
        (
            "tippet length",
            judge.least(
                _length(design, stroke, bench, last, shorter=more), MOST_LENGTH, LENGTH_STEPS
            ),
        ),
        ("tippet spool", judge.first(_spools(design, stroke, bench, last, more))),
        ("butt", judge.first(_spools(design, stroke, bench, 0, more))),
        (
            "middle",
            judge.least(
                _length(design, stroke, bench, middle, shorter=not more), MOST_LENGTH, LENGTH_STEPS
            )
            if middle is not None
            else None,
        ),
        ("fly", judge.first(_flies(design, stroke, flies, more))),
        ("stroke", judge.least(_stroke(design, stroke, units, more), MOST_SPEED, SPEED_STEPS)),
    ]
    before = evaluate(design, titles, units, tier).verdict
    remedies = []
    for what, served in found:
        if served is not None:
            one, gives = served
            effects = _effects(before, one.design, titles, units, tier)
            speed = units.speed(one.stroke.speed_m_s).text if what == "stroke" else None
            remedies.append(Remedy(what, one.words, gives, one.design, speed, effects))
    return tuple(remedies)


def _effects(
    before: tuple[Measure, ...], design: Design, titles: dict[str, str], units: Units, tier: Tier
) -> tuple[Effect, ...]:
    after = evaluate(design, titles, units, tier).verdict
    return tuple(
        Effect(title=new.title, before=old.figure, after=new.figure, standing=new.standing)
        for old, new in zip(before, after, strict=True)
        if (old.figure, old.standing) != (new.figure, new.standing)
    )


def _edited(design: Design, edit: Edit, bench: Workbench) -> Design | None:
    try:
        leader = apply_edit(design.leader, edit, bench)
    except NineKnotsError:
        return None
    return design.model_copy(update={"leader": leader})


def _length(design: Design, stroke: Stroke, bench: Workbench, piece: int, shorter: bool) -> Change:
    """A piece so many times shorter or longer."""
    old_m = design.leader.pieces[piece].length_m
    name = "tippet" if piece == len(design.leader.pieces) - 1 else f"piece {piece + 1}"

    def change(times: float) -> _Try | None:
        new_m = bench.units.snap_length(old_m / times if shorter else old_m * times)
        changed = _edited(design, SetLength(piece=piece, length=new_m), bench)
        if changed is None:
            return None
        old, new = bench.units.length(old_m).text, bench.units.length(new_m).text
        return _Try(f"{name} {old} → {new}", changed, stroke)

    return change


def _spools(
    design: Design, stroke: Stroke, bench: Workbench, piece: int, more: bool
) -> Iterator[_Try]:
    """A thicker spool of the same kind to open more, a thinner one to open less."""
    old = bench.units.diameter(design.leader.pieces[piece].upper_diameter_m).text
    role = "butt" if piece == 0 else "tippet"
    changed: Design | None = design
    for _ in range(MOST_STEPS):
        step = StepStock(piece=piece, by=1 if more else -1)
        changed = _edited(changed, step, bench) if changed is not None else None
        if changed is None:
            return
        new = bench.units.diameter(changed.leader.pieces[piece].upper_diameter_m).text
        yield _Try(f"{role} {old} → {new}", changed, stroke)


def _longest_inner(design: Design) -> int | None:
    """The longest section between butt and tippet: longer it carries more, shorter less."""
    inner = range(1, len(design.leader.pieces) - 1)
    return max(inner, key=lambda i: design.leader.pieces[i].length_m) if inner else None


def _flies(design: Design, stroke: Stroke, flies: tuple[Fly, ...], more: bool) -> Iterator[_Try]:
    """Flies of the same kind from the box, the nearest in air resistance first."""
    own = design.situation.fly
    load: Callable[[Fly], float] = lambda fly: fly.air_drag_area_m2  # noqa: E731
    fit = [fly for fly in flies if fly.kind == own.kind and (load(fly) < load(own)) == more]
    for fly in sorted(fit, key=lambda one: abs(load(one) - load(own)))[:MOST_STEPS]:
        situation = design.situation.model_copy(update={"fly": fly})
        yield _Try(
            f"the {fly.title} instead", design.model_copy(update={"situation": situation}), stroke
        )


def _stroke(design: Design, stroke: Stroke, units: Units, more: bool) -> Change:
    """A harder stroke to open more, an easier one to open less."""

    def change(times: float) -> _Try | None:
        speed = stroke.speed_m_s * times if more else stroke.speed_m_s / times
        if not SLOWEST_M_S <= speed <= FASTEST_M_S:
            return None
        old, new = units.speed(stroke.speed_m_s).text, units.speed(speed).text
        return _Try(
            f"line speed {old} → {new}", design, stroke.model_copy(update={"speed_m_s": speed})
        )

    return change
