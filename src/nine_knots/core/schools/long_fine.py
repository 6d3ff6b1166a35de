"""Long fine: mostly butt and taper, nylon throughout, for spooky fish and small dries."""

from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_strength import taper_and_tippet
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.school import (
    SOFT,
    Disagreement,
    Plan,
    PlannedSection,
    PlannedTaper,
    School,
    SchoolBrief,
    Span,
)
from nine_knots.core.schools.suitability import for_a_small_dry

TIPPET_SHARE = 0.24
STIFF_SHARE = 0.6  # of the matched stiffness: it begins thin [P]
SHARES = (0.42, 0.2, 0.14, 0.13, 0.11)  # of what is above the tippet


def _span(_situation: Situation) -> Span:
    """12 to 20 ft [P]."""
    return feet(12.0, 15.0, 20.0)


def _plan(brief: SchoolBrief) -> Plan:
    return taper_and_tippet(brief, SHARES, TIPPET_SHARE, 1.16, SOFT, STIFF_SHARE)


def _bought(brief: SchoolBrief, tied: Plan) -> tuple[Plan, ...]:
    """A whole packet, a step finer for a seventh, and the tippet; or a longer and finer packet and
    the tippet alone."""
    tippet = tied.pieces[-1]
    middle = PlannedSection(
        role="taper",
        length_m=0.14 * brief.length_m,
        diameter_m=brief.tippet_m + THOU_M,
        prefer=SOFT,
    )
    taper = PlannedTaper(
        length_m=brief.length_m - middle.length_m - tippet.length_m,
        butt_m=brief.butt_m(),
        tip_m=brief.tippet_m + 2.0 * THOU_M,
    )
    longer = taper.model_copy(
        update={
            "length_m": brief.length_m - tippet.length_m,
            "tip_m": brief.tippet_m + THOU_M,
        }
    )
    return (Plan(taper=taper, pieces=(middle, tippet)), Plan(taper=longer, pieces=(tippet,)))


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
        says="A leader that doesn't turn over in a breeze is no use: nine feet is enough.",
    ),
    suits=for_a_small_dry,
    span=_span,
    plan=_plan,
    bought=_bought,
)
