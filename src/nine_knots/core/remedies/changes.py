"""Every kind of change at the water or at the table, sought until the smallest serves."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from itertools import islice

from nine_knots.core.assess.angler import Angler
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.remedies.rig_changes import (
    beads,
    counts,
    degreased,
    heavier_flies,
    leads,
    outs,
    settings,
    shot_and_setting,
    shots,
    sink_tips,
    without_dropper,
)
from nine_knots.core.remedies.schools import by_school
from nine_knots.core.remedies.search import (
    MOST_STEPS,
    Served,
    Serves,
    Trial,
    first,
    least,
    longer,
    other_spools,
    outcome_by,
    smallest,
)
from nine_knots.core.water.remedy_kinds import What
from nine_knots.core.water.technique import Technique

MOST_TIMES, MOST_COUNT = 2.6, 6.0


@dataclass(frozen=True)
class RemedySearch:
    """What a change is sought for: the rig as it is, what serves, and whether it must sink more."""

    now: Trial
    bench: Workbench
    serves: Serves
    more: bool
    shorter_sinks: bool
    angler: Angler
    others: tuple[str, ...]

    @property
    def last(self) -> int:
        """The tippet's number."""
        return len(self.now.design.leader.pieces) - 1


def remedy_search(
    now: Trial, technique: Technique, serves: Serves, more: bool, angler: Angler
) -> RemedySearch:
    """A search for changes of a rig that is judged so, from the angler's spools."""
    fly = now.design.situation.fly
    bench = Workbench(stock=angler.stock, fly=fly, units=angler.units)
    sinks, others = technique.shorter_sinks, technique.other_schools
    return RemedySearch(now, bench, serves, more, sinks, angler, others)


def in_the_water(technique: Technique, more: bool) -> Serves:
    """Serves where depth and drift are right when it is fished, without a cast."""
    return outcome_by(lambda trial: technique.measures(trial.design, trial.ask), more)


def _setting(sought: RemedySearch) -> Served | None:
    return least(sought.serves, settings(sought.now, sought.bench, sought.more), MOST_TIMES)


def _shot_and_setting(sought: RemedySearch) -> Served | None:
    return shot_and_setting(sought.now, sought.bench, sought.serves) if sought.more else None


def _shot(sought: RemedySearch) -> Served | None:
    return smallest(sought.serves, shots(sought.now, sought.bench, sought.more))


def _bead(sought: RemedySearch) -> Served | None:
    return smallest(sought.serves, beads(sought.now, sought.more))


def _fly(sought: RemedySearch) -> Served | None:
    if not sought.more:
        return None
    heavier = heavier_flies(sought.now, sought.angler.flies)
    return first(sought.serves, islice(heavier, MOST_STEPS))


def _sink_tip(sought: RemedySearch) -> Served | None:
    return first(sought.serves, sink_tips(sought.now)) if sought.more else None


def _tippet_length(sought: RemedySearch) -> Served | None:
    shorter = sought.more == sought.shorter_sinks
    change = longer(sought.now, sought.bench, sought.last, shorter, "tippet")
    return least(sought.serves, change, MOST_TIMES)


def _tippet_spool(sought: RemedySearch) -> Served | None:
    """Finer sinks sooner and lands softer, stouter holds it up."""
    spools = other_spools(sought.now, sought.bench, sought.last, not sought.more, "tippet")
    return smallest(sought.serves, spools)


def _dropper(sought: RemedySearch) -> Served | None:
    if sought.more:
        return None
    return first(sought.serves, without_dropper(sought.now, sought.bench))


def _leader_length(sought: RemedySearch) -> Served | None:
    change = longer(sought.now, sought.bench, 0, sought.more, "butt")
    return least(sought.serves, change, MOST_TIMES)


def _count(sought: RemedySearch) -> Served | None:
    return least(sought.serves, counts(sought.now, sought.more), MOST_COUNT)


def _lead(sought: RemedySearch) -> Served | None:
    return first(sought.serves, leads(sought.now, sought.more))


def _grease(sought: RemedySearch) -> Served | None:
    return None if sought.more else first(sought.serves, degreased(sought.now, sought.bench))


def _out(sought: RemedySearch) -> Served | None:
    return least(sought.serves, outs(sought.now, sought.bench, sought.more), MOST_TIMES)


CHANGES: dict[What, Callable[[RemedySearch], Served | None]] = {
    "setting": _setting,
    "shot and setting": _shot_and_setting,
    "shot": _shot,
    "bead": _bead,
    "fly": _fly,
    "sink tip": _sink_tip,
    "tippet length": _tippet_length,
    "tippet spool": _tippet_spool,
    "dropper": _dropper,
    "leader length": _leader_length,
    "count": _count,
    "lead": _lead,
    "out": _out,
    "grease": _grease,
    "school": lambda sought: by_school(sought.now, sought.angler, sought.serves, sought.others),
}
IN_PLACE_OF: dict[What, What] = {"shot and setting": "setting"}
"""Changes that are sought only where a simpler one of their kind does not serve."""


def changes(sought: RemedySearch, kinds: tuple[What, ...]) -> Iterator[tuple[What, Served | None]]:
    """Of each kind in turn the smallest change that serves."""
    served: set[What] = set()
    for what in kinds:
        if IN_PLACE_OF.get(what) in served:
            continue
        found = CHANGES[what](sought)
        if found is not None:
            served.add(what)
        yield what, found
