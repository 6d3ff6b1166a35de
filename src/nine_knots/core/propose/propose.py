"""From a school and a day to a leader made of spools on the shelf."""

from dataclasses import dataclass
from math import inf

from pydantic import ValidationError

from nine_knots.core.assess.angler import Angler
from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.label_sizes import labelled_thickness_m, usual_label_n
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.leader.own_knots import with_own_knots
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.strand import Packet, Stock, spools_of
from nine_knots.core.domain.tackle import Fly, LineProfile, line_profile
from nine_knots.core.domain.tippet import advise_tippet
from nine_knots.core.propose.fit_to_shelf import (
    FittedPlan,
    Proposal,
    Shelf,
    TippetReason,
    TippetUse,
    fit_to_shelf,
    shelf_of,
)
from nine_knots.core.propose.shortages import WantedFly
from nine_knots.core.schools import school_of
from nine_knots.core.schools.school import Plan, School, SchoolBrief, SchoolParameters

# A butt that is 1.6 times as stiff as the line's tip is .018 in medium or .017 in stiff nylon on
# a 5-weight [P]. Power and softness scale it; a thinner tippet wants a somewhat thinner butt [P].
BUTT_STEP = 1.6
POWER_FACTOR = 2.5
TIPPET_REFERENCE_M, TIPPET_EXPONENT = 7.5 * THOU_M, 0.35
NEAR_ENOUGH_M = 2.1 * THOU_M  # an owned tippet so near to what was advised is planned with
LEAST_LEFT_M = 1.0
SAID_OFF_M, SAID_OFF = 0.3 * THOU_M, 0.08


def matched_butt_bend_nm2(line: LineProfile, tippet_m: float, power: float) -> float:
    """Bending stiffness in N·m² that a butt should have on this line.

    ``tippet_m`` in metres, ``power`` from -1 (soft) to +1 (driving).
    """
    by_tippet = (tippet_m / TIPPET_REFERENCE_M) ** TIPPET_EXPONENT
    return float(BUTT_STEP * line.match_bend_nm2 * POWER_FACTOR**power * by_tippet)


@dataclass(frozen=True, slots=True)
class _Tippet:
    """A tippet to plan with: thickness, label, what called for it."""

    across_m: float
    label_n: float
    reason: TippetReason


@dataclass(frozen=True, slots=True, eq=False)
class _Way:
    """A way to tie it: a plan, the brief that it is for, its tippet."""

    plan: Plan
    brief: SchoolBrief
    tippet: _Tippet


def propose(
    key: str,
    situation: Situation,
    parameters: SchoolParameters,
    stock: tuple[Stock, ...],
    units: Units,
    flies: tuple[Fly, ...] = (),
) -> Proposal:
    """A leader by this school for this day from these spools.

    What the angler left open is chosen: the usual length, the tippet by the school, the hook and
    the fish, the butt by the line's tip. Of a tied and a bought form, and of the tippets owned that
    would do, that is taken of which the shelf has most. What is missing is named with what comes
    nearest. CannotCompute where the school cannot be tied so, or the shelf has nothing for it.
    """
    school, shelf = school_of(key), shelf_of(stock)
    ways: list[_Way] = []
    refused: CannotCompute | None = None
    for tippet in _tippets(school, situation, parameters, stock):
        brief = _brief(school, situation, parameters, tippet, flies)
        try:
            plans = _plans(school, brief, shelf, parameters.whole)
        except ValidationError:
            refused = _not_so_long(school, brief, units)
            continue
        ways += [_Way(plan, brief, tippet) for plan in plans]
    while ways:
        best: tuple[FittedPlan, _Way] | None = None
        for way in list(ways):
            most = best[0].cost if best else inf
            try:
                fitted = fit_to_shelf(school, way.plan, way.brief, shelf, units, most)
            except CannotCompute as error:
                refused = error
                ways.remove(way)
                continue
            if fitted is not None and fitted.cost < most:
                best = fitted, way
        if best is not None:
            try:
                return _proposal(best[0], best[1].tippet)
            except ValidationError:
                refused = _not_so_long(school, best[1].brief, units)
                ways.remove(best[1])
    assert refused is not None
    raise refused


def _brief(
    school: School,
    situation: Situation,
    parameters: SchoolParameters,
    tippet: _Tippet,
    flies: tuple[Fly, ...],
) -> SchoolBrief:
    line = line_profile(situation.line)
    return SchoolBrief(
        situation=situation,
        line=line,
        length_m=parameters.length_m or school.span(situation).usual_m,
        tippet_m=tippet.across_m,
        butt_bend_nm2=matched_butt_bend_nm2(line, tippet.across_m, parameters.power),
        flies=flies,
        tippet_n=tippet.label_n,
        asked_m=parameters.length_m,
    )


def _proposal(best: FittedPlan, tippet: _Tippet) -> Proposal:
    """ValidationError where it cannot be tied so short."""
    school, leader = best.school, best.leader()
    return Proposal(
        leader=leader,
        tippet=_tippet_use(leader, tippet, school),
        notes=school.notes(best.brief) if school.notes is not None else (),
        taper=best.taper,
        butt=best.butt(leader),
        estimated=any(piece.strand.estimated for piece in leader.pieces),
        shortfalls=best.shortfalls,
    )


