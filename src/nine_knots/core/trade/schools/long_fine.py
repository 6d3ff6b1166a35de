"""Long fine: mostly butt and taper, nylon throughout, for spooky fish and small dries."""

from nine_knots.core.trade.schools.by_strength import taper_and_tippet
from nine_knots.core.trade.schools.by_water import feet
from nine_knots.core.trade.schools.school import SOFT, Brief, Disagreement, Plan, School, Span
from nine_knots.core.trade.situation import Situation

TIPPET_SHARE = 0.24
SHARES = (0.42, 0.2, 0.14, 0.13, 0.11)  # of what is above the tippet


def _span(_situation: Situation) -> Span:
    """12 to 20 ft [P]."""
    return feet(12.0, 15.0, 20.0)


def _plan(brief: Brief) -> Plan:
    return taper_and_tippet(brief, SHARES, TIPPET_SHARE, 1.16, SOFT)


LONG_FINE = School(
    place=30,
    key="long-fine",
    title="Long fine",
    rule=(
        "Twelve to twenty feet, three quarters of it butt and a slow taper, nylon throughout. The "
        "line stays far from the fish and the last yards lie as softly as the cast allows."
    ),
    used_for="spooky fish and small dries on smooth water",
    disagrees=Disagreement(
        school="sixty-twenty-twenty",
        says="A leader that nobody can turn over in a breeze is no leader: nine feet does.",
    ),
    span=_span,
    plan=_plan,
)
