"""What is to be tied the night before, each part once, and how long it takes."""

from collections.abc import Mapping
from dataclasses import dataclass

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.tying_time import tying_time
from nine_knots.core.base.prose import count_words, join_words
from nine_knots.core.base.units import Units
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.knots.table import KnotKey
from nine_knots.core.domain.leader.lower_rig import lower_of, parting_joint
from nine_knots.core.domain.places import Place
from nine_knots.core.domain.plan import DayPlan
from nine_knots.core.plan.parts import part_names
from nine_knots.core.plan.planned import WorkedPlan
from nine_knots.core.plan.stops import stretch_of
from nine_knots.words.plan.change import lower_words, upper_words
from nine_knots.words.tying.batch import Batch, batch_of_takes
from nine_knots.words.tying.takes import takes_of, takes_together


@dataclass(frozen=True, slots=True)
class TieTonight:
    """Something to tie the night before, for which stretches, how long it takes; or where it lies
    ready. ``design`` is the leader that it is part of, ``whole`` whether it is all of it."""

    title: str
    facts: str
    for_stretches: str
    time: str
    ready: bool
    lies: str
    whole: bool
    design: Design


Row = tuple[TieTonight, float, tuple[int, int]]


def to_tie(
    plan: DayPlan, place: Place, found: WorkedPlan, own_s: Mapping[KnotKey, float], units: Units
) -> list[Row]:
    """Each upper and each further lower part once, with seconds and knots by own times of all."""
    where: dict[tuple[str, str], list[str]] = {}
    rows: dict[tuple[str, str], Row] = {}
    carried: dict[str, str] = {}
    for stop in found.stops:
        if stop.candidate is None or stop.fit is None:
            continue
        leader = stop.candidate.leader
        upper, lower = part_names(leader)
        title = stretch_of(place, plan.stops[stop.number]).title
        first = upper not in carried
        carried.setdefault(upper, lower)
        whole = first or carried[upper] == lower
        key = (upper, "") if whole else (upper, lower)
        where.setdefault(key, []).append(title)
        if key in rows:
            continue
        design = Design(title=stop.candidate.title[:80], situation=stop.choice.day, leader=leader)
        if whole:
            time = tying_time(leader, own_s)
            said = TieTonight(
                title=stop.candidate.title,
                facts=leader_parts(design, units),
                for_stretches="",
                time=_minutes(time.seconds),
                ready=stop.candidate.tied_id is not None,
                lies=stop.candidate.lies,
                whole=True,
                design=design,
            )
        else:
            time = tying_time(lower_of(leader), own_s)
            said = TieTonight(
                title=f"Lower rig: {lower_words(leader, units)}",
                facts=f"Ties to the {leader.joints[parting_joint(leader) or 0].kind} of "
                f"{stop.candidate.title}.",
                for_stretches="",
                time=_minutes(time.seconds),
                ready=False,
                lies="",
                whole=False,
                design=design,
            )
        rows[key] = (said, time.seconds, (time.own, time.knots))
    return [
        (_for(said, where[key]), 0.0 if said.ready else seconds, knots)
        for key, (said, seconds, knots) in rows.items()
    ]


def _for(row: TieTonight, stretches: list[str]) -> TieTonight:
    return TieTonight(
        title=row.title,
        facts=row.facts,
        for_stretches=f"For {join_words(stretches)}",
        time=row.time,
        ready=row.ready,
        lies=row.lies,
        whole=row.whole,
        design=row.design,
    )


def _minutes(seconds: float) -> str:
    return f"about {max(1, round(seconds / 60.0))} min"


def tying_words(rows: list[Row]) -> str:
    """How long all of it takes, and by whose times."""
    seconds = sum(row[1] for row in rows)
    if seconds <= 0.0:
        return "Nothing to tie: everything is ready." if rows else "Nothing to tie."
    own = sum(row[2][0] for row in rows if not row[0].ready)
    knots = sum(row[2][1] for row in rows if not row[0].ready)
    by = "at typical speed for its knots; practise them to use your own times"
    if own:
        by = f"by your own times for {own} of {count_words(knots, 'knot')}"
        by += "" if own == knots else ", typical times for the others"
    return f"To tie tonight: {_minutes(seconds)}, {by}."


def leader_parts(design: Design, units: Units) -> str:
    """A leader in its parts, in a line."""
    said = upper_words(design.leader, units)
    if parting_joint(design.leader) is None:
        return f"{said}."
    return f"{said}; below it {lower_words(design.leader, units)}."


def cut_tonight(rows: list[Row], angler: Angler) -> Batch:
    """What is cut from the spools for all that is not ready: of a lower rig its own pieces only."""
    takes = []
    for row, _, _ in rows:
        if row.ready:
            continue
        leader = row.design.leader
        first = 0 if row.whole else parting_joint(leader) or 0
        pieces = frozenset(range(first, len(leader.pieces)))
        takes.append(takes_of(((row.design, 1),), angler.tyer, pieces))
    return batch_of_takes(takes_together(takes), angler.stock, angler.units)