def propose_to(
    angler: Angler, key: str, situation: Situation, parameters: SchoolParameters
) -> Proposal:
    """The same from what an angler owns, tied with the knots that are always theirs; ``buys`` names
    the flies above the point that are not in the box."""
    made = propose(key, situation, parameters, angler.stock, angler.units, angler.flies)
    leader = with_own_knots(made.leader, angler.ties, situation.line, situation.fly)
    owned = {fly.title for fly in (situation.fly, *angler.flies)}
    titles = dict.fromkeys(fly.title for _, fly in leader.flies_above)
    flies = tuple(WantedFly(title=title) for title in titles if title not in owned)
    return made.model_copy(update={"leader": leader, "buys": flies})


def _plans(school: School, brief: SchoolBrief, shelf: Shelf, whole: bool) -> list[Plan]:
    """The school's plan, and from a bought taper, cut or whole, where one is owned and the school
    has such.

    ValidationError where its pieces would have no length.
    """
    plans = [school.plan(brief)]
    if shelf.packets and school.bought is not None:
        bought = list(school.bought(brief, plans[0]))
        plans = bought if plans[0].taper is not None else plans + bought
    return [plan.with_taper_whole() for plan in plans] if whole else plans


def _not_so_long(school: School, brief: SchoolBrief, units: Units) -> CannotCompute:
    span = school.span(brief.situation)
    low, high = units.length(span.low_m).text, units.length(span.high_m).text
    return CannotCompute(
        f"{school.title} can't be tied {units.length(brief.length_m).text} long to "
        f"{units.tippet(brief.tippet_m).text} on this line.",
        where="length",
        hint=f"Ask for {low} to {high}, which suits it here.",
    )


def _tippets(
    school: School,
    situation: Situation,
    parameters: SchoolParameters,
    stock: tuple[Stock, ...],
) -> list[_Tippet]:
    """The tippet asked for; or those owned that the school could use; or what it would want."""
    asked = TippetReason(by="asked")
    if parameters.tippet_n is not None:
        across_m = labelled_thickness_m(parameters.tippet_n, "nylon-medium")
        return [_Tippet(across_m, parameters.tippet_n, asked)]
    if parameters.tippet_m is not None:
        asked_m = parameters.tippet_m
        return [_Tippet(asked_m, usual_label_n(asked_m), asked)]
    spools = [
        spool.strand
        for spool in spools_of(stock)
        if spool.strand.is_plain_mono and spool.remaining_m >= LEAST_LEFT_M
    ]
    if school.labels is not None:
        low, high = school.labels(situation)
        reason = TippetReason(by="labels", low_n=low, high_n=high)
        labels = sorted({s.breaking_n for s in spools if 0.97 * low <= s.breaking_n <= 1.03 * high})
        usual = labels or [0.5 * (low + high)]
        return [_Tippet(labelled_thickness_m(n, "nylon-medium"), n, reason) for n in usual]
    if school.tippet_m is not None:
        across_m, reason = school.tippet_m(situation), TippetReason(by="school")
    else:
        advice = advise_tippet(situation)
        across_m, reason = advice.diameter_m, TippetReason(by="advice", advice=advice.by)
    tips = [
        packet.strand.profile.tip_diameter_m
        for packet in stock
        if isinstance(packet, Packet) and school.bought is not None
    ]
    owned = [s.diameter_m for s in spools] + tips
    nearest = min(
        owned, key=lambda value: (round(abs(value - across_m), 7), -value), default=across_m
    )
    if abs(nearest - across_m) > NEAR_ENOUGH_M:
        nearest = across_m
    if abs(nearest - across_m) > SAID_OFF_M:
        reason = reason.evolve(nearest_to_m=across_m)
    return [_Tippet(nearest, usual_label_n(nearest), reason)]


def _tippet_use(leader: Leader, tippet: _Tippet, school: School) -> TippetUse:
    """Which tippet the leader has and why, true of the leader that is shown."""
    level = [piece for piece in leader.pieces if piece.role == "tippet"]
    last = level[-1] if level else leader.pieces[-1]
    if not level and (last.role == "bite" or last.form == "level"):
        last = leader.pieces[-2] if len(leader.pieces) > 1 else last
    first = min(level or [last], key=lambda piece: abs(piece.lower_diameter_m - tippet.across_m))
    use = TippetUse(reason=tippet.reason, across_m=first.lower_diameter_m)
    if school.labels is not None:
        has_n = first.breaking_at_n(first.length_m)
        differs = abs(has_n / tippet.label_n - 1.0) > SAID_OFF
        return use.evolve(strength_n=has_n, wanted_n=tippet.label_n if differs else None)
    differs = abs(use.across_m - tippet.across_m) > SAID_OFF_M
    return use.evolve(wanted_m=tippet.across_m if differs else None)
