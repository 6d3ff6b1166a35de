"""Fifty-thirty-twenty: three pieces, one strength step each, for surf and bass."""

from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tippet import labels_n
from nine_knots.core.schools.by_strength import steps_by_label
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.school import Disagreement, Plan, School, SchoolBrief, Span
from nine_knots.core.schools.suitability import all_of, for_a_streamer, off_shy_flats, without_wire

LINE_STEPS = (0.25, 12.0)  # a stout butt throws a wet fly on the beach [P]
PARTS = ((0.5, 2.0), (0.3, 1.5), (0.2, 1.0))  # of the length; times the tippet's label [P]


def _span(situation: Situation) -> Span:
    """8 ft floating [P], less on sunk lines."""
    return feet(7.0, 8.0, 10.0) if situation.line.sinking == "floating" else feet(3.5, 5.0, 7.0)


def _plan(brief: SchoolBrief) -> Plan:
    return steps_by_label(brief, PARTS)


FIFTY_THIRTY_TWENTY = School(
    place=70,
    key="fifty-thirty-twenty",
    title="Fifty-thirty-twenty",
    rule=(
        "Half is butt, three tenths a middle piece, two tenths tippet, each a step in strength "
        "below the last. Three pieces and two knots: tied on the beach."
    ),
    used_for="surf and bass, hand-tied",
    disagrees=Disagreement(
        school="even-step",
        says="Two great steps hinge in a side wind; more and smaller ones lay out straight.",
    ),
    suits=all_of(without_wire, for_a_streamer),
    usual=off_shy_flats,
    span=_span,
    plan=_plan,
    labels=labels_n,
    line_steps=LINE_STEPS,
)
