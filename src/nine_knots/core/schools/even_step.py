"""Even step: equal lengths, equal steps in diameter."""

from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.school import (
    STIFF,
    Disagreement,
    Plan,
    PlannedSection,
    School,
    SchoolBrief,
    Span,
    tippet_materials,
)
from nine_knots.core.schools.suitability import without_wire

STEP_M = 3.0 * THOU_M
BUTT_SHARE = 2.7  # of the matched stiffness: .027 in on an 8-weight [P]
LINE_STEPS = (0.25, 12.0)


def _span(situation: Situation) -> Span:
    """12 ft as a rule, shorter on sunk lines."""
    if situation.line.sinking != "floating":
        return feet(6.0, 8.0, 10.0)
    return feet(9.0, 12.0, 14.0)


def _plan(brief: SchoolBrief) -> Plan:
    """As many pieces as steps of about .003 in lie between butt and tippet, all equally long."""
    butt_m = max(brief.butt_m(share=BUTT_SHARE), brief.tippet_m + STEP_M)
    count = max(3, round((butt_m - brief.tippet_m) / STEP_M) + 1)
    step_m = (butt_m - brief.tippet_m) / (count - 1)
    tippets = tippet_materials(brief.situation)
    pieces = [
        PlannedSection(
            role="butt" if i == 0 else "tippet" if i == count - 1 else "taper",
            length_m=brief.length_m / count,
            diameter_m=butt_m - i * step_m,
            bend_nm2=BUTT_SHARE * brief.butt_bend_nm2 if i == 0 else None,
            prefer=tippets if i == count - 1 else STIFF,
        )
        for i in range(count)
    ]
    return Plan(pieces=tuple(pieces))


EVEN_STEP = School(
    place=60,
    key="even-step",
    title="Even step",
    rule=(
        "All sections are equally long and each is thinner by the same step, about three "
        "thousandths. No section is much softer than its neighbour, so it lays out straight in "
        "wind."
    ),
    used_for="wind and flats",
    disagrees=Disagreement(
        school="compound-slack",
        says="A straight leader drags: over currents it should land in curves.",
    ),
    suits=without_wire,
    span=_span,
    plan=_plan,
    line_steps=LINE_STEPS,
)
