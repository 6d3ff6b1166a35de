"""A nymph under a dry fly: a ring that stays, a dropper for the dry, fine tippet to the nymph."""

from nine_knots.core.base.units.factors import FOOT_M, INCH_M
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_strength import tapered
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.flies import floating_dry
from nine_knots.core.schools.school import (
    SOFT,
    SUNK,
    Disagreement,
    Plan,
    PlannedFly,
    PlannedSection,
    PlannedTaper,
    School,
    SchoolBrief,
    SchoolNote,
    Span,
)
from nine_knots.core.schools.suitability import under_a_dry

TO_THE_DRY_M = 1.5 * FOOT_M  # one to two feet below the ring [P]
TAG_M = 6.0 * INCH_M  # room for two more flies [P]
DROP_M = 0.6  # to the nymph, for middling depth and pace [P]
SHARES = (0.55, 0.2, 0.14, 0.11)
FLOATERS = ("dry", "midge", "foam")


def _span(_situation: Situation) -> Span:
    """Nine feet to the ring's end, the dry's tippet and the drop [P]."""
    return feet(10.0, 12.0, 14.0)


def _drop_m(situation: Situation) -> float:
    """60 cm in middling water, less in shallow."""
    return min(DROP_M * 1.6, max(0.3, min(DROP_M, 1.1 * situation.water.depth_m)))


def _plan(brief: SchoolBrief) -> Plan:
    drop = _drop_m(brief.situation)
    upper = max(4.0 * FOOT_M, brief.length_m - TO_THE_DRY_M - drop)
    above = tapered(brief, upper, brief.tippet_m * 1.25, SHARES)
    return Plan(
        pieces=(
            *above,
            PlannedSection(
                role="tippet",
                length_m=TO_THE_DRY_M,
                diameter_m=brief.tippet_m,
                prefer=SOFT,
            ),
            PlannedSection(
                role="tippet", length_m=drop, diameter_m=0.92 * brief.tippet_m, prefer=SUNK
            ),
        ),
        rings=(4,),
        flies=(PlannedFly(joint=5, fly=floating_dry(brief), length_m=TAG_M),),
    )


def _bought(brief: SchoolBrief, tied: Plan) -> tuple[Plan, ...]:
    """The whole packet, its ring, and the two tippets below."""
    to_the_dry, to_the_nymph = tied.pieces[-2:]
    taper = PlannedTaper(
        length_m=9.0 * FOOT_M, butt_m=brief.butt_m(), tip_m=brief.tippet_m, parted=True
    )
    dry = PlannedFly(joint=2, fly=floating_dry(brief), length_m=TAG_M)
    return (Plan(taper=taper, pieces=(to_the_dry, to_the_nymph), rings=(1,), flies=(dry,)),)


def _notes(brief: SchoolBrief) -> tuple[SchoolNote, ...]:
    drop_m = _drop_m(brief.situation)
    said = [SchoolNote(text="{length} to the nymph, for this depth.", length_m=drop_m)]
    if brief.situation.fly.kind in FLOATERS:
        floats = (
            f"The point fly of the day is the {brief.situation.fly.title}, which floats: choose a "
            "nymph in the sentence, and let it drift deep."
        )
        said.append(SchoolNote(text=floats))
    return tuple(said)


NYMPH_UNDER_DRY = School(
    place=140,
    key="nymph-under-dry",
    title="Nymph under a dry",
    rule=(
        "A nine-foot taper ends in a ring that stays for the season; below it a foot and a half to "
        "a tag for the dry, and some two feet on to a light nymph. The dry shows every take."
    ),
    used_for="small and middle rivers",
    disagrees=Disagreement(
        school="tight-line",
        says="In deeper or faster water the dry drags the nymph up: use a tight line.",
    ),
    suits=under_a_dry,
    span=_span,
    plan=_plan,
    bought=_bought,
    notes=_notes,
)
