"""Which school today: each built, cast and fished for a day, and how it comes out."""

from collections.abc import Iterator
from contextlib import suppress
from dataclasses import dataclass, replace
from functools import cached_property
from typing import Literal

from nine_knots.core.assess.angler import Angler
from nine_knots.core.assess.assessor import Assessor
from nine_knots.core.assess.usual_length import UnusualLength, unusual_length
from nine_knots.core.base.errors import Refused
from nine_knots.core.base.score import Score
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.casting.wind import STEADY, Gust
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.leader.resizing import rebuilt
from nine_knots.core.domain.situation import Situation
from nine_knots.core.propose.fit_to_shelf import Proposal
from nine_knots.core.propose.shop import propose_or_buy, propose_to_buy
from nine_knots.core.propose.shortages import Shortage, Wanted, WantedFly
from nine_knots.core.remedies.adjustment import (
    Adjustment,
    Both,
    OtherStroke,
    SchoolLength,
    SchoolTippet,
    StifferButt,
)
from nine_knots.core.remedies.at_the_water import first_remedy_at_the_water, other_throws
from nine_knots.core.schools import school_of
from nine_knots.core.schools.by_water import beyond_most
from nine_knots.core.schools.school import School, SchoolParameters
from nine_knots.core.techniques import technique_of

Group = Literal["fits this day", "would do", "not for this"]
GROUPS: tuple[Group, ...] = ("fits this day", "would do", "not for this")
AS_SHORT, AS_LONG = 0.8, 1.25  # of a school's length, tried where it is not right as it is
SAME_M = 0.3 * THOU_M
STOUTER = 1.13  # of a tippet, about one X
POWER = 0.6
A_KNOT, A_MISS, A_CHANGE = 0.03, 0.15, 0.2  # of a cord's length, what each costs
A_BUY = 0.5  # what each thing that is to be bought costs
A_RARITY = 1.0  # that most anglers would tie another here
A_DOUBLING = 0.6  # of the length that most tie here
FEW = 2  # things that are bought to tie one leader
FAR = 9.0
HOPELESS = 0.16  # of the turnover cord: far below opening


@dataclass(frozen=True, slots=True)
class Fits:
    """Why it fits: how it differs from the usual length, what stands in for a spool, and whether it
    is what most anglers would tie here."""

    length: UnusualLength | None = None
    shortage: Shortage | None = None
    usual: bool = True


@dataclass(frozen=True, slots=True)
class WouldDo:
    """With what it would do: things bought, a spool that nothing stands in for, one change; what is
    wrong with what the shelf alone makes."""

    bought: tuple[Wanted, ...] = ()
    missing: Shortage | None = None
    change: Adjustment | None = None
    else_wrong: Score | None = None


@dataclass(frozen=True, slots=True)
class Fails:
    """What is worst of it, even with what would have to be bought; what the shelf lacks, where that
    is the reason, or all of it: what stands in for it makes another leader."""

    worst: Score | None
    bought: tuple[Wanted, ...] = ()
    lacks: Wanted | None = None


@dataclass(frozen=True, slots=True)
class NotJudged:
    """Why it was not tried to the end: what its school or a refusal says."""

    text: str


Outcome = Fits | WouldDo | Fails | NotJudged


@dataclass(frozen=True, slots=True)
class SchoolToday:
    """A school on a day: its leader where it was built, its measures, and how it comes out.

    ``off`` is how far its measures are from the middle of their bands, knots counted in; ``lacks``
    has the spools that others stand in for, ``buys`` what is not owned of a leader that the
    shelf alone does not make, or not well.
    """

    key: str
    outcome: Outcome
    design: Design | None
    measures: tuple[Score, ...]
    off: float
    lacks: tuple[Wanted, ...] = ()
    buys: tuple[Wanted, ...] = ()

    @property
    def group(self) -> Group:
        """Whether it fits, would do, or is not for this day."""
        if isinstance(self.outcome, Fits):
            return "fits this day"
        return "would do" if isinstance(self.outcome, WouldDo) else "not for this"


