"""The heavy rig with shot: a stout butt that takes the indicator, level tippet, a short trace."""

from nine_knots.core.base.units.factors import FOOT_M, INCH_M
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.flies import upper_nymph
from nine_knots.core.schools.indicator import (
    ABOVE_KNOT_M,
    BIG_FLOAT_M,
    indicator_at,
    setting_notes,
    usual_shot,
)
from nine_knots.core.schools.school import (
    STIFF,
    SUNK,
    Disagreement,
    Plan,
    PlannedFly,
    PlannedSection,
    School,
    SchoolBrief,
    Span,
)
from nine_knots.core.schools.suitability import for_heavy_fish

TO_THE_FIRST_M, TRACE_M = 16.0 * INCH_M, 10.0 * INCH_M  # [P]
LEVEL_M = (6.0 * FOOT_M, 8.0 * FOOT_M)  # [P]
LEAST_BUTT_M, ON_BUTT_M = 0.5, 0.1


def _span(_situation: Situation) -> Span:
    """Six to eight feet of level tippet under a butt that takes the indicator [P]."""
    return feet(9.0, 11.5, 13.5)


def _plan(brief: SchoolBrief) -> Plan:
    below = TO_THE_FIRST_M + TRACE_M
    shot = usual_shot(brief, below + ABOVE_KNOT_M, heavy=True)
    floats = indicator_at(brief, BIG_FLOAT_M, (upper_nymph(brief),), shot.mass_kg)
    most = brief.length_m - below - LEAST_BUTT_M
    level = min(most, max(LEVEL_M[0], min(LEVEL_M[1], floats.above_end_m - below - ON_BUTT_M)))
    butt = brief.length_m - below - level
    on_butt = max(floats.above_end_m, below + level + ON_BUTT_M)  # on the butt it slides and holds
    thick = brief.tippet_m * 1.12
    return Plan(
        pieces=(
            PlannedSection(
                role="butt",
                length_m=butt,
                diameter_m=max(brief.butt_m(), thick * 1.2),
                bend_nm2=brief.butt_bend_nm2,
                prefer=STIFF,
            ),
            PlannedSection(
                role="taper",
                length_m=level,
                diameter_m=thick,
                prefer=SUNK,
            ),
            PlannedSection(
                role="tippet", length_m=TO_THE_FIRST_M, diameter_m=brief.tippet_m, prefer=SUNK
            ),
            PlannedSection(role="tippet", length_m=TRACE_M, diameter_m=brief.tippet_m, prefer=SUNK),
        ),
        flies=(PlannedFly(joint=3, fly=upper_nymph(brief)),),
        things=(
            floats.model_copy(update={"above_end_m": on_butt}),
            shot,
        ),
    )


HEAVY_NYMPH = School(
    place=210,
    key="heavy-nymph",
    title="Heavy nymph",
    rule=(
        "A stout butt that takes a big indicator, seven feet of level tippet without taper, and a "
        "step finer to the flies. Shot sits just above the joining knot, which stops it."
    ),
    used_for="steelhead-sized fish in strong water",
    disagrees=Disagreement(
        school="tight-line",
        says="Shot hinges and tangles; a heavy fly on fine tippet gets down without it.",
    ),
    suits=for_heavy_fish,
    span=_span,
    plan=_plan,
    notes=setting_notes,
)
