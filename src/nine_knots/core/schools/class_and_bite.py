"""Class and bite: butt, middle, a class tippet of known strength, and a bite piece for teeth."""

from nine_knots.core.base.units.factors import INCH_M
from nine_knots.core.domain.materials import MaterialKey
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tippet import labels_n
from nine_knots.core.schools.by_strength import by_label
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.school import Disagreement, Plan, School, SchoolBrief, Span
from nine_knots.core.schools.suitability import all_of, for_huge_fish, without_wire

BITE_M = 10.0 * INCH_M  # under the record rule's 12 in, its knots counted [S: IGFA2023]
BITE: tuple[MaterialKey, ...] = ("fluorocarbon", "nylon-stiff", "nylon-medium")
LEAST_CLASS_M = 18.0 * INCH_M
BUTT_TIMES, MIDDLE_TIMES, BITE_TIMES = 3.0, 2.5, 3.0  # strength over the class tippet's [P]
LINE_STEPS = (0.25, 14.0)  # 60 lb on a 10- to 12-weight is usual [P]


def _span(_situation: Situation) -> Span:
    """8 to 10 ft [P]."""
    return feet(7.0, 9.5, 11.0)


def _plan(brief: SchoolBrief) -> Plan:
    left = brief.length_m - BITE_M
    class_m = max(LEAST_CLASS_M, 0.3 * left)
    upper = left - class_m
    bite = by_label(brief, "bite", BITE_M, BITE_TIMES, BITE)
    return Plan(
        pieces=(
            by_label(brief, "butt", 0.6 * upper, BUTT_TIMES),
            by_label(brief, "taper", 0.4 * upper, MIDDLE_TIMES),
            by_label(brief, "tippet", class_m, 1.0),
            bite.model_copy(update={"floor": True}),
        ),
        doubled=(2, 3),
    )


CLASS_AND_BITE = School(
    place=110,
    key="class-and-bite",
    title="Class and bite",
    rule=(
        "A class tippet of known strength is the weakest part, and a short bite piece three times "
        "as strong below it takes the teeth. Lengths keep to the usual record rule."
    ),
    used_for="big salt-water fish with rough mouths",
    disagrees=Disagreement(
        school="guide-three-part",
        says="Unless you fish for records, the bite piece is one more knot that can fail.",
    ),
    suits=all_of(without_wire, for_huge_fish),
    span=_span,
    plan=_plan,
    labels=labels_n,
    line_steps=LINE_STEPS,
)
