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
from nine_knots.core.base.score import Score
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.leader.editing import apply_edit
from nine_knots.core.domain.leader.edits import Edit, SetLength, StepStock
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tackle import Fly
from nine_knots.core.remedies.adjustment import Adjustment, Lengthened, Part, Respooled
from nine_knots.core.water.question import FieldKey, WaterQuestion
from nine_knots.core.water.remedy_kinds import What

STEPS = 5  # in which a length or a speed is changed
HALVINGS = 2  # back from the first step that serves
HALVINGS_BETWEEN = 3  # between a step that is not enough and one that goes past
MOST_STEPS = 3  # through the spools owned


@dataclass(frozen=True, slots=True)
class RemedyEffect:
    """Another measure before a remedy and after it."""

    before: Score
    after: Score


@dataclass(frozen=True, slots=True)
class Remedy:
    """One change, the design after it, what is then right (``gives``), and what it does to other
    measures; ``stroke`` and ``fished`` are what it sets of the stroke (as it is typed) and of how
    it is fished (in SI) instead."""

    what: What
    change: Adjustment
    gives: tuple[Score, ...]
    design: Design
    effects: tuple[RemedyEffect, ...]
    stroke: dict[Literal["speed"], str] | None = None
    fished: dict[FieldKey, float] | None = None


@dataclass(frozen=True)
class Trial:
    """What is tried: design, stroke and way of fishing, and the change that led there; None for
    the rig as it is."""

    design: Design
    stroke: Stroke
    ask: WaterQuestion
    change: Adjustment | None = None

    @property
    def changed(self) -> Adjustment:
        """The change; ValueError for the rig as it is."""
        if self.change is None:
            raise ValueError("nothing was changed")
        return self.change

    def with_leader(self, change: Adjustment, leader: Leader) -> "Trial":
        """The same with another leader."""
        return self._with(change, leader=leader)

    def with_fly(self, change: Adjustment, fly: Fly) -> "Trial":
        """The same with another fly at the point."""
        situation = self.design.situation.model_copy(update={"fly": fly})
        return self._with(change, situation=situation)

    def _with(self, change: Adjustment, **changes: Leader | Situation) -> "Trial":
        design = self.design.model_copy(update=changes)
        return replace(self, change=change, design=design)


Change = Callable[[float], Trial | None]
"""A change by so many times, as something to try; None where it cannot be made."""


@dataclass(frozen=True, slots=True)
class TrialOutcome:
    """How a change does: the measures, where it is well in their bands; else whether it went past
    them, or where it stands (the more, the nearer) before."""

    gives: tuple[Score, ...] | None = None
    past: bool = False
    short: float = -inf

    @property
    def is_not_enough(self) -> bool:
        """Whether more of it is wanted."""
        return self.gives is None and not self.past


TOO_FAR = TrialOutcome(past=True)
Serves = Callable[[Trial], TrialOutcome]
Served = tuple[Trial, tuple[Score, ...]]


def outcome_by(measures: Callable[[Trial], Iterable[Score]], more: bool) -> Serves:
    """Serves where every measure is right and none on the edge; what is refused does not.

    The first that is not ends it: what costs most to work out comes last. With ``more`` changes
    go from too little up, and what is too much has gone past; else the other way about.
    """
    beyond = "too much" if more else "too little"

    def serves(trial: Trial) -> TrialOutcome:
        right: list[Score] = []
        try:
            for measure in measures(trial):
                if measure.status != "right" or measure.marginal:
                    near = measure.position if more else -measure.position
                    return TrialOutcome(past=measure.status == beyond, short=near)
                right.append(measure)
        except CannotCompute:
            return TrialOutcome(past=more)  # what cannot be worked out is too heavy or too long
        return TrialOutcome(tuple(right))

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


def longer(now: Trial, bench: Workbench, piece: int, shorter: bool, part: Part) -> Change:
    """A piece so many times longer, or shorter."""
    old_m = now.design.leader.pieces[piece].length_m

    def change(times: float) -> Trial | None:
        new_m = bench.units.snap_length(old_m / times if shorter else old_m * times)
        changed = edited(now.design, SetLength(piece=piece, length=new_m), bench)
        if changed is None:
            return None
        return replace(now, design=changed, change=Lengthened(part, old_m, new_m))

    return change


def other_spools(
    now: Trial, bench: Workbench, piece: int, thicker: bool, part: Part, most: int = MOST_STEPS
) -> Iterator[Trial]:
    """The next thicker spools of the same kind, or the next thinner."""
    old_m = now.design.leader.pieces[piece].upper_diameter_m
    changed: Design | None = now.design
    for _ in range(most):
        step = StepStock(piece=piece, by=1 if thicker else -1)
        changed = edited(changed, step, bench) if changed is not None else None
        if changed is None:
            return
        new_m = changed.leader.pieces[piece].upper_diameter_m
        yield replace(now, design=changed, change=Respooled(part, old_m, new_m))


def effects(before: tuple[Score, ...], after: tuple[Score, ...]) -> tuple[RemedyEffect, ...]:
    """The measures that are in both sets, before and after."""
    known = {measure.key: measure for measure in before}
    return tuple(RemedyEffect(known[new.key], new) for new in after if new.key in known)
