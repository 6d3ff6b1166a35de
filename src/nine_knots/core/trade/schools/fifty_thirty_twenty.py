"""Fifty-thirty-twenty: three pieces, one strength step each, for surf and bass."""

from nine_knots.core.trade.schools.by_strength import times_as_strong_m
from nine_knots.core.trade.schools.by_water import feet
from nine_knots.core.trade.schools.school import (
    MIDDLE,
    STIFF,
    SUNK,
    Brief,
    Disagreement,
    Plan,
    PlannedPiece,
    School,
    Span,
)
from nine_knots.core.trade.situation import Situation

SHARES = (0.5, 0.3, 0.2)
MIDDLE_TIMES = 1.5  # the middle's strength over the tippet's; the butt's is that again [P]


def _span(situation: Situation) -> Span:
    """8 ft floating [P], less on sunk lines."""
    return feet(7.0, 8.0, 10.0) if situation.line.sinking == "floating" else feet(3.5, 5.0, 7.0)


def _plan(brief: Brief) -> Plan:
    middle_m = times_as_strong_m(brief.tippet_m, MIDDLE_TIMES)
    butt_m = max(brief.butt_m("nylon-medium"), times_as_strong_m(brief.tippet_m, 2.0))
    butt, middle, tippet = (share * brief.length_m for share in SHARES)
    return Plan(
        pieces=(
            PlannedPiece(role="butt", length_m=butt, diameter_m=butt_m, prefer=MIDDLE),
            PlannedPiece(role="taper", length_m=middle, diameter_m=middle_m, prefer=STIFF + SUNK),
            PlannedPiece(role="tippet", length_m=tippet, diameter_m=brief.tippet_m, prefer=SUNK),
        )
    )


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
    span=_span,
    plan=_plan,
)
