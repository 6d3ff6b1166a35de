"""Remedies for match, hold and length, which need neither a cast nor water."""

from collections.abc import Iterator

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.side_effects import scores_without_cast
from nine_knots.core.base.score import Score
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader.connection_advice import advise
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.remedies.adjustment import OtherConnection, Part
from nine_knots.core.remedies.schools import by_school
from nine_knots.core.remedies.search import (
    Remedy,
    Served,
    Serves,
    Trial,
    TrialOutcome,
    effects,
    first,
    least,
    longer,
    other_spools,
    smallest,
)
from nine_knots.core.water.question import USUAL_QUESTION
from nine_knots.core.water.remedy_kinds import What

MOST_LENGTH = 3.0
GRAVEST = ("hold", "length", "match")
GUARDED = ("predator-wire", "class-and-bite", "level-and-wire")
"""Schools that end in what teeth do not cut."""


def verdict_remedies_for(design: Design, angler: Angler) -> tuple[Remedy, ...]:
    """For a leader whose match, hold or length is outside its band, one remedy of each kind for the
    first that is; none where all are right."""
    before = scores_without_cast(design, angler)
    wrong = [measure for measure in before if measure.status != "right"]
    wrong.sort(key=lambda measure: GRAVEST.index(measure.key))
    if not wrong:
        return ()

    right = {measure.key for measure in before if measure.status == "right"}

    def serves(trial: Trial) -> TrialOutcome:
        """Where what was wrong is right, and nothing is wrong that was right."""
        after = {measure.key: measure for measure in scores_without_cast(trial.design, angler)}
        mended = after[wrong[0].key]
        if mended.status != "right" or mended.marginal:
            return TrialOutcome(past=mended.status != wrong[0].status, short=mended.position)
        if any(after[key].status != "right" for key in right):
            return TrialOutcome(past=True)
        return TrialOutcome((mended,))

    now, found = Trial(design, Stroke(), USUAL_QUESTION), []
    for what, served in _found(now, wrong[0], angler, serves):
        if served is not None:
            one, gives = served
            changed = effects(before, scores_without_cast(one.design, angler))
            found.append(Remedy(what, one.changed, gives, one.design, changed))
    return tuple(found)


def _found(
    now: Trial, wrong: Score, angler: Angler, serves: Serves
) -> Iterator[tuple[What, Served | None]]:
    bench = Workbench(stock=angler.stock, fly=now.design.situation.fly, units=angler.units)
    last, more = len(now.design.leader.pieces) - 1, wrong.status == "too little"
    if wrong.key == "hold":
        spools = other_spools(now, bench, last, more, "tippet")
        yield "tippet spool", smallest(serves, spools)
        yield "joint", first(serves, _better_knots(now))
        yield "school", by_school(now, angler, serves, GUARDED)
        return
    if wrong.key == "length":
        yield (
            "leader length",
            least(serves, longer(now, bench, 0, not more, "butt"), MOST_LENGTH),
        )
        yield (
            "tippet length",
            least(serves, longer(now, bench, last, not more, "tippet"), MOST_LENGTH),
        )
    for piece in range(last + 1):
        part: Part = "butt" if piece == 0 else "tippet" if piece == last else piece
        served = smallest(serves, other_spools(now, bench, piece, True, part)) or smallest(
            serves, other_spools(now, bench, piece, False, part)
        )
        if served is not None:
            yield "tippet spool", served
    yield "school", by_school(now, angler, serves, ())


def _better_knots(now: Trial) -> Iterator[Trial]:
    """At each joint in turn what is advised there, where it is tied otherwise."""
    leader, day = now.design.leader, now.design.situation
    for number, joint in enumerate(leader.joints):
        best = advise(leader, number, day.line, day.fly).best
        if best.joint == joint:
            continue
        tied = leader.with_joint(number, best.joint)
        yield now.with_leader(OtherConnection(best.joint, number), tied)
