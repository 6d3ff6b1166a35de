"""Guide three-part: stout, heavier by the line, stronger than it need be and quick to mend."""

from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tippet import labels_n
from nine_knots.core.schools.by_strength import steps_by_label
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.school import Disagreement, Plan, School, SchoolBrief, Span
from nine_knots.core.schools.suitability import all_of, for_a_streamer, off_shy_flats, without_wire

PARTS = ((0.375, 3.0), (0.375, 2.0), (0.25, 1.0))  # of the length; times the tippet's label [P]
LINE_STEPS = (0.25, 20.0)  # its butts are heavier than the line by design [P]


def _span(situation: Situation) -> Span:
    """8 ft [P], shorter on sunk lines."""
    return feet(6.5, 8.0, 9.5) if situation.line.sinking == "floating" else feet(3.5, 5.0, 7.0)


def _plan(brief: SchoolBrief) -> Plan:
    return steps_by_label(brief, PARTS)


GUIDE_THREE_PART = School(
    place=90,
    key="guide-three-part",
    title="Guide three-part",
    rule=(
        "Three stout pieces, three, two and one times the tippet's strength. Heavy butts turn "
        "over big flies for any caster and stand up to a day of snags."
    ),
    used_for="bass and inshore, on 6- to 9-weights",
    disagrees=Disagreement(
        school="tapered-inshore",
        says="So stout a butt kicks on a light line; four pieces match it better and land "
        "more quietly.",
    ),
    suits=all_of(without_wire, for_a_streamer),
    usual=off_shy_flats,
    span=_span,
    plan=_plan,
    labels=labels_n,
    line_steps=LINE_STEPS,
)
