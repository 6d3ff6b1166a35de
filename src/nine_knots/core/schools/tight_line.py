"""Tight line with a sighter: a light level butt, a coloured sighter, a ring, fine tippet."""

from nine_knots.core.base.units.factors import FOOT_M, INCH_M, THOU_M
from nine_knots.core.domain.leader import Attachment
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tippet import led_tippet_m
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.flies import upper_nymph
from nine_knots.core.schools.school import (
    MIDDLE,
    SUNK,
    Disagreement,
    Plan,
    PlannedFly,
    PlannedSection,
    School,
    SchoolBrief,
    Span,
)
from nine_knots.core.schools.suitability import for_a_tight_line

SIGHTER_M = 21.0 * INCH_M
SIGHTER_THICK_M = 10.0 * THOU_M  # 0X to 2X [P]
BUTT_OVER_SIGHTER_M = 2.0 * THOU_M
TIPPET_OVER_DEPTH = 1.2
APART_M, TAG_M = 20.0 * INCH_M, 6.0 * INCH_M  # upper fly above the point, its tag [P]


def _span(situation: Situation) -> Span:
    """A level butt of nine feet, the sighter, and tippet for the depth [P]."""
    below = _tippet_length_m(situation) / FOOT_M
    return feet(9.0 + below, 10.75 + below, 14.0 + below)


def _tippet_length_m(situation: Situation) -> float:
    return max(APART_M + 2.0 * FOOT_M, TIPPET_OVER_DEPTH * situation.water.depth_m)


def _plan(brief: SchoolBrief) -> Plan:
    below = _tippet_length_m(brief.situation)
    upper = max(3.0 * FOOT_M, brief.length_m - SIGHTER_M - below)
    return Plan(
        pieces=(
            PlannedSection(
                role="butt",
                length_m=upper,
                diameter_m=SIGHTER_THICK_M + BUTT_OVER_SIGHTER_M,
                prefer=MIDDLE,
            ),
            PlannedSection(
                role="sighter",
                length_m=SIGHTER_M,
                diameter_m=SIGHTER_THICK_M,
                prefer=("nylon-medium", "nylon-stiff", "nylon-soft", "copolymer", "fluorocarbon"),
            ),
            PlannedSection(
                role="tippet",
                length_m=below - APART_M,
                diameter_m=brief.tippet_m,
                prefer=SUNK,
            ),
            PlannedSection(role="tippet", length_m=APART_M, diameter_m=brief.tippet_m, prefer=SUNK),
        ),
        rings=(2,),
        flies=(PlannedFly(joint=3, fly=upper_nymph(brief), length_m=TAG_M),),
        things=(Attachment(kind="mark", above_end_m=below + 0.01),),
    )


TIGHT_LINE = School(
    place=150,
    key="tight-line",
    title="Tight line with sighter",
    rule=(
        "Nine feet of light level butt, a sighter of two feet, a ring, then level tippet a fifth "
        "longer than the water is deep. Nothing thick is in the water, so little drags on the way."
    ),
    used_for="nymphs close by, without an indicator",
    disagrees=Disagreement(
        school="indicator-nymph",
        says="Beyond a rod and a half it sags; an indicator carries the rig where an arm cannot.",
    ),
    suits=for_a_tight_line,
    span=_span,
    plan=_plan,
    line_leads=False,
    tippet_m=led_tippet_m,
)
