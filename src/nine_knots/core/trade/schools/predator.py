"""For teeth: stout tapered mono to a foot of soft wire, and level mono to single-strand wire."""

from nine_knots.core.base.units.factors import FOOT_M, POUND_N
from nine_knots.core.trade.schools.by_strength import times_as_strong_m
from nine_knots.core.trade.schools.by_water import feet
from nine_knots.core.trade.schools.school import (
    MIDDLE,
    STIFF,
    Brief,
    Disagreement,
    Plan,
    PlannedPiece,
    School,
    Span,
)
from nine_knots.core.trade.situation import Situation
from nine_knots.core.trade.tippet import diameter_for_strength_m

WIRE_M = 1.0 * FOOT_M  # 30 cm [P]
MONO_N = 20.0 * POUND_N  # where the taper ends [P]
LEVEL_N, TRACE_N = 30.0 * POUND_N, 86.0 * POUND_N  # [P]
TRACE_M = 3.5 * FOOT_M


def _span(_situation: Situation) -> Span:
    """About an arm span with its wire [P]."""
    return feet(5.0, 7.0, 9.0)


def _end_m(_situation: Situation) -> float:
    return diameter_for_strength_m(MONO_N, "nylon-medium")


def _plan(brief: Brief) -> Plan:
    upper = brief.length_m - WIRE_M
    butt_m = max(brief.butt_m(), times_as_strong_m(brief.tippet_m, 1.6))
    return Plan(
        pieces=(
            PlannedPiece(
                role="butt",
                length_m=0.6 * upper,
                diameter_m=butt_m,
                bend_nm2=brief.butt_bend_nm2 if butt_m == brief.butt_m() else None,
                prefer=STIFF,
            ),
            PlannedPiece(
                role="taper", length_m=0.4 * upper, diameter_m=brief.tippet_m, prefer=MIDDLE
            ),
            PlannedPiece(
                role="bite",
                length_m=WIRE_M,
                diameter_m=diameter_for_strength_m(MONO_N, "wire-soft"),
                prefer=("wire-soft", "wire-single"),
            ),
        )
    )


PREDATOR = School(
    place=120,
    key="predator-wire",
    title="Predator with wire",
    rule=(
        "Stout mono tapered to about twenty pounds, an arm span in all, ends in a foot of soft "
        "wire. Short and thick it throws a wet fly, and the wire keeps it from the teeth."
    ),
    used_for="pike and their like",
    disagrees=Disagreement(
        school="guide-three-part",
        says="Heavy fluorocarbon is seen less than wire, for fish that only rasp.",
    ),
    span=_span,
    plan=_plan,
    tippet_m=_end_m,
)


def _shark_span(_situation: Situation) -> Span:
    """As long as the trace and the mono that a cast bears [P]."""
    return feet(7.0, 9.0, 12.0)


def _shark_plan(brief: Brief) -> Plan:
    return Plan(
        pieces=(
            PlannedPiece(
                role="butt",
                length_m=brief.length_m - TRACE_M,
                diameter_m=brief.tippet_m,
                prefer=("nylon-medium", "nylon-stiff", "fluorocarbon"),
            ),
            PlannedPiece(
                role="bite",
                length_m=TRACE_M,
                diameter_m=diameter_for_strength_m(TRACE_N, "wire-single"),
                prefer=("wire-single", "wire-soft"),
            ),
        ),
        swivels=(1,),
    )


LEVEL_AND_WIRE = School(
    place=130,
    key="level-and-wire",
    title="Level and wire",
    rule=(
        "Level mono straight from the line, then a long trace of single-strand wire, haywire "
        "twisted, on a swivel. Specialist and guided work: with trained crew only."
    ),
    used_for="sharks",
    disagrees=Disagreement(
        school="class-and-bite",
        says="A tapered leader with a short bite turns over better, for fish with smaller mouths.",
    ),
    span=_shark_span,
    plan=_shark_plan,
    tippet_m=lambda _situation: diameter_for_strength_m(LEVEL_N, "nylon-medium"),
)
