"""Halving: each section half as long as the one above, then a tippet."""

from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.school import (
    STIFF,
    Disagreement,
    Plan,
    PlannedSection,
    School,
    SchoolBrief,
    Span,
    stepped,
    tippet_materials,
)
from nine_knots.core.schools.suitability import all_of, for_a_streamer, off_shy_flats, without_wire

SECTIONS = 3


def _span(situation: Situation) -> Span:
    """7.5 ft as a rule, 9 to 10 ft in shallow clear water [P]."""
    if situation.water.clarity == "clear" and situation.water.depth_m < 0.7:
        return feet(8.0, 9.5, 10.5)
    return feet(6.5, 7.5, 9.5)


def _plan(brief: SchoolBrief) -> Plan:
    tippet_m = min(2.0 * FOOT_M, max(1.0 * FOOT_M, 0.2 * brief.length_m))
    first_m = (brief.length_m - tippet_m) / sum(0.5**i for i in range(SECTIONS))
    diameters = stepped(brief.butt_m(), brief.tippet_m, SECTIONS + 1)
    pieces = [
        PlannedSection(
            role="butt" if i == 0 else "taper",
            length_m=first_m * 0.5**i,
            diameter_m=diameters[i],
            bend_nm2=brief.butt_bend_nm2 if i == 0 else None,
            prefer=STIFF,
        )
        for i in range(SECTIONS)
    ]
    pieces.append(
        PlannedSection(
            role="tippet",
            length_m=tippet_m,
            diameter_m=brief.tippet_m,
            prefer=tippet_materials(brief.situation),
        )
    )
    return Plan(pieces=tuple(pieces))


HALVING = School(
    place=50,
    key="halving",
    title="Halving",
    rule=(
        "Each section is half as long as the one above it, and a tippet of one to two feet ends "
        "it. Few knots and quick steps: lengthen it by lengthening the butt alone."
    ),
    used_for="streamers on a floating line",
    disagrees=Disagreement(
        school="even-step",
        says="Quick steps over short sections hinge in wind; equal steps lay out straight.",
    ),
    suits=all_of(without_wire, for_a_streamer),
    usual=off_shy_flats,
    span=_span,
    plan=_plan,
)
