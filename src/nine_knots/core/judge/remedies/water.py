"""Remedies for drift and depth, found by fishing what is tried, one change at a time."""

from collections.abc import Iterator

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.measure import Measure
from nine_knots.core.judge.angler import Angler
from nine_knots.core.judge.caster import Caster
from nine_knots.core.judge.remedies.bystanders import breaks_another, other_measures
from nine_knots.core.judge.remedies.changes import changes, sought_for
from nine_knots.core.judge.remedies.search import (
    Remedy,
    Try,
    effects,
    judged_by,
    those_in_time,
)
from nine_knots.core.judge.remedies.turnover import turnover_of
from nine_knots.core.judge.remedies.what import What
from nine_knots.core.judge.ways import judgement_of
from nine_knots.core.models.cast.mono import mass_ratio
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.models.cast.wind import STEADY, Gust
from nine_knots.core.models.water.ask import USUAL_ASK, WaterAsk, changed_fields
from nine_knots.core.models.ways import way_of
from nine_knots.core.trade.design import Design


def water_remedies_for(
    design: Design,
    stroke: Stroke,
    angler: Angler,
    ask: WaterAsk = USUAL_ASK,
    gust: Gust = STEADY,
) -> tuple[Remedy, ...]:
    """For a rig whose drift or depth is outside its band, one remedy of each kind that works.

    Each is fished again, and cast again to say what it does to the turnover.
    """
    fisher = _Fisher(angler, Caster(angler, gust))
    now = Try("", design, stroke, ask)
    try:
        measures = tuple(fisher.measures(now))
    except CannotCompute:
        return ()
    wrong = [m for m in reversed(measures) if m.standing != "right"]
    if not wrong:
        return ()
    sink_more = wrong[0].standing == "too little"
    serves = judged_by(fisher.measures, sink_more)
    before = fisher.all_measures(now)
    remedies = []
    judgement = judgement_of(way_of(design))
    sought = sought_for(now, judgement, serves, sink_more, angler)
    kinds: tuple[What, ...] = (*judgement.remedies, "school")
    for what, (one, gives) in those_in_time(changes(sought, kinds), len(kinds)):
        after = fisher.all_measures(one)
        if breaks_another(before, after):
            continue
        others = tuple(e for e in effects(before, after) if e.title not in ("Drift", "Depth"))
        asked = changed_fields(ask, one.ask) or None
        remedies.append(Remedy(what, one.words, gives, one.design, others, fished=asked))
    return tuple(remedies)


class _Fisher:
    """Fishes what is tried; a dry fly is cast first, for the slack in which it lands."""

    def __init__(self, angler: Angler, caster: Caster) -> None:
        self._angler, self._caster = angler, caster

    def measures(self, one: Try) -> Iterator[Measure]:
        judgement, ask = judgement_of(way_of(one.design)), one.ask
        if judgement.by_slack:
            minimum = self._caster.minimum(one.design, one.stroke)
            slack_m = self._caster.slack_m(one.design, one.stroke, minimum)
            ask = ask.model_copy(update={"slack_m": slack_m})
        return judgement.measures(one.design, ask, self._angler.units)

    def all_measures(self, one: Try) -> tuple[Measure, ...]:
        found = other_measures(one.design, one.ask, self._angler)
        if mass_ratio(one.design.leader, one.design.situation.fly) is not None:
            return found
        try:
            return (turnover_of(one, self._caster), *found)
        except CannotCompute:
            return found
