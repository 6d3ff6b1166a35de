"""Remedies: the smallest single change that brings the turnover into its band, found by casting.

One thing is changed at a time: tippet length, tippet spool, butt, a middle section, fly, stroke.
Each candidate is cast again at the fast mesh from the last good aim; nothing is a canned tip.
"""

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Literal

from nine_knots.core.cast.rig import FAST, rig_of
from nine_knots.core.cast.stroke import Stroke
from nine_knots.core.cast.throw import FIRST_AIM, trimmed
from nine_knots.core.cast.turnover import air_of, mass_ratio, turnover_measure
from nine_knots.core.cords import Measure, Standing
from nine_knots.core.design import Design
from nine_knots.core.errors import CannotCompute, NineKnotsError
from nine_knots.core.evaluation import evaluate
from nine_knots.core.leader.editing import apply_edit
from nine_knots.core.leader.edits import Edit, SetLength, StepStock
from nine_knots.core.leader.workbench import Workbench
from nine_knots.core.strand import Stock
from nine_knots.core.tackle import Fly, line_profile
from nine_knots.core.units import Units

What = Literal["tippet length", "tippet spool", "butt", "middle", "fly", "stroke"]

# Of a piece's length, or their inverses, tried in this order.
LENGTH_FACTORS = (0.87, 0.74, 0.6, 0.47, 0.36, 0.27)
MOST_STEPS = 3  # through the spools owned
SPEED_FACTORS = (1.08, 1.17, 1.27, 1.38)  # of the stroke, or their inverses


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


class _Thrower:
    """Casts designs one after another, each from the aim that was good for the one before."""

    def __init__(self, units: Units) -> None:
        self.units = units
        self.aim = FIRST_AIM

    def measure(self, design: Design, stroke: Stroke) -> Measure:
        situation = design.situation
        line = line_profile(situation.line)
        rig = rig_of(design.leader, line, situation.fly, stroke.line_out_m, FAST)
        flight = trimmed(rig, stroke, air_of(situation.wind), self.aim)
        self.aim = flight.aim_deg
        return turnover_measure(flight, design.leader, situation, self.units)


def remedies_for(
    design: Design,
    stroke: Stroke,
    stock: tuple[Stock, ...],
    flies: tuple[Fly, ...],
    titles: dict[str, str],
    units: Units,
) -> tuple[Remedy, ...]:
    """For a leader outside its band, one remedy of each kind that works; none for one inside it.

    A remedy must bring it well in, not just to the edge, which is known to a fifth only.

    Mono rigs, which are judged by mass, get none.
    """
    if mass_ratio(design.leader, design.situation.fly) is not None:
        return ()
    thrower = _Thrower(units)
    now = thrower.measure(design, stroke)
    if now.standing == "right":
        return ()
    more = now.standing == "too little"
    bench = Workbench(stock=stock, fly=design.situation.fly, units=units)
    kinds: tuple[tuple[What, Iterator[_Try]], ...] = (
        ("tippet length", _lengths(design, stroke, bench, len(design.leader.pieces) - 1, more)),
        ("tippet spool", _spools(design, stroke, bench, len(design.leader.pieces) - 1, more)),
        ("butt", _spools(design, stroke, bench, 0, more)),
        ("middle", _middle(design, stroke, bench, more)),
        ("fly", _flies(design, stroke, flies, more)),
        ("stroke", _strokes(design, stroke, units, more)),
    )
    before = evaluate(design, titles, units).verdict
    found = []
    for what, tries in kinds:
        for one in tries:
            try:
                after = thrower.measure(one.design, one.stroke)
            except CannotCompute:
                continue
            if after.standing == "right" and not after.marginal:
                effects = _effects(before, one.design, titles, units)
                speed = units.speed(one.stroke.speed_m_s).text if what == "stroke" else None
                found.append(Remedy(what, one.words, after.figure, one.design, speed, effects))
                break
    return tuple(found)


def _effects(
    before: tuple[Measure, ...], design: Design, titles: dict[str, str], units: Units
) -> tuple[Effect, ...]:
    after = evaluate(design, titles, units).verdict
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


def _lengths(
    design: Design, stroke: Stroke, bench: Workbench, piece: int, more: bool
) -> Iterator[_Try]:
    """The tippet shorter to open more, longer to open less."""
    old_m = design.leader.pieces[piece].length_m
    for factor in LENGTH_FACTORS:
        new_m = bench.units.snap_length(old_m * factor if more else old_m / factor)
        changed = _edited(design, SetLength(piece=piece, length=new_m), bench)
        if changed is not None:
            old, new = bench.units.length(old_m).text, bench.units.length(new_m).text
            yield _Try(f"tippet {old} → {new}", changed, stroke)


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


def _middle(design: Design, stroke: Stroke, bench: Workbench, more: bool) -> Iterator[_Try]:
    """The longest section between butt and tippet, longer to carry more, shorter to carry less."""
    inner = range(1, len(design.leader.pieces) - 1)
    if not inner:
        return
    piece = max(inner, key=lambda i: design.leader.pieces[i].length_m)
    old_m = design.leader.pieces[piece].length_m
    for factor in LENGTH_FACTORS:
        new_m = bench.units.snap_length(old_m / factor if more else old_m * factor)
        changed = _edited(design, SetLength(piece=piece, length=new_m), bench)
        if changed is not None:
            old, new = bench.units.length(old_m).text, bench.units.length(new_m).text
            yield _Try(f"piece {piece + 1} {old} → {new}", changed, stroke)


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


def _strokes(design: Design, stroke: Stroke, units: Units, more: bool) -> Iterator[_Try]:
    """A harder stroke to open more, an easier one to open less."""
    for factor in SPEED_FACTORS:
        speed = stroke.speed_m_s * factor if more else stroke.speed_m_s / factor
        old, new = units.speed(stroke.speed_m_s).text, units.speed(speed).text
        changed = stroke.model_copy(update={"speed_m_s": speed})
        yield _Try(f"line speed {old} → {new}", design, changed)
