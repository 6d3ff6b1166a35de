"""Searching for the smallest change that serves: each is tried by the model, none is canned.

Sizes are sought by halves, since what one overdoes a greater one does too; lengths and speeds are
stepped until one serves and then halved back to the least that does.
"""

from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass, replace
from math import inf
from typing import Literal

from pydantic import ValidationError

from nine_knots.core.base.cancellation import report_progress
from nine_knots.core.base.errors import CannotCompute, Refused, TimedOut
from nine_knots.core.base.score import Score, Status
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import Edit, SetLength, StepStock
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tackle import Fly
from nine_knots.core.water.question import FieldKey, WaterQuestion
from nine_knots.core.water.remedy_kinds import What

STEPS = 5  # in which a length or a speed is changed
HALVINGS = 2  # back from the first step that serves
HALVINGS_BETWEEN = 3  # between a step that is not enough and one that goes past
MOST_STEPS = 3  # through the spools owned


@dataclass(frozen=True, slots=True)
class RemedyEffect:
    """What a remedy does to another measure."""

    title: str
    before: str
    after: str
    status: Status


@dataclass(frozen=True, slots=True)
class Remedy:
    """One change, the design after it, and what it does; ``stroke`` and ``fished`` are what it
    sets of the stroke (as it is typed) and of how it is fished (in SI) instead."""

    what: What
    words: str
    gives: str
    design: Design
    effects: tuple[RemedyEffect, ...]
    stroke: dict[Literal["speed"], str] | None = None
    fished: dict[FieldKey, float] | None = None


@dataclass(frozen=True)
class Trial:
    """A change in words, and what is to be tried: design, stroke, way of fishing."""

    words: str
    design: Design
    stroke: Stroke
    ask: WaterQuestion

    def with_leader(self, words: str, leader: Leader) -> "Trial":
        """The same with another leader."""
        return self._with(words, leader=leader)

    def with_fly(self, words: str, fly: Fly) -> "Trial":
        """The same with another fly at the point."""
        situation = self.design.situation.model_copy(update={"fly": fly})
        return self._with(words, situation=situation)

    def _with(self, words: str, **changes: Leader | Situation) -> "Trial":
        design = self.design.model_copy(update=changes)
        return replace(self, words=words, design=design)


Change = Callable[[float], Trial | None]
"""A change by so many times, as something to try; None where it cannot be made."""


@dataclass(frozen=True, slots=True)
class TrialOutcome:
    """How a change does: in words where it is well in its band; else whether it went past it, or
    where it stands (the more, the nearer) before it."""

    gives: str | None = None
    past: bool = False
    short: float = -inf

    @property
    def is_not_enough(self) -> bool:
        """Whether more of it is wanted."""
        return self.gives is None and not self.past


TOO_FAR = TrialOutcome(past=True)
Serves = Callable[[Trial], TrialOutcome]
Served = tuple[Trial, str]


def outcome_by(measures: Callable[[Trial], Iterable[Score]], more: bool) -> Serves:
    """Serves where every measure is right and none on the edge; what is refused does not.

    The first that is not ends it: what costs most to work out comes last. With ``more`` changes
    go from too little up, and what is too much has gone past; else the other way about.
    """
    beyond = "too much" if more else "too little"

    def serves(trial: Trial) -> TrialOutcome:
        figures: list[str] = []
        try:
            for measure in measures(trial):
                if measure.status != "right" or measure.marginal:
                    near = measure.position if more else -measure.position
                    return TrialOutcome(past=measure.status == beyond, short=near)
                figures.append(measure.figure)
        except CannotCompute:
            return TrialOutcome(past=more)  # what cannot be worked out is too heavy or too long
        return TrialOutcome("; ".join(dict.fromkeys(figures)))

    return serves


def found_in_time(
    found: Iterator[tuple[What, Served | None]], kinds: int
) -> Iterator[tuple[What, Served]]:
    """Of each kind sought in turn, those that serve; where time runs out, those found till then.

    Raises TimedOut where none was found in the time: that is not the same as there being none.
    """
    any_found = False
    for number in range(kinds + 1):
        report_progress(min(number, kinds - 1), kinds)
        try:
            what, served = next(found)
        except StopIteration:
            return
        except TimedOut:
            if not any_found:
                raise
            return
        if served is not None:
            any_found = True
            yield what, served


