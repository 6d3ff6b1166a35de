"""How a leader does on a day, as it is or with the one thing that is changed there and then."""

from collections.abc import Iterator
from dataclasses import dataclass

from nine_knots.core.base.errors import Refused
from nine_knots.core.base.measure import Measure
from nine_knots.core.base.patience import still_wanted
from nine_knots.core.base.whole_cache import cached_whole
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.at_the_water import served_at_the_water, throws_for
from nine_knots.core.judge.day_reader import DayReader
from nine_knots.core.judge.water_rules import keeps_rules
from nine_knots.core.judge.ways import judgement_of
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.cast.wind import Gust
from nine_knots.core.models.ways import way_of
from nine_knots.core.trade.design import Design
from nine_knots.core.trade.leader import Leader
from nine_knots.core.trade.situation import Situation

A_CHANGE = 0.2  # of a cord's length, what a change at the water costs
A_KNOT = 0.03  # what each knot costs, as where schools are ranked for a day
KEPT = 4096  # leaders on days that are remembered from one plan to the next


@dataclass(frozen=True, slots=True)
class Fit:
    """A leader that serves a day, set as it is fished there.

    ``off`` is how far its measures are from the middle of their bands, its knots counted in;
    ``words`` say what is set otherwise than as it was tied, or how it is thrown.
    """

    design: Design
    stroke: Stroke
    measures: tuple[Measure, ...]
    off: float
    words: str


@cached_whole(KEPT)
def fit_of(
    leader: Leader, title: str, day: Situation, stroke: Stroke, angler: Angler, gust: Gust
) -> Fit | None:
    """The leader on the day; None where it does not serve it, or the water's rules forbid it.

    Its length beside that of its school is not asked: a leader that goes on is not retied for it.
    """
    still_wanted()
    design = Design(title=title, situation=day, leader=leader)
    if not keeps_rules(design, angler.units):
        return None
    reader = DayReader(day, angler, gust)
    try:
        measures = _asked(reader.measures(leader, stroke))
        if _right(measures):
            return Fit(design, stroke, measures, _off(measures, leader), "")
        for words, changed, thrown, after in _changed(design, reader, stroke, measures):
            if _right(after):
                return Fit(changed, thrown, after, _off(after, leader) + A_CHANGE, words)
    except Refused:
        return None
    return None


def _changed(
    design: Design, reader: DayReader, stroke: Stroke, measures: tuple[Measure, ...]
) -> Iterator[tuple[str, Design, Stroke, tuple[Measure, ...]]]:
    wrong = tuple(one for one in measures if one.standing != "right")
    for words, thrown in throws_for(wrong, reader.day, stroke, reader.angler):
        yield words, design, thrown, _asked(reader.measures(design.leader, thrown))
    by_slack = judgement_of(way_of(design)).by_slack
    if {one.key for one in wrong} <= {"depth", "drift"} and not by_slack:
        served = served_at_the_water(design, stroke, reader.angler, wrong[0])
        if served is not None:
            words, changed = served
            yield words, changed, stroke, _asked(reader.measures(changed.leader, stroke))


def _asked(measures: tuple[Measure, ...]) -> tuple[Measure, ...]:
    return tuple(one for one in measures if one.key != "length")


def _right(measures: tuple[Measure, ...]) -> bool:
    return all(one.standing == "right" for one in measures)


def _off(measures: tuple[Measure, ...], leader: Leader) -> float:
    knots = len(leader.joints) - 1
    return sum(abs(one.position - 0.5) for one in measures) + A_KNOT * knots
