"""What an angler changes there and then, tried on the models: what is set, what is thrown."""

from collections.abc import Iterator

from nine_knots.core.base.measure import Measure
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.remedies.changes import changes, in_the_water, sought_for
from nine_knots.core.judge.remedies.search import Try
from nine_knots.core.judge.remedies.turnover import STROKES, other_strokes
from nine_knots.core.judge.ways import judgement_of
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.water.ask import USUAL_ASK
from nine_knots.core.models.ways import way_of
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.situation import Situation


def served_at_the_water(
    design: Design, stroke: Stroke, angler: Angler, wrong: Measure
) -> tuple[str, Design] | None:
    """The first change of the leader itself (its setting, what is pinched on it) that serves, in
    words, with the design after it; None where none does."""
    more, judgement = wrong.standing == "too little", judgement_of(way_of(design))
    serves = in_the_water(judgement, angler.units, more)
    now = Try("", design, stroke, USUAL_ASK)
    sought = sought_for(now, judgement, serves, more, angler)
    for _, served in changes(sought, judgement.at_the_water):
        if served is None:
            continue
        one = served[0]
        if one.ask == USUAL_ASK and one.design.situation == design.situation:
            return one.words, one.design
    return None


def throws_for(
    wrong: tuple[Measure, ...], day: Situation, stroke: Stroke, angler: Angler
) -> Iterator[tuple[str, Stroke]]:
    """How else it may be thrown, in words: harder where it only does not open, with a stop and drop
    where a fly that floats only drags too soon."""
    if [(one.key, one.standing) for one in wrong] == [("turnover", "too little")]:
        for word, harder in other_strokes(stroke, angler, harder=True):
            yield f"with {STROKES[word]}", harder
    if {one.key for one in wrong} == {"drift"} and day.floats:
        yield "thrown with a stop and drop", stroke.model_copy(update={"drop": True})
