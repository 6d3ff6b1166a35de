"""Short and level: two feet of stout mono on a sunk line, and nothing to think about."""

from nine_knots.core.base.units.factors import POUND_N
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_strength import steps_by_label
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.school import Disagreement, Plan, School, SchoolBrief, Span
from nine_knots.core.schools.suitability import all_of, for_a_sunk_line, without_wire

LABELS_LB, TROUT_LB = (20.0, 25.0), (10.0, 16.0)  # [P; for trout, salmon and their kin M]
TROUTS = ("trout", "sea-trout", "char", "grayling", "steelhead", "salmon")


def _span(_situation: Situation) -> Span:
    """Two feet, up to four [P]."""
    return feet(1.5, 2.0, 4.0)


def _labels_n(situation: Situation) -> tuple[float, float]:
    low, high = TROUT_LB if situation.quarry.kind in TROUTS else LABELS_LB
    return low * POUND_N, high * POUND_N


def _plan(brief: SchoolBrief) -> Plan:
    return steps_by_label(brief, ((1.0, 1.0),))


LEVEL_SHORT = School(
    place=85,
    key="level-short",
    title="Level and short",
    rule=(
        "Two feet of one stout spool from a sunk line's loop to the fly. The fly goes down "
        "with the line, and only two knots can fail."
    ),
    used_for="streamers on sink-tips and sinking lines",
    disagrees=Disagreement(
        school="two-part",
        says="Wary fish see it; two feet of twelve-pound below a swivel are worth it.",
    ),
    suits=all_of(without_wire, for_a_sunk_line),
    span=_span,
    plan=_plan,
    labels=_labels_n,
    line_steps=(0.04, 14.0),
)
