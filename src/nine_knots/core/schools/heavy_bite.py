"""Heavy bite: two stout pieces and a foot of heavy mono for teeth, in place of wire."""

from nine_knots.core.base.units.factors import FOOT_M, POUND_N
from nine_knots.core.domain.materials import MaterialKey
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_strength import by_label
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.school import Disagreement, Plan, School, SchoolBrief, Span
from nine_knots.core.schools.suitability import for_cutting_teeth

BITE_M, BITE_N = 1.25 * FOOT_M, 80.0 * POUND_N  # 12 to 18 in of 80 lb [P]
BITE: tuple[MaterialKey, ...] = ("fluorocarbon", "nylon-stiff", "nylon-medium")
BUTT_TIMES, BUTT_SHARE = 1.5, 0.5
LABELS_LB = (30.0, 50.0)  # of the piece above the bite [P]
LINE_STEPS = (0.25, 20.0)


def _span(_situation: Situation) -> Span:
    """4 to 6 ft: it throws a wet fly the size of a hand [P]."""
    return feet(4.0, 5.5, 7.0)


def _labels_n(_situation: Situation) -> tuple[float, float]:
    return LABELS_LB[0] * POUND_N, LABELS_LB[1] * POUND_N


def _plan(brief: SchoolBrief) -> Plan:
    upper = brief.length_m - BITE_M
    bite = by_label(brief, "bite", BITE_M, BITE_N / brief.tippet_n, BITE)
    return Plan(
        pieces=(
            by_label(brief, "butt", BUTT_SHARE * upper, BUTT_TIMES),
            by_label(brief, "tippet", (1.0 - BUTT_SHARE) * upper, 1.0),
            bite.model_copy(update={"floor": True}),
        )
    )


HEAVY_BITE = School(
    place=125,
    key="heavy-bite",
    title="Heavy bite",
    rule=(
        "Sixty pounds to forty, an arm span or less, and a foot or more of eighty-pound "
        "fluorocarbon. It is knotted like any mono, doesn't kink, and shows less than wire."
    ),
    used_for="pike and musky, where the bite is looked over after each fish",
    disagrees=Disagreement(
        school="predator-wire",
        says="A big fish's teeth cut through any mono in the end: only wire is sure.",
    ),
    suits=for_cutting_teeth,
    span=_span,
    plan=_plan,
    labels=_labels_n,
    line_steps=LINE_STEPS,
)
