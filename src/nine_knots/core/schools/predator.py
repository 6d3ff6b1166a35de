"""For teeth: stout tapered mono to a foot of soft wire, and level mono to single-strand wire."""

from nine_knots.core.base.units.factors import FOOT_M, POUND_N
from nine_knots.core.domain.label_sizes import labelled_thickness_m
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_strength import by_label
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.school import (
    MIDDLE,
    STIFF,
    Disagreement,
    Plan,
    PlannedSection,
    PlannedTaper,
    School,
    SchoolBrief,
    Span,
)
from nine_knots.core.schools.suitability import with_long_wire, with_wire

WIRE_M = 1.0 * FOOT_M  # 30 cm [P]
MONO_N = 20.0 * POUND_N  # where the taper ends [P]
LEVEL_N, TRACE_N = 30.0 * POUND_N, 86.0 * POUND_N  # [P]
TRACE_M = 3.5 * FOOT_M
TAPER_M = 6.0 * FOOT_M  # the arm span [P]


def _span(_situation: Situation) -> Span:
    """About an arm span with its wire [P]."""
    return feet(5.0, 7.0, 9.0)


def _labels_n(_situation: Situation) -> tuple[float, float]:
    return 0.75 * MONO_N, 1.25 * MONO_N


def _stouter_m(brief: SchoolBrief) -> float:
    """Diameter in metres of a butt 1.6 times as strong as where the taper ends."""
    return labelled_thickness_m(1.6 * brief.tippet_n, "nylon-medium")


def _wire(brief: SchoolBrief) -> PlannedSection:
    """Soft wire as strong as the mono or stronger, never single strand."""
    return by_label(brief, "bite", WIRE_M, 1.0, ("wire-soft",)).model_copy(
        update={"floor": True, "bound": True}
    )


def _plan(brief: SchoolBrief) -> Plan:
    upper = brief.length_m - WIRE_M
    butt_m = max(brief.butt_m(), _stouter_m(brief))
    return Plan(
        pieces=(
            PlannedSection(
                role="butt",
                length_m=0.6 * upper,
                diameter_m=butt_m,
                bend_nm2=brief.butt_bend_nm2 if butt_m == brief.butt_m() else None,
                prefer=STIFF,
            ),
            by_label(brief, "taper", 0.4 * upper, 1.0, MIDDLE),
            _wire(brief),
        )
    )


def _bought(brief: SchoolBrief, _tied: Plan) -> tuple[Plan, ...]:
    """A taper to about twenty pounds, cut from the butt to the arm span, and the wire."""
    long_m = TAPER_M if brief.asked_m is None else brief.asked_m - WIRE_M
    taper = PlannedTaper(
        length_m=long_m,
        butt_m=max(brief.butt_m(), _stouter_m(brief)),
        tip_m=brief.tippet_m,
        most_m=long_m,
        cut="butt",
        parted=True,
    )
    return (Plan(taper=taper, pieces=(_wire(brief),), swivels=(1,)),)


PREDATOR = School(
    place=120,
    key="predator-wire",
    title="Predator with wire",
    rule=(
        "Stout mono tapered to about twenty pounds, an arm span in all, ends in a foot of soft "
        "wire. Short and thick it throws a wet fly, and the wire keeps it from the teeth."
    ),
    used_for="pike and their like",
    disagrees=Disagreement(
        school="guide-three-part",
        says="Heavy fluorocarbon is less visible than wire, for fish that only rasp.",
    ),
    suits=with_wire,
    span=_span,
    plan=_plan,
    labels=_labels_n,
    bought=_bought,
    line_steps=(0.15, 12.0),
)


def _shark_span(_situation: Situation) -> Span:
    """As long as the trace and the mono that a cast bears [P]."""
    return feet(7.0, 9.0, 12.0)


def _shark_plan(brief: SchoolBrief) -> Plan:
    wire = by_label(brief, "bite", TRACE_M, TRACE_N / brief.tippet_n, ("wire-single",))
    mono = by_label(brief, "butt", brief.length_m - TRACE_M, 1.0)
    return Plan(pieces=(mono, wire.model_copy(update={"floor": True, "bound": True})), rings=(1,))


LEVEL_AND_WIRE = School(
    place=130,
    key="level-and-wire",
    title="Level and wire",
    rule=(
        "Level mono straight from the line, then a long trace of single-strand wire, haywire "
        "twisted, on a ring. Specialist and guided work: with trained crew only."
    ),
    used_for="sharks",
    disagrees=Disagreement(
        school="class-and-bite",
        says="A tapered leader with a short bite turns over better, for fish with smaller mouths.",
    ),
    suits=with_long_wire,
    span=_shark_span,
    plan=_shark_plan,
    labels=lambda _situation: (0.8 * LEVEL_N, 1.4 * LEVEL_N),
    line_steps=(0.15, 12.0),
)