def school_today(
    key: str,
    day: Situation,
    stroke: Stroke,
    angler: Angler,
    gust: Gust = STEADY,
) -> SchoolToday:
    """Build a school's leader for a day from what is owned, cast it and fish it.

    Where something is not right one thing is changed: the stroke, what is set and hung at the
    water, or the school's own length, tippet or power, until it serves.
    """
    not_for = school_of(key).suits(day)
    if not_for:
        return not_judged(key, not_for)
    bench = _Bench(school_of(key), stroke, Assessor(day, angler, gust))
    try:
        made = bench.built(SchoolParameters())
        measures = bench.measures(made.leader, stroke)
    except Refused as refused:
        return not_judged(key, f"{refused.what} {refused.hint}".strip())
    design = bench.design(made.leader)
    lacks = tuple(miss.wanted for miss in made.lacking)

    def came_out(outcome: Outcome, design: Design, after: tuple[Score, ...]) -> SchoolToday:
        beyond = abs(beyond_most(design.leader.length_m, day))
        off = _off(after, made) + A_BUY * len(made.buys) + A_DOUBLING * beyond
        rare = not bench.usual or unusual_length(design.leader.length_m, day) is not None
        off += A_RARITY if rare else 0.0
        wants: tuple[Wanted, ...] = ()
        if isinstance(outcome, WouldDo):
            off += A_CHANGE if outcome.missing is not None or outcome.change is not None else 0.0
            wants = (outcome.missing.wanted,) if outcome.missing is not None else ()
        return SchoolToday(key, outcome, design, after, off, lacks, made.buys + wants)

    def bought_instead(
        made: Proposal, after: tuple[Score, ...], wrong: Score | None = None
    ) -> SchoolToday:
        off = _off(after, made) + A_BUY * len(made.buys)
        would = WouldDo(made.buys, else_wrong=wrong)
        return SchoolToday(key, would, bench.design(made.leader), after, off, (), made.buys)

    wrong = tuple(score for score in measures if score.status != "right")
    if made.buys and not wrong:
        return came_out(WouldDo(made.buys), design, measures)
    missing = _not_stood_in(made, far_too=not wrong)
    if missing is not None:
        with_it = bench.with_it_bought(made.leader, missing.piece)
        if with_it is not None:
            design, measures = with_it
        elif missing.far and bench.bought is not None:
            return bought_instead(*bench.bought)
        elif missing.far:
            return came_out(Fails(None, lacks=missing.wanted), design, measures)
        return came_out(WouldDo(missing=missing), design, measures)
    if not wrong:
        length = unusual_length(made.leader.length_m, day)
        shortage = next(iter((*made.lacking, *made.shortfalls)), None)
        return came_out(Fits(length, shortage, bench.usual), design, measures)
    far = _not_stood_in(made, far_too=True)
    if far is None:
        for change, changed, after in bench.changed(made, wrong):
            if all(score.status == "right" for score in after):
                return came_out(WouldDo(made.buys, change=change), bench.design(changed), after)
    worst = max(wrong, key=lambda score: abs(score.position - 0.5))
    if lacks and not made.buys and worst.key in ("match", "hold") and bench.bought is not None:
        return bought_instead(*bench.bought, worst)
    lack = far.wanted if far is not None else None
    if lack is None and lacks and worst.key in ("match", "hold"):
        lack = lacks[0]
    return came_out(Fails(worst, made.buys, lack), design, measures)


def not_judged(key: str, text: str) -> SchoolToday:
    """A school that was not tried to the end, and why."""
    return SchoolToday(key, NotJudged(text), None, (), FAR)


