"""What an angler changes there and then, tried on the models: what is set, what is thrown."""

from collections.abc import Iterator

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.score import Score
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.situation import Situation
from nine_knots.core.remedies.adjustment import Adjustment, OtherStroke, StopAndDrop
from nine_knots.core.remedies.changes import changes, in_the_water, remedy_search
from nine_knots.core.remedies.search import Trial
from nine_knots.core.remedies.turnover import other_strokes
from nine_knots.core.techniques import technique_of
from nine_knots.core.water.question import USUAL_QUESTION


def first_remedy_at_the_water(
    design: Design, stroke: Stroke, angler: Angler, wrong: Score
) -> tuple[Adjustment, Design] | None:
    """The first change of the leader itself (its setting, what is pinched on it) that serves, with
    the design after it; None where none does."""
    more, technique = wrong.status == "too little", technique_of(design)
    serves = in_the_water(technique, more)
    now = Trial(design, stroke, USUAL_QUESTION)
    sought = remedy_search(now, technique, serves, more, angler)
    for _, served in changes(sought, technique.at_the_water):
        if served is None:
            continue
        one = served[0]
        if one.ask == USUAL_QUESTION and one.design.situation == design.situation:
            return one.changed, one.design
    return None


def other_throws(
    wrong: tuple[Score, ...], day: Situation, stroke: Stroke, angler: Angler
) -> Iterator[tuple[Adjustment, Stroke]]:
    """How else it may be thrown: harder where it only does not open, with a stop and drop
    where a fly that floats only drags too soon."""
    if [(score.key, score.status) for score in wrong] == [("turnover", "too little")]:
        for word, harder in other_strokes(stroke, angler, harder=True):
            yield OtherStroke(word), harder
    if {score.key for score in wrong} == {"drift"} and day.floats:
        yield StopAndDrop(), stroke.model_copy(update={"drop": True})
