"""Nymphs under an indicator: two in line, or the upper on a tag; and the heavy rig with shot."""

from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import FOOT_M, INCH_M
from nine_knots.core.trade.leader import Attachment
from nine_knots.core.trade.leader.attachments import SHOT_G
from nine_knots.core.trade.schools.by_strength import tapered
from nine_knots.core.trade.schools.by_water import feet
from nine_knots.core.trade.schools.flies import upper_nymph
from nine_knots.core.trade.schools.school import (
    SUNK,
    Brief,
    Disagreement,
    Plan,
    PlannedFly,
    PlannedPiece,
    School,
    Span,
)
from nine_knots.core.trade.situation import Situation

FIRST_M, NEXT_M = 18.0 * INCH_M, 20.0 * INCH_M  # lead fly, and to the next [P]
TAG_M = 8.0 * INCH_M
SHARES = (0.6, 0.25, 0.15)
STEP = 0.9  # of the tippet's diameter, from fly to fly: a snag costs the lower one [P]
SETTING_OVER_DEPTH = 1.5  # [P]
FLOAT_M, BIG_FLOAT_M = 0.016, 0.025
FAST_M_S = 1.0


def _span(_situation: Situation) -> Span:
    """A tapered leader of seven feet and a half, and the flies [P]."""
    return feet(9.0, 10.75, 13.0)


def _set(brief: Brief, across_m: float) -> Attachment:
    """The indicator at the rule of thumb for the depth."""
    return Attachment(
        kind="indicator",
        above_end_m=max(0.4, SETTING_OVER_DEPTH * brief.situation.water.depth_m),
        diameter_m=across_m,
    )


def _says(_brief: Brief, _units: Units) -> list[str]:
    return [
        "Indicator at 1.5 times the depth, by the rule of thumb; the Water stage finds the setting "
        "for this weight and pace."
    ]


def _pieces(brief: Brief) -> tuple[PlannedPiece, ...]:
    upper = max(4.0 * FOOT_M, brief.length_m - FIRST_M - NEXT_M)
    above = tapered(brief, upper, brief.tippet_m * 1.45, SHARES)
    first = PlannedPiece(role="tippet", length_m=FIRST_M, diameter_m=brief.tippet_m, prefer=SUNK)
    second = PlannedPiece(
        role="tippet", length_m=NEXT_M, diameter_m=STEP * brief.tippet_m, prefer=SUNK
    )
    return (*above, first, second)


def _in_line(brief: Brief) -> Plan:
    return Plan(
        pieces=_pieces(brief),
        swivels=(3,),
        flies=(PlannedFly(joint=4, fly=upper_nymph(brief)),),
        things=(_set(brief, FLOAT_M),),
    )


def _on_tag(brief: Brief) -> Plan:
    return Plan(
        pieces=_pieces(brief),
        rings=(3,),
        flies=(PlannedFly(joint=4, fly=upper_nymph(brief), length_m=TAG_M),),
        things=(_set(brief, FLOAT_M),),
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
        says="From the bend it hooks worse and cannot be changed alone: hang it on a tag.",
    ),
    span=_span,
    plan=_in_line,
    says=_says,
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
    span=_span,
    plan=_on_tag,
    says=_says,
)


def _heavy_span(_situation: Situation) -> Span:
    """Six to eight feet of level tippet under a butt that takes the indicator [P]."""
    return feet(9.0, 11.0, 13.0)


def _heavy(brief: Brief) -> Plan:
    last = 16.0 * INCH_M
    butt = 0.3 * brief.length_m
    level = brief.length_m - butt - last
    thick = brief.tippet_m * 1.12
    fast = brief.situation.water.pace_m_s > FAST_M_S
    shot = Attachment(
        kind="shot",
        above_end_m=last + 0.02,
        mass_kg=1e-3 * SHOT_G["AAA" if fast else "BB"],
        metal="tin" if brief.situation.water.rules.lead_banned else "lead",
    )
    return Plan(
        pieces=(
            PlannedPiece(
                role="butt",
                length_m=butt,
                diameter_m=max(brief.butt_m(), thick * 1.2),
                bend_nm2=brief.butt_bend_nm2,
                prefer=("nylon-stiff", "nylon-medium"),
            ),
            PlannedPiece(role="tippet", length_m=level, diameter_m=thick, prefer=SUNK),
            PlannedPiece(role="tippet", length_m=last, diameter_m=brief.tippet_m, prefer=SUNK),
        ),
        things=(_set(brief, BIG_FLOAT_M), shot),
    )


HEAVY_NYMPH = School(
    place=210,
    key="heavy-nymph",
    title="Heavy nymph",
    rule=(
        "A stout butt that takes a big indicator, seven feet of level tippet without taper, and a "
        "step finer to the fly. Shot sits just above the joining knot, which keeps it from sliding."
    ),
    used_for="steelhead-sized fish in strong water",
    disagrees=Disagreement(
        school="tight-line",
        says="Shot hinges and tangles; a heavy fly on fine tippet gets down without it.",
    ),
    span=_heavy_span,
    plan=_heavy,
    says=_says,
)
