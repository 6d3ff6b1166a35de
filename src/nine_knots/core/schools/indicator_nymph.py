"""Nymphs under an indicator: one, two in line, or the upper on a tag."""

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
    usual_shot,
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
ALONE_M, SHOT_ABOVE_M = 3.0 * FOOT_M, 15.0 * INCH_M  # one fly's tippet, and its shot [P]
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


def _one_m(situation: Situation) -> float:
    """Tippet below the ring as long as the water is deep [P]."""
    return min(1.5 * ALONE_M, max(0.5 * ALONE_M, situation.water.depth_m))


def _one_fly(brief: SchoolBrief) -> Plan:
    """Level tippet from the ring to the fly; shot above a fly that carries no weight of its own."""
    below_m = _one_m(brief.situation)
    above_m = max(4.0 * FOOT_M, brief.length_m - below_m)
    tippet = PlannedSection(role="tippet", length_m=below_m, diameter_m=brief.tippet_m, prefer=SUNK)
    shots = () if brief.situation.fly.is_weighted else (usual_shot(brief, SHOT_ABOVE_M),)
    shot_kg = sum(shot.mass_kg for shot in shots)
    return Plan(
        pieces=(*tapered(brief, above_m, brief.tippet_m * 1.45, SHARES), tippet),
        rings=(3,),
        things=(indicator_at(brief, FLOAT_M, (), shot_kg), *shots),
    )


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


ONE_NYMPH = School(
    place=185,
    key="one-nymph",
    title="One nymph under an indicator",
    rule=(
        "A short taper to a ring, and level tippet as long as the water is deep. A fly without "
        "weight takes a shot fifteen inches above it; the indicator slides on the taper."
    ),
    used_for="a first nymph rig, and wherever one fly is the rule",
    disagrees=Disagreement(
        school="indicator-nymph-tag",
        says="A second fly shows what they take and at which depth.",
    ),
    suits=for_a_nymph,
    span=_span,
    plan=_one_fly,
    bought=_on_tag_bought,
    notes=setting_notes,
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
