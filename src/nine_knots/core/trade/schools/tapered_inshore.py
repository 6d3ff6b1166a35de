"""Tapered inshore: half stout butt, then three quick steps, for shy fish on the flats."""

from nine_knots.core.trade.schools.by_strength import taper_and_tippet
from nine_knots.core.trade.schools.by_water import feet
from nine_knots.core.trade.schools.school import SUNK, Brief, Disagreement, Plan, School, Span
from nine_knots.core.trade.situation import Situation

TIPPET_SHARE = 0.17
SHARES = (0.6, 0.27, 0.13)


def _span(situation: Situation) -> Span:
    """7 to 9 ft inshore, longer on the flats [P]."""
    return feet(8.5, 10.0, 12.0) if situation.water.kind == "flats" else feet(7.0, 9.0, 10.5)


def _plan(brief: Brief) -> Plan:
    return taper_and_tippet(brief, SHARES, TIPPET_SHARE, 1.2, SUNK)


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
        says="Three knots that weed finds; two pieces less are tied again in a minute.",
    ),
    span=_span,
    plan=_plan,
)
