"""Guide three-part: stout, heavier by the line, stronger than it need be and quick to mend."""

from nine_knots.core.trade.schools.by_strength import times_as_strong_m
from nine_knots.core.trade.schools.by_water import feet
from nine_knots.core.trade.schools.school import (
    MIDDLE,
    SUNK,
    Brief,
    Disagreement,
    Plan,
    PlannedPiece,
    School,
    Span,
)
from nine_knots.core.trade.situation import Situation

SHARES = (0.375, 0.375, 0.25)
TIMES = (3.0, 2.0)  # strength of butt and middle over the tippet's [P]


def _span(situation: Situation) -> Span:
    """8 ft [P], shorter on sunk lines."""
    return feet(6.5, 8.0, 9.5) if situation.line.sinking == "floating" else feet(3.5, 5.0, 7.0)


def _plan(brief: Brief) -> Plan:
    upper_m, middle_m = (times_as_strong_m(brief.tippet_m, times) for times in TIMES)
    first, second, third = (share * brief.length_m for share in SHARES)
    return Plan(
        pieces=(
            PlannedPiece(role="butt", length_m=first, diameter_m=upper_m, prefer=MIDDLE + SUNK[:1]),
            PlannedPiece(
                role="taper", length_m=second, diameter_m=middle_m, prefer=MIDDLE + SUNK[:1]
            ),
            PlannedPiece(role="tippet", length_m=third, diameter_m=brief.tippet_m, prefer=SUNK),
        )
    )


GUIDE_THREE_PART = School(
    place=90,
    key="guide-three-part",
    title="Guide three-part",
    rule=(
        "Three stout pieces, three, two and one times the tippet's strength. Heavy butts throw big "
        "flies for any hand and take a day of snags."
    ),
    used_for="bass and inshore, on 6- to 9-weights",
    disagrees=Disagreement(
        school="tapered-inshore",
        says="So stout a butt kicks on a light line; four pieces match it and land quieter.",
    ),
    span=_span,
    plan=_plan,
)
