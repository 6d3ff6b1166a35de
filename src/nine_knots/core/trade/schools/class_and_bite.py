"""Class and bite: butt, middle, a class tippet of known strength, and a bite piece for teeth."""

from nine_knots.core.base.units.factors import INCH_M
from nine_knots.core.trade.schools.by_strength import times_as_strong_m
from nine_knots.core.trade.schools.by_water import feet
from nine_knots.core.trade.schools.school import (
    MIDDLE,
    STIFF,
    SUNK,
    Brief,
    Disagreement,
    Plan,
    PlannedPiece,
    School,
    Span,
)
from nine_knots.core.trade.situation import Situation

BITE_M = 10.0 * INCH_M  # under the record rule's 12 in, its knots counted [S: IGFA2023]
LEAST_CLASS_M = 18.0 * INCH_M
BITE_TIMES = 3.0  # its strength over the class tippet's [P]


def _span(_situation: Situation) -> Span:
    """8 to 10 ft [P]."""
    return feet(7.0, 9.0, 11.0)


def _plan(brief: Brief) -> Plan:
    left = brief.length_m - BITE_M
    class_m = max(LEAST_CLASS_M, 0.3 * left)
    upper = left - class_m
    middle_m = max(times_as_strong_m(brief.tippet_m, 2.0), brief.tippet_m * 1.2)
    butt_m = max(brief.butt_m("nylon-medium"), middle_m * 1.1)
    return Plan(
        pieces=(
            PlannedPiece(role="butt", length_m=0.6 * upper, diameter_m=butt_m, prefer=MIDDLE),
            PlannedPiece(role="taper", length_m=0.4 * upper, diameter_m=middle_m, prefer=STIFF),
            PlannedPiece(role="tippet", length_m=class_m, diameter_m=brief.tippet_m, prefer=SUNK),
            PlannedPiece(
                role="bite",
                length_m=BITE_M,
                diameter_m=times_as_strong_m(brief.tippet_m, BITE_TIMES, "fluorocarbon"),
                prefer=("fluorocarbon", "nylon-stiff", "nylon-medium"),
            ),
        )
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
        says="Where no record is sought the bite piece is one knot more to fail.",
    ),
    span=_span,
    plan=_plan,
)
