"""Searching for the smallest change that serves: each is tried by the model, none is canned.

Lengths and speeds are stepped until one serves and then halved back to the least that does.
"""

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Literal

from nine_knots.core.cast.stroke import Stroke
from nine_knots.core.cords import Measure, Standing
from nine_knots.core.design import Design
from nine_knots.core.errors import CannotCompute, NineKnotsError, TooLong
from nine_knots.core.evaluation import evaluate
from nine_knots.core.leader.editing import apply_edit
from nine_knots.core.leader.edits import Edit, SetLength, StepStock
from nine_knots.core.leader.workbench import Workbench
from nine_knots.core.patience import tell
from nine_knots.core.tying import Tier
from nine_knots.core.units import Units
from nine_knots.core.water.measures import depth_measure, drift_measure
from nine_knots.core.water.outcome import outcome_of
from nine_knots.core.water.run import run_of
from nine_knots.core.water.setups import WaterAsk, setup_of

What = Literal[
    "tippet length",
    "tippet spool",
    "butt",
    "middle",
    "fly",
    "stroke",
    "setting",
    "shot and setting",
    "shot",
    "bead",
    "dropper",
    "leader length",
    "count",
    "lead",
]

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
    """One change, the design (or the stroke's speed, or the way it is fished) after it, and what
    it does."""

    what: What
    words: str
    gives: str
    design: Design
    speed: str | None
    effects: tuple[Effect, ...]
    ask: WaterAsk | None = None


@dataclass(frozen=True)
class Try:
    """A change in words, and what is to be tried: design, stroke, way of fishing."""

    words: str
    design: Design
    stroke: Stroke
    ask: WaterAsk


Change = Callable[[float], Try | None]
"""A change by so many times, as something to try; None where it cannot be made."""
Serves = Callable[[Try], str | None]
"""How it then does, where it is well in its band; None where it is not."""
Served = tuple[Try, str]


def judged_by(measures: Callable[[Try], tuple[Measure, ...]]) -> Serves:
    """Serves where every measure is right and none on the edge; what is refused does not."""

    def serves(one: Try) -> str | None:
        try:
            found = measures(one)
        except CannotCompute:
            return None
        if any(measure.standing != "right" or measure.marginal for measure in found):
            return None
        return "; ".join(measure.figure for measure in found)

    return serves


def those_in_time(
    found: Iterator[tuple[What, Served | None]], kinds: int
) -> Iterator[tuple[What, Served]]:
    """Of each kind sought in turn, those that serve; where time runs out, those found till then."""
    for number in range(kinds + 1):
        tell(min(number, kinds - 1), kinds)
        try:
            what, served = next(found)
        except (StopIteration, TooLong):
            return
        if served is not None:
            yield what, served


def first(serves: Serves, tries: Iterator[Try]) -> Served | None:
    """The first that serves, of tries from small to great."""
    return next(((one, gives) for one in tries if (gives := serves(one))), None)


def least(serves: Serves, change: Change, most: float, steps: int) -> Served | None:
    """The smallest change that serves, from 1 to ``most`` times."""

    def at(times: float) -> Served | None:
        one = change(times)
        gives = serves(one) if one else None
        return (one, gives) if one and gives else None

    served, low, high = None, 0.0, 0.0
    for step in range(1, steps + 1):
        low, high = high, step / steps
        served = at(most**high)
        if served:
            break
    for _ in range(HALVINGS if served else 0):
        middle = 0.5 * (low + high)
        nearer = at(most**middle)
        served, low, high = (nearer, low, middle) if nearer else (served, middle, high)
    return served


def edited(design: Design, edit: Edit, bench: Workbench) -> Design | None:
    """The design after an edit; None where it is refused."""
    try:
        leader = apply_edit(design.leader, edit, bench)
    except NineKnotsError:
        return None
    return design.model_copy(update={"leader": leader})


def longer(now: Try, bench: Workbench, piece: int, shorter: bool, name: str) -> Change:
    """A piece so many times longer, or shorter."""
    old_m = now.design.leader.pieces[piece].length_m

    def change(times: float) -> Try | None:
        new_m = bench.units.snap_length(old_m / times if shorter else old_m * times)
        changed = edited(now.design, SetLength(piece=piece, length=new_m), bench)
        if changed is None:
            return None
        old, new = bench.units.length(old_m).text, bench.units.length(new_m).text
        return Try(f"{name} {old} → {new}", changed, now.stroke, now.ask)

    return change


def other_spools(now: Try, bench: Workbench, piece: int, thicker: bool, name: str) -> Iterator[Try]:
    """The next thicker spools of the same kind, or the next thinner."""
    old = bench.units.diameter(now.design.leader.pieces[piece].upper_diameter_m).text
    changed: Design | None = now.design
    for _ in range(MOST_STEPS):
        step = StepStock(piece=piece, by=1 if thicker else -1)
        changed = edited(changed, step, bench) if changed is not None else None
        if changed is None:
            return
        new = bench.units.diameter(changed.leader.pieces[piece].upper_diameter_m).text
        yield Try(f"{name} {old} → {new}", changed, now.stroke, now.ask)


def other_measures(
    design: Design, ask: WaterAsk, titles: dict[str, str], units: Units, tier: Tier
) -> tuple[Measure, ...]:
    """The measures that need no cast: the evaluation's, and in the water drift and depth."""
    found = evaluate(design, titles, units, tier).verdict
    if setup_of(design) == "surface":
        return found
    try:
        outcome = outcome_of(run_of(design, ask))
    except CannotCompute:
        return found
    return (*found, drift_measure(outcome, units), depth_measure(outcome, ask, units))


def effects(before: tuple[Measure, ...], after: tuple[Measure, ...]) -> tuple[Effect, ...]:
    """What changed between two sets of measures."""
    known = {measure.key: measure for measure in before}
    return tuple(
        Effect(new.title, known[new.key].figure, new.figure, new.standing)
        for new in after
        if new.key in known
        and (known[new.key].figure, known[new.key].standing) != (new.figure, new.standing)
    )
