"""Nymphs under an indicator: two in line, or the upper on a tag."""

from nine_knots.core.base.units.factors import FOOT_M, INCH_M
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_strength import tapered
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.flies import upper_nymph
from nine_knots.core.schools.indicator import (
    FLOAT_M,
    below_bought,
    indicator_at,
    setting_notes,
)
from nine_knots.core.schools.school import (
    SUNK,
    Disagreement,
    Plan,
    PlannedFly,
    PlannedSection,
    PlannedTaper,
    School,
    SchoolBrief,
    Span,
)
from nine_knots.core.schools.suitability import for_a_nymph

FIRST_M, NEXT_M = 18.0 * INCH_M, 20.0 * INCH_M  # lead fly, and to the next [P]
TAG_M = 8.0 * INCH_M
SHARES = (0.6, 0.25, 0.15)
STEP = 0.9  # of the tippet's diameter, from fly to fly: a snag costs the lower one [P]


def _span(_situation: Situation) -> Span:
    """A tapered leader of seven feet and a half, and the flies [P]."""
    return feet(9.0, 10.75, 13.0)


def _pieces(brief: SchoolBrief) -> tuple[PlannedSection, ...]:
    upper = max(4.0 * FOOT_M, brief.length_m - FIRST_M - NEXT_M)
    above = tapered(brief, upper, brief.tippet_m * 1.45, SHARES)
    first = PlannedSection(role="tippet", length_m=FIRST_M, diameter_m=brief.tippet_m, prefer=SUNK)
    second = PlannedSection(
        role="tippet", length_m=NEXT_M, diameter_m=STEP * brief.tippet_m, prefer=SUNK
    )
    return (*above, first, second)


def _bought(brief: SchoolBrief, tip_over: float) -> PlannedTaper:
    """A whole packet of about seven feet and a half to nine, ended by its swivel or ring."""
    return PlannedTaper(
        length_m=8.2 * FOOT_M,
        butt_m=brief.butt_m(),
        tip_m=tip_over * brief.tippet_m,
        parted=True,
    )


def _in_line_bought(brief: SchoolBrief, tied: Plan) -> tuple[Plan, ...]:
    return (below_bought(_bought(brief, 1.0), tied),)


def _on_tag_bought(brief: SchoolBrief, tied: Plan) -> tuple[Plan, ...]:
    return (below_bought(_bought(brief, 1.1), tied),)


def _in_line(brief: SchoolBrief) -> Plan:
    upper = upper_nymph(brief)
    return Plan(
        pieces=_pieces(brief),
        swivels=(3,),
        flies=(PlannedFly(joint=4, fly=upper),),
        things=(indicator_at(brief, FLOAT_M, (upper,)),),
    )


def _on_tag(brief: SchoolBrief) -> Plan:
    upper = upper_nymph(brief)
    return Plan(
        pieces=_pieces(brief),
        rings=(3,),
        flies=(PlannedFly(joint=4, fly=upper, length_m=TAG_M),),
        things=(indicator_at(brief, FLOAT_M, (upper,)),),
    )


INDICATOR_NYMPH = School(
    place=190,
    key="indicator-nymph",
    title="Indicator nymph, in line",
    rule=(
        "A short taper to a swivel, then level tippet to the first nymph and a step finer from its "
        "bend to the next. The indicator rides at one and a half times the depth."
    ),
    used_for="big rivers, at a distance",
    disagrees=Disagreement(
        school="indicator-nymph-tag",
        says="From the bend it hooks worse and can't be changed on its own: use a tag.",
    ),
    suits=for_a_nymph,
    span=_span,
    plan=_in_line,
    bought=_in_line_bought,
    notes=setting_notes,
)

INDICATOR_NYMPH_TAG = School(
    place=200,
    key="indicator-nymph-tag",
    title="Indicator nymph, on a tag",
    rule=(
        "A short taper to a ring, level tippet to a knot whose lower tag carries the upper nymph, "
        "and on to the point. Either fly is changed without touching the other."
    ),
    used_for="big rivers, where flies are changed often",
    disagrees=Disagreement(
        school="indicator-nymph",
        says="Tags tangle in a beginner's cast; in line nothing stands off.",
    ),
    suits=for_a_nymph,
    span=_span,
    plan=_on_tag,
    bought=_on_tag_bought,
    notes=setting_notes,
)