@dataclass(frozen=True)
class _Bench:
    """A school's leaders for one day, built and read."""

    school: School
    stroke: Stroke
    reader: Assessor

    @property
    def day(self) -> Situation:
        return self.reader.day

    @property
    def usual(self) -> bool:
        return self.school.usual(self.day)

    @property
    def angler(self) -> Angler:
        return self.reader.angler

    def design(self, leader: Leader) -> Design:
        return self.reader.design(leader, self.school.title)

    def built(self, parameters: SchoolParameters) -> Proposal:
        return propose_or_buy(self.angler, self.school.key, self.day, parameters)

    def with_it_bought(
        self, leader: Leader, number: int
    ) -> tuple[Design, tuple[Score, ...]] | None:
        """The leader with one piece of what a shop has for it, where it then serves."""
        made = self._from_shop
        if made is None:
            return None
        ours, theirs = leader.pieces, made.leader.pieces
        if len(ours) != len(theirs) or ours[number].form != theirs[number].form:
            return None
        with suppress(Refused):
            pieces = [*ours[:number], theirs[number], *ours[number + 1 :]]
            changed = rebuilt(leader, pieces, list(leader.joints))
            measures = self.measures(changed, self.stroke)
            if all(score.status == "right" for score in measures):
                return self.design(changed), measures
        return None

    @cached_property
    def _from_shop(self) -> Proposal | None:
        with suppress(Refused):
            return propose_to_buy(self.angler, self.school.key, self.day, SchoolParameters())
        return None

    @cached_property
    def bought(self) -> tuple[Proposal, tuple[Score, ...]] | None:
        """The leader with what a shop has for it, of few things, where it then serves."""
        made = self._from_shop
        if made is None or len(made.buys) > FEW:
            return None
        with suppress(Refused):
            measures = self.measures(made.leader, self.stroke)
            if all(score.status == "right" for score in measures):
                return made, measures
        return None

    def measures(self, leader: Leader, stroke: Stroke) -> tuple[Score, ...]:
        return self.reader.measures(leader, stroke)

    def changed(
        self, made: Proposal, wrong: tuple[Score, ...]
    ) -> Iterator[tuple[Adjustment, Leader, tuple[Score, ...]]]:
        """One thing changed: how it is thrown, what is set or hung where only the water
        is wrong, else the school's own length, tippet or power; with what it then comes to."""
        throws = list(other_throws(wrong, self.day, self.stroke, self.angler))
        hauls = [throw for throw in throws if throw[0] == OtherStroke("double haul")]
        harder = [throw for throw in throws if throw not in hauls]
        hardest = wrong
        for throw, stroke in harder:
            hardest = self.measures(made.leader, stroke)
            yield throw, made.leader, hardest
        for change, leader, after in self._leaders(made, wrong, hardest):
            yield change, leader, after
            for throw, stroke in harder:
                yield Both(change, throw), leader, self.measures(leader, stroke)
        for throw, stroke in hauls:  # few throw it: what a teacher changes first is the leader
            yield throw, made.leader, self.measures(made.leader, stroke)

    def _leaders(
        self, made: Proposal, wrong: tuple[Score, ...], hardest: tuple[Score, ...]
    ) -> Iterator[tuple[Adjustment, Leader, tuple[Score, ...]]]:
        """Other leaders of the school; none where it is far from opening on the ``hardest``."""
        keys = {score.key for score in wrong}
        by_slack = technique_of(self.design(made.leader)).by_slack
        hopeless = any(score.key == "turnover" and score.position < HOPELESS for score in hardest)
        if hopeless or any(not isinstance(thing, WantedFly) for thing in made.buys):
            return  # other spools to buy; and no length and no tippet makes up for so much
        if keys <= {"depth", "drift"} and not by_slack:
            design = self.design(made.leader)
            served = first_remedy_at_the_water(design, self.stroke, self.angler, wrong[0])
            if served is not None:
                change, leader = served[0], served[1].leader
                yield change, leader, self.measures(leader, self.stroke)
            return
        soft = any(score.key == "turnover" and score.status == "too little" for score in wrong)
        for change, parameters in self._variants(made.leader, soft):
            with suppress(Refused):
                leader = self.built(parameters).leader
                if isinstance(change, SchoolTippet):
                    if abs(leader.tippet_diameter_m - made.leader.tippet_diameter_m) < SAME_M:
                        continue  # no other tippet is owned
                    change = replace(change, across_m=leader.tippet_diameter_m)
                yield change, leader, self.measures(leader, self.stroke)

    def _variants(
        self, leader: Leader, soft: bool
    ) -> Iterator[tuple[Adjustment, SchoolParameters]]:
        """Other tippets, lengths and butts; where it does not open, only what opens sooner."""
        long_m, fine_m = leader.length_m, leader.tippet_diameter_m
        for times in (STOUTER,) if soft else (STOUTER, 1.0 / STOUTER):
            across_m = times * fine_m
            yield SchoolTippet(times > 1.0, across_m), SchoolParameters(tippet_m=across_m)
        for times in (AS_SHORT,) if soft else (AS_SHORT, AS_LONG):
            length_m = self.angler.units.snap_length(times * long_m)
            yield SchoolLength(length_m), SchoolParameters(length_m=length_m)
        yield StifferButt(), SchoolParameters(power=POWER)


def _not_stood_in(made: Proposal, *, far_too: bool) -> Shortage | None:
    """What the shelf lacks and nothing stands in for: a bite piece, and one far from its like."""
    for miss in made.shortfalls:
        if (far_too and miss.far) or made.leader.pieces[miss.piece].role == "bite":
            return miss
    return None


def _off(measures: tuple[Score, ...], made: Proposal) -> float:
    far = sum(abs(score.position - 0.5) for score in measures)
    knots = len(made.leader.joints) - 1
    return far + A_KNOT * knots + A_MISS * len(made.shortfalls)
