"""Remedies for the turnover, found by casting what is tried.

One thing is changed at a time: tippet length, tippet spool, butt, a middle section, fly, stroke.
"""

from collections.abc import Callable, Iterator
from dataclasses import replace
from typing import Literal

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.caster import Caster
from nine_knots.core.assess.side_effects import (
    other_measures,
    scores_without_cast,
    worsens_another,
)
from nine_knots.core.assess.turnover import mono_score
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.score import Score, Status
from nine_knots.core.casting.mono import mass_ratio
from nine_knots.core.casting.stroke import FASTEST_M_S, SPEEDS, SpeedWord, Stroke
from nine_knots.core.casting.wind import STEADY, Gust
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.tackle import Fly
from nine_knots.core.remedies.adjustment import Both, FlySwapped, OtherStroke, Part
from nine_knots.core.remedies.rig_changes import heavier_flies
from nine_knots.core.remedies.schools import by_school
from nine_knots.core.remedies.search import (
    MOST_STEPS,
    Remedy,
    Served,
    Serves,
    Trial,
    TrialOutcome,
    effects,
    first,
    found_in_time,
    least,
    longer,
    other_spools,
    outcome_by,
    smallest,
)
from nine_knots.core.schools import built_by
from nine_knots.core.water.question import USUAL_QUESTION
from nine_knots.core.water.remedy_kinds import What

MOST_LENGTH = 3.6  # times longer or shorter
KINDS = 8  # of remedies sought
ANOTHER = 1.06  # times as fast, from which it is another stroke than one's own
PAIRS, PAIR_STEPS = 3, 2  # spools tried with another length, and lengths of each
STROKES: tuple[SpeedWord, ...] = ("easy", "normal", "a fifth harder", "hard", "double haul")
"""From the softest to the hardest."""


def turnover_of(trial: Trial, caster: Caster) -> Score:
    """The turnover cord of what is tried."""
    minimum = caster.minimum(trial.design, trial.stroke)
    return caster.turnover(trial.design, trial.stroke, minimum)


def remedies_for(
    design: Design, stroke: Stroke, angler: Angler, gust: Gust = STEADY
) -> tuple[Remedy, ...]:
    """For a leader outside its band, one remedy of each kind that works; none for one inside it.

    A remedy must bring it well in, not just to the edge.

    Mono rigs are judged by mass, and mended by a heavier fly or thinner mono.
    """
    now = Trial(design, stroke, USUAL_QUESTION)
    if mass_ratio(design.leader, design.situation.fly) is not None:
        return _of_mono(now, angler)
    caster = Caster(angler, gust)
    status: Status = "too little"
    if not caster.lacks(design, stroke):
        status = turnover_of(now, caster).status
    if status == "right":
        return ()
    more = status == "too little"

    def measures(trial: Trial) -> Iterator[Score]:
        yield turnover_of(trial, caster)

    judged = outcome_by(measures, more)
    without_cast = scores_without_cast(design, angler)

    def serves(trial: Trial) -> TrialOutcome:
        if worsens_another(without_cast, scores_without_cast(trial.design, angler)):
            return TrialOutcome(past=True)
        if more:
            try:
                lacks = caster.lacks(trial.design, trial.stroke)
            except CannotCompute:
                return TrialOutcome(past=True)
            if lacks:
                return TrialOutcome(short=-lacks)
        return judged(trial)

    before = other_measures(design, USUAL_QUESTION, angler)
    remedies = []
    found = _found(now, angler, serves, more)
    for what, (item, gives) in found_in_time(found, KINDS):
        after = other_measures(item.design, USUAL_QUESTION, angler)
        if worsens_another(before, after):
            continue
        sets: dict[Literal["speed"], str] | None = None
        if what == "stroke":
            sets = {"speed": _word_of(item.stroke, angler)}
        changed = effects(before, after)
        remedies.append(Remedy(what, item.changed, gives, item.design, changed, stroke=sets))
    return tuple(remedies)


