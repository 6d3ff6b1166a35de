"""How a leader does on a day, as it is or with the one thing that is changed there and then."""

from collections.abc import Iterator
from dataclasses import dataclass

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.assessor import Assessor
from nine_knots.core.assess.water_rules import keeps_rules
from nine_knots.core.base.cancellation import check_cancelled
from nine_knots.core.base.errors import Refused
from nine_knots.core.base.result_cache import cached_result
from nine_knots.core.base.score import Score
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import Gust
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.situation import Situation
from nine_knots.core.remedies.adjustment import Adjustment
from nine_knots.core.remedies.at_the_water import first_remedy_at_the_water, other_throws
from nine_knots.core.schools import line_leads
from nine_knots.core.schools.by_water import fished_span
from nine_knots.core.techniques import technique_of

A_CHANGE = 0.2  # of a cord's length, what a change at the water costs
A_KNOT = 0.03  # what each knot costs, as where schools are ranked for a day
KEPT = 4096  # leaders on days that are remembered from one plan to the next


@dataclass(frozen=True, slots=True)
class Fit:
    """A leader that serves a day, set as it is fished there.

    ``off`` is how far its measures are from the middle of their bands, its knots counted in;
    ``change`` is what is set otherwise than as it was tied, or how it is thrown.
    """

    design: Design
    stroke: Stroke
    measures: tuple[Score, ...]
    off: float
    change: Adjustment | None = None


@cached_result(KEPT)
def fit_of(
    leader: Leader, title: str, day: Situation, stroke: Stroke, angler: Angler, gust: Gust
) -> Fit | None:
    """The leader on the day; None where it does not serve it, or the water's rules forbid it.

    Its length beside that of its school is not asked, for a leader that goes on is not retied for
    it; only whether anybody fishes one so long on that line.
    """
    check_cancelled()
    shortest_m, longest_m = fished_span(day)
    if line_leads(leader) and not shortest_m <= leader.length_m <= longest_m:
        return None
    design = Design(title=title, situation=day, leader=leader)
    if not keeps_rules(design):
        return None
    reader = Assessor(day, angler, gust)
    try:
        measures = _asked(reader.measures(leader, stroke))
        if _right(measures):
            return Fit(design, stroke, measures, _off(measures, leader))
        for change, changed, thrown, after in _changed(design, reader, stroke, measures):
            if _right(after):
                return Fit(changed, thrown, after, _off(after, leader) + A_CHANGE, change)
    except Refused:
        return None
    return None


def _changed(
    design: Design, reader: Assessor, stroke: Stroke, measures: tuple[Score, ...]
) -> Iterator[tuple[Adjustment, Design, Stroke, tuple[Score, ...]]]:
    wrong = tuple(score for score in measures if score.status != "right")
    for change, thrown in other_throws(wrong, reader.day, stroke, reader.angler):
        yield change, design, thrown, _asked(reader.measures(design.leader, thrown))
    by_slack = technique_of(design).by_slack
    if {other_score.key for other_score in wrong} <= {"depth", "drift"} and not by_slack:
        served = first_remedy_at_the_water(design, stroke, reader.angler, wrong[0])
        if served is not None:
            change, changed = served
            yield change, changed, stroke, _asked(reader.measures(changed.leader, stroke))


def _asked(measures: tuple[Score, ...]) -> tuple[Score, ...]:
    return tuple(score for score in measures if score.key != "length")


def _right(measures: tuple[Score, ...]) -> bool:
    return all(score.status == "right" for score in measures)


def _off(measures: tuple[Score, ...], leader: Leader) -> float:
    knots = len(leader.joints) - 1
    return sum(abs(score.position - 0.5) for score in measures) + A_KNOT * knots
