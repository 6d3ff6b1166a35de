"""Two parts by line: a stout part and two feet of tippet, the length set by how the line sinks."""

from nine_knots.core.base.units.factors import FOOT_M, POUND_N
from nine_knots.core.physics.section import area_m2
from nine_knots.core.trade.materials import MATERIALS
from nine_knots.core.trade.schools.by_water import feet
from nine_knots.core.trade.schools.school import (
    SUNK,
    Brief,
    Disagreement,
    Plan,
    PlannedPiece,
    School,
    Span,
)
from nine_knots.core.trade.situation import Situation
from nine_knots.core.trade.tippet import diameter_for_strength_m

TIPPET_M = 2.0 * FOOT_M
TIPPET_N = 12.0 * POUND_N
STOUTER = 5.0 / 3.0  # the upper part's strength over the tippet's [P]


def _span(situation: Situation) -> Span:
    """8 ft on a floating line, 6 ft on an intermediate, 4 ft on a sinking one [P]."""
    by_line = {"floating": 8.0, "intermediate": 6.0}
    usual = by_line.get(situation.line.sinking, 4.0)
    return feet(0.8 * usual, usual, 1.25 * usual)


def _tippet_m(_situation: Situation) -> float:
    return diameter_for_strength_m(TIPPET_N, "fluorocarbon")


def _plan(brief: Brief) -> Plan:
    law = MATERIALS["fluorocarbon"].strength
    tippet_n = law.stress_pa(brief.tippet_m) * area_m2(brief.tippet_m)
    lower_m = min(TIPPET_M, 0.6 * brief.length_m)
    upper = PlannedPiece(
        role="butt",
        length_m=brief.length_m - lower_m,
        diameter_m=diameter_for_strength_m(STOUTER * tippet_n, "fluorocarbon"),
        prefer=SUNK,
    )
    lower = PlannedPiece(role="tippet", length_m=lower_m, diameter_m=brief.tippet_m, prefer=SUNK)
    return Plan(pieces=(upper, lower))


TWO_PART = School(
    place=80,
    key="two-part",
    title="Two parts by line",
    rule=(
        "The last two feet are tippet, all above it one level piece five thirds as strong. The "
        "faster the line sinks the shorter the whole, so that the fly keeps the line's depth."
    ),
    used_for="streamers, bass, big trout",
    disagrees=Disagreement(
        school="halving",
        says="One step throws away the taper: on a floating line a big fly turns over badly.",
    ),
    span=_span,
    plan=_plan,
    tippet_m=_tippet_m,
)