def _found(
    now: Trial, angler: Angler, serves: Serves, more: bool
) -> Iterator[tuple[What, Served | None]]:
    """One of each kind: to open more, or to open less."""
    units = angler.units
    bench = Workbench(stock=angler.stock, fly=now.design.situation.fly, units=units)
    last = len(now.design.leader.pieces) - 1
    by_length = longer(now, bench, last, more, _part(now, last))
    length = least(serves, by_length, MOST_LENGTH)
    yield "tippet length", length
    spool = smallest(serves, other_spools(now, bench, last, more, _role(last)))
    yield "tippet spool", spool
    yield "butt", smallest(serves, other_spools(now, bench, 0, more, _role(0)))
    middle = _longest_inner(now.design)
    if middle is not None:
        by_middle = longer(now, bench, middle, not more, _part(now, middle))
        yield "middle", least(serves, by_middle, MOST_LENGTH)
    if length is None and spool is None:
        yield "tippet spool and length", _pair(now, bench, serves, last, more)
    yield "fly", first(serves, _flies(now, angler.flies, more))
    yield "stroke", first(serves, _strokes(now, angler, more))
    own = built_by(now.design.leader)
    yield "school", by_school(now, angler, serves, (own.disagrees.school,) if own else ())


def _pair(now: Trial, bench: Workbench, serves: Serves, last: int, more: bool) -> Served | None:
    """Another tippet spool and another length of it, where neither serves alone."""
    spools = tuple(other_spools(now, bench, last, more, _role(last), most=2 * PAIRS))
    for item in dict.fromkeys((*spools[:2], *spools[1::2])):  # near ones, then every second
        served = least(serves, longer(item, bench, last, more, "tippet"), MOST_LENGTH, PAIR_STEPS)
        if served is not None:
            both, gives = served
            return replace(both, change=Both(item.changed, both.changed)), gives
    return None


def _of_mono(now: Trial, angler: Angler) -> tuple[Remedy, ...]:
    """A heavier fly of the box, or thinner mono off the shelf."""

    def measures(trial: Trial) -> Iterator[Score]:
        ratio = mass_ratio(trial.design.leader, trial.design.situation.fly)
        if ratio is not None:
            yield mono_score(ratio)

    day, units = now.design.situation, angler.units
    bench = Workbench(stock=angler.stock, fly=day.fly, units=units)
    serves = outcome_by(measures, more=True)
    before = other_measures(now.design, USUAL_QUESTION, angler)
    found: tuple[tuple[What, Served | None], ...] = (
        ("fly", first(serves, heavier_flies(now, angler.flies))),
        ("butt", smallest(serves, other_spools(now, bench, 0, False, "mono"))),
    )
    return tuple(
        Remedy(
            what,
            served[0].changed,
            served[1],
            served[0].design,
            effects(before, other_measures(served[0].design, USUAL_QUESTION, angler)),
        )
        for what, served in found
        if served is not None
    )


def _part(now: Trial, piece: int) -> Part:
    return "tippet" if piece == len(now.design.leader.pieces) - 1 else piece


def _role(piece: int) -> Part:
    return "butt" if piece == 0 else "tippet"


def _longest_inner(design: Design) -> int | None:
    """The longest section between butt and tippet: longer it carries more, shorter less."""
    inner = range(1, len(design.leader.pieces) - 1)
    return max(inner, key=lambda i: design.leader.pieces[i].length_m) if inner else None


def _flies(now: Trial, flies: tuple[Fly, ...], more: bool) -> Iterator[Trial]:
    """Flies of the same kind from the box, the nearest in air resistance first."""
    own = now.design.situation.fly
    load: Callable[[Fly], float] = lambda fly: fly.air_drag_area_m2  # noqa: E731
    fit = [fly for fly in flies if fly.kind == own.kind and (load(fly) < load(own)) == more]
    for fly in sorted(fit, key=lambda other_fly: abs(load(other_fly) - load(own)))[:MOST_STEPS]:
        yield now.with_fly(FlySwapped(fly.title), fly)


def other_strokes(
    stroke: Stroke, angler: Angler, *, harder: bool
) -> Iterator[tuple[SpeedWord, Stroke]]:
    """The angler's other strokes by their words, harder ones or easier ones, the nearest first."""
    now_m_s = stroke.speed_m_s
    for word in STROKES if harder else reversed(STROKES):
        speed = SPEEDS[word] * angler.cast.speed_factor
        other = speed > ANOTHER * now_m_s if harder else speed < now_m_s / ANOTHER
        if other and speed <= FASTEST_M_S:
            yield word, stroke.model_copy(update={"speed_m_s": speed})


def _strokes(now: Trial, angler: Angler, more: bool) -> Iterator[Trial]:
    """Harder ones to open more, easier ones to open less."""
    for word, stroke in other_strokes(now.stroke, angler, harder=more):
        yield replace(now, change=OtherStroke(word), stroke=stroke)


def _word_of(stroke: Stroke, angler: Angler) -> str:
    factor = angler.cast.speed_factor
    return min(STROKES, key=lambda word: abs(SPEEDS[word] * factor - stroke.speed_m_s))
