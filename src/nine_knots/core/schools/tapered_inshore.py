"""Tapered inshore: half stout butt, then three quick steps, for shy fish on the flats."""

from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tippet import labels_n
from nine_knots.core.schools.by_strength import steps_by_label
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.school import Disagreement, Plan, School, SchoolBrief, Span
from nine_knots.core.schools.suitability import all_of, for_a_streamer, off_shy_flats, without_wire

PARTS = ((0.49, 3.33), (0.23, 2.0), (0.12, 1.33), (0.16, 1.0))  # of the length; times the label [P]
LINE_STEPS = (0.25, 14.0)  # 50 lb on an 8-weight is usual [P]


def _span(situation: Situation) -> Span:
    """7 to 9 ft inshore, longer on the flats [P]."""
    return feet(8.5, 10.0, 12.0) if situation.water.kind == "flats" else feet(7.0, 9.0, 10.5)


def _plan(brief: SchoolBrief) -> Plan:
    return steps_by_label(brief, PARTS)


TAPERED_INSHORE = School(
    place=100,
    key="tapered-inshore",
    title="Tapered inshore",
    rule=(
        "Half is butt, then a quarter, an eighth, and a short tippet. The power is near the line "
        "and the last yard falls lightly."
    ),
    used_for="flats, carp and bass that see the line",
    disagrees=Disagreement(
        school="guide-three-part",
        says="Three knots catch weed; with two pieces fewer it is retied in a minute.",
    ),
    suits=all_of(without_wire, for_a_streamer),
    usual=off_shy_flats,
    span=_span,
    plan=_plan,
    labels=labels_n,
    line_steps=LINE_STEPS,
)
