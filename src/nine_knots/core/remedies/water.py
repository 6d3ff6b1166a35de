"""Remedies for drift and depth, found by fishing what is tried, one change at a time."""

from collections.abc import Iterator

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.caster import Caster
from nine_knots.core.assess.side_effects import other_measures, worsens_another
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.score import Score
from nine_knots.core.casting.mono import mass_ratio
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import STEADY, Gust
from nine_knots.core.domain.design import Design
from nine_knots.core.remedies.changes import changes, remedy_search
from nine_knots.core.remedies.search import (
    Remedy,
    Trial,
    effects,
    found_in_time,
    outcome_by,
)
from nine_knots.core.remedies.turnover import turnover_of
from nine_knots.core.techniques import technique_of
from nine_knots.core.water.question import USUAL_QUESTION, WaterQuestion, changed_fields
from nine_knots.core.water.remedy_kinds import What


def water_remedies_for(
    design: Design,
    stroke: Stroke,
    angler: Angler,
    ask: WaterQuestion = USUAL_QUESTION,
    gust: Gust = STEADY,
) -> tuple[Remedy, ...]:
    """For a rig whose drift or depth is outside its band, one remedy of each kind that works.

    Each is fished again, and cast again to say what it does to the turnover.
    """
    fisher = _Fisher(angler, Caster(angler, gust))
    now = Trial(design, stroke, ask)
    try:
        measures = tuple(fisher.measures(now))
    except CannotCompute:
        return ()
    wrong = [m for m in reversed(measures) if m.status != "right"]
    if not wrong:
        return ()
    sink_more = wrong[0].status == "too little"
    serves = outcome_by(fisher.measures, sink_more)
    before = fisher.all_measures(now)
    remedies = []
    technique = technique_of(design)
    sought = remedy_search(now, technique, serves, sink_more, angler)
    kinds: tuple[What, ...] = (*technique.remedies, "school")
    for what, (item, gives) in found_in_time(changes(sought, kinds), len(kinds)):
        after = fisher.all_measures(item)
        if worsens_another(before, after):
            continue
        others = tuple(e for e in effects(before, after) if e.after.key not in ("drift", "depth"))
        asked = changed_fields(ask, item.ask) or None
        remedies.append(Remedy(what, item.changed, gives, item.design, others, fished=asked))
    return tuple(remedies)


class _Fisher:
    """Fishes what is tried; a dry fly is cast first, for the slack in which it lands."""

    def __init__(self, angler: Angler, caster: Caster) -> None:
        self._angler, self._caster = angler, caster

    def measures(self, trial: Trial) -> Iterator[Score]:
        technique, ask = technique_of(trial.design), trial.ask
        if technique.by_slack:
            minimum = self._caster.minimum(trial.design, trial.stroke)
            slack_m = self._caster.slack(trial.design, trial.stroke, minimum).slack_m
            ask = ask.model_copy(update={"slack_m": slack_m})
        return technique.measures(trial.design, ask)

    def all_measures(self, trial: Trial) -> tuple[Score, ...]:
        found = other_measures(trial.design, trial.ask, self._angler)
        if mass_ratio(trial.design.leader, trial.design.situation.fly) is not None:
            return found
        try:
            return (turnover_of(trial, self._caster), *found)
        except CannotCompute:
            return found
