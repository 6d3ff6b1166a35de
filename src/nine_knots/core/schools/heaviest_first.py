"""Three in line, the heaviest first: a swivel that stops the shot, lighter line from fly to fly."""

from nine_knots.core.base.units.factors import FOOT_M, INCH_M, POUND_N
from nine_knots.core.domain.materials import MaterialKey
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_strength import by_label, tapered
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.flies import heavier_nymphs
from nine_knots.core.schools.indicator import (
    ABOVE_KNOT_M,
    FLOAT_M,
    below_bought,
    indicator_at,
    setting_notes,
    usual_shot,
)
from nine_knots.core.schools.school import (
    Disagreement,
    Plan,
    PlannedFly,
    PlannedTaper,
    School,
    SchoolBrief,
    SchoolNote,
    Span,
)
from nine_knots.core.schools.suitability import for_a_nymph

APART_M = (18.0 * INCH_M, 20.0 * INCH_M, 18.0 * INCH_M)  # swivel to first, to second, to third [P]
TIMES = (1.5, 1.25, 1.0)  # the lowest trace's strength [P: 12, 10, 8 lb]
LABELS_LB = (6.0, 8.5)  # of the lowest trace [P]
SHARES = (0.6, 0.25, 0.15)
SINKING: tuple[MaterialKey, ...] = ("fluorocarbon", "copolymer", "nylon-medium", "nylon-soft")


def _span(_situation: Situation) -> Span:
    """A tapered leader of seven feet and a half, and the flies [P]."""
    return feet(10.5, 12.0, 14.5)


def _labels_n(_situation: Situation) -> tuple[float, float]:
    return LABELS_LB[0] * POUND_N, LABELS_LB[1] * POUND_N


def _plan(brief: SchoolBrief) -> Plan:
    below = sum(APART_M)
    upper = max(4.0 * FOOT_M, brief.length_m - below)
    traces = tuple(
        by_label(brief, "tippet", length_m, times, SINKING)
        for length_m, times in zip(APART_M, TIMES, strict=True)
    )
    first, second = heavier_nymphs(brief)
    shot = usual_shot(brief, below + ABOVE_KNOT_M)
    return Plan(
        pieces=(*tapered(brief, upper, brief.tippet_m * 1.3, SHARES), *traces),
        swivels=(3,),
        flies=(PlannedFly(joint=4, fly=first), PlannedFly(joint=5, fly=second)),
        things=(
            indicator_at(brief, FLOAT_M, (first, second), shot.mass_kg),
            shot,
        ),
    )


def _bought(brief: SchoolBrief, tied: Plan) -> tuple[Plan, ...]:
    taper = PlannedTaper(
        length_m=7.5 * FOOT_M, butt_m=brief.butt_m(), tip_m=1.05 * brief.tippet_m, parted=True
    )
    return (below_bought(taper, tied),)


def _notes(brief: SchoolBrief) -> tuple[SchoolNote, ...]:
    said = ["Each step down is lighter line, so a snag costs only the flies below it."]
    if heavier_nymphs(brief)[0].mass_kg < brief.situation.fly.mass_kg:
        said.append(
            "The point fly of the day is the heaviest: choose a lighter one in the sentence."
        )
    return (*(SchoolNote(text=text) for text in said), *setting_notes(brief))


HEAVIEST_FIRST = School(
    place=195,
    key="heaviest-first",
    title="Three in line, heaviest first",
    rule=(
        "A bought taper ends in a swivel that stops shot; the heavy fly comes first and "
        "lighter ones trail behind on lighter line. The indicator slides on the leader."
    ),
    used_for="deep, strong rivers with snags",
    disagrees=Disagreement(
        school="indicator-nymph",
        says="With the heaviest fly last the line is tight to every fly, and takes show sooner.",
    ),
    suits=for_a_nymph,
    span=_span,
    plan=_plan,
    bought=_bought,
    labels=_labels_n,
    notes=_notes,
)
