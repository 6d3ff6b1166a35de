"""Sixty-twenty-twenty: 60 % butt, 20 % taper, 20 % tippet, hand-tied or from a knotless taper."""

from math import ceil, log

from nine_knots.core.base.units.factors import FOOT_M, THOU_M
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_water import span_by_water
from nine_knots.core.schools.school import (
    MIDDLE,
    STIFF,
    Disagreement,
    Plan,
    PlannedSection,
    PlannedTaper,
    School,
    SchoolBrief,
    Span,
    stepped,
    tippet_materials,
)
from nine_knots.core.schools.suitability import without_wire

MOST_STEP_M = 3.0 * THOU_M
SOLD_M, WITH_TIPPET_M = 9.0 * FOOT_M, 12.1 * FOOT_M
LEAST_ADDED_M, MOST_ADDED_M = 1.5 * FOOT_M, 3.0 * FOOT_M  # of tippet tied to a bought taper [P]
LEAST_RATIO = 0.75  # a thinner next piece is more than three times softer, and soft or a hinge


def _plan_tied(brief: SchoolBrief) -> Plan:
    """Butt of two pieces (two to one in length), short even tapers with blood-knot steps."""
    butt_m = brief.butt_m()
    second_m = max(butt_m - 2.0 * THOU_M, brief.tippet_m + THOU_M)
    by_step = (second_m - brief.tippet_m) / MOST_STEP_M
    by_ratio = log(brief.tippet_m / second_m) / log(LEAST_RATIO)
    count = min(6, max(1, ceil(max(by_step, by_ratio) - 1e-6) - 1))
    diameters = stepped(second_m, brief.tippet_m, count + 2)
    length = brief.length_m
    pieces = [
        PlannedSection(
            role="butt",
            length_m=0.4 * length,
            diameter_m=butt_m,
            bend_nm2=brief.butt_bend_nm2,
            prefer=STIFF,
        ),
        PlannedSection(role="butt", length_m=0.2 * length, diameter_m=second_m, prefer=STIFF),
    ]
    pieces += [
        PlannedSection(role="taper", length_m=0.2 * length / count, diameter_m=d, prefer=MIDDLE)
        for d in diameters[1:-1]
    ]
    pieces.append(_tippet(brief))
    return Plan(pieces=tuple(pieces))


def _tippet(brief: SchoolBrief) -> PlannedSection:
    return PlannedSection(
        role="tippet",
        length_m=0.2 * brief.length_m,
        diameter_m=brief.tippet_m,
        prefer=tippet_materials(brief.situation),
    )


def _span_bought(situation: Situation) -> Span:
    """As by the water, and room for the tippet that is tied to a bought nine feet."""
    span = span_by_water(situation)
    if situation.line.sinking != "floating":
        return span
    return Span(low_m=span.low_m, usual_m=span.usual_m, high_m=max(span.high_m, WITH_TIPPET_M))


def _plan_knotless(brief: SchoolBrief) -> Plan:
    """One knotless taper for butt and taper, a tippet of 20 % tied to it."""
    return Plan(taper=_taper(brief, 0.8 * brief.length_m, 1.0, 0.8), pieces=(_tippet(brief),))


def _bought(brief: SchoolBrief, _tied: Plan) -> tuple[Plan, ...]:
    """As it is sold; whole with a tippet one X finer; or cut back to eight tenths."""
    added = PlannedSection(
        role="tippet",
        length_m=min(MOST_ADDED_M, max(LEAST_ADDED_M, brief.length_m - SOLD_M)),
        diameter_m=brief.tippet_m,
        prefer=tippet_materials(brief.situation),
    )
    whole = Plan(
        taper=_taper(brief, max(brief.length_m - added.length_m, 1.0), 1.0), pieces=(added,)
    )
    plans = (Plan(taper=_taper(brief, brief.length_m, 0.0), pieces=()), whole)
    return plans if brief.asked_m is None else (*plans, _plan_knotless(brief))


def _taper(
    brief: SchoolBrief, length_m: float, over_thou: float, most: float | None = None
) -> PlannedTaper:
    """A taper that ends so many thousandths above the tippet, used to so much of the length."""
    return PlannedTaper(
        length_m=length_m,
        butt_m=brief.butt_m(),
        tip_m=brief.tippet_m + over_thou * THOU_M,
        most_m=most * brief.length_m if most else None,
    )


TIED = School(
    place=10,
    key="sixty-twenty-twenty",
    title="Sixty-twenty-twenty, tied",
    rule=(
        "Six tenths of the length is butt, two tenths taper, two tenths tippet. "
        "A longer leader is mostly a longer butt, so that it still turns over."
    ),
    used_for="all-round; wary fish and small flies when long",
    disagrees=Disagreement(
        school="compound-slack",
        says="A strong butt lays the tippet straight, and a straight tippet drags at once.",
    ),
    suits=without_wire,
    span=span_by_water,
    plan=_plan_tied,
)

KNOTLESS = School(
    place=20,
    key="sixty-twenty-twenty-knotless",
    title="Sixty-twenty-twenty, knotless",
    rule=(
        "A bought taper is fished as it is sold, or with one to three feet of tippet one X finer. "
        "One piece gives butt and taper, and no knot catches weed."
    ),
    used_for="all-round; weed and grease that catch on knots",
    disagrees=Disagreement(
        school="sixty-twenty-twenty",
        says="A bought taper has the maker's butt, not one matched to your line tip.",
    ),
    suits=without_wire,
    span=_span_bought,
    plan=_plan_knotless,
    bought=_bought,
)