def smallest(serves: Serves, tries: Iterable[Trial]) -> Served | None:
    """The smallest that serves, of tries in order from small to great, by halves.

    Where one goes past the band every greater one does, and where the greatest is not enough none
    is; so few of many need be tried.
    """
    in_order = tuple(tries)
    served, low, high = None, 0, len(in_order) - 1
    place = high  # the greatest first
    while low <= high:
        judged = serves(in_order[place])
        if judged.gives is not None:
            served, high = (in_order[place], judged.gives), place - 1
        elif judged.past:
            high = place - 1
        else:
            low = place + 1
        place = (low + high) // 2
    return served


def least(serves: Serves, change: Change, most: float, steps: int = STEPS) -> Served | None:
    """The smallest change that serves, from 1 to ``most`` times.

    In steps till one serves, goes past what would, or does worse than the one before (longer is
    not always deeper); then by halves between the last two.
    """
    served, past, low, high, before = None, False, 0.0, 0.0, -inf
    for step in range(1, steps + 1):
        low, high = high, step / steps
        served, judged = _at(serves, change, most**high)
        past = judged.past
        if served or past or judged.short < before:
            break
        before = judged.short
    for _ in range(HALVINGS if served else HALVINGS_BETWEEN if past else 0):
        middle = 0.5 * (low + high)
        nearer, judged = _at(serves, change, most**middle)
        if nearer:
            served, high = nearer, middle
        elif served or not judged.past:
            low = middle
        else:
            high = middle
    return served


def _at(serves: Serves, change: Change, times: float) -> tuple[Served | None, TrialOutcome]:
    """A change that serves, and how it was judged."""
    one = change(times)
    judged = serves(one) if one is not None else TOO_FAR
    served = (one, judged.gives) if one is not None and judged.gives is not None else None
    return served, judged


def first(serves: Serves, tries: Iterable[Trial]) -> Served | None:
    """The first that serves, of tries that have no order of size."""
    for trial in tries:
        judged = serves(trial)
        if judged.gives is not None:
            return trial, judged.gives
    return None


def edited(design: Design, edit: Edit, bench: Workbench) -> Design | None:
    """The design after an edit; None where it is refused."""
    try:
        leader = apply_edit(design.leader, edit, bench)
    except (Refused, ValidationError):
        return None
    return design.model_copy(update={"leader": leader})


def longer(now: Trial, bench: Workbench, piece: int, shorter: bool, name: str) -> Change:
    """A piece so many times longer, or shorter."""
    old_m = now.design.leader.pieces[piece].length_m

    def change(times: float) -> Trial | None:
        new_m = bench.units.snap_length(old_m / times if shorter else old_m * times)
        changed = edited(now.design, SetLength(piece=piece, length=new_m), bench)
        if changed is None:
            return None
        old, new = bench.units.length(old_m).text, bench.units.length(new_m).text
        return Trial(f"{name} {old} → {new}", changed, now.stroke, now.ask)

    return change


def other_spools(
    now: Trial, bench: Workbench, piece: int, thicker: bool, name: str, most: int = MOST_STEPS
) -> Iterator[Trial]:
    """The next thicker spools of the same kind, or the next thinner."""
    old = bench.units.diameter(now.design.leader.pieces[piece].upper_diameter_m).text
    changed: Design | None = now.design
    for _ in range(most):
        step = StepStock(piece=piece, by=1 if thicker else -1)
        changed = edited(changed, step, bench) if changed is not None else None
        if changed is None:
            return
        new = bench.units.diameter(changed.leader.pieces[piece].upper_diameter_m).text
        yield Trial(f"{name} {old} → {new}", changed, now.stroke, now.ask)


def effects(before: tuple[Score, ...], after: tuple[Score, ...]) -> tuple[RemedyEffect, ...]:
    """What changed between two sets of measures."""
    known = {measure.key: measure for measure in before}
    return tuple(
        RemedyEffect(new.title, known[new.key].figure, new.figure, new.status)
        for new in after
        if new.key in known
        and (known[new.key].figure, known[new.key].status) != (new.figure, new.status)
    )
