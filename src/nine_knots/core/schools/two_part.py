"""Two parts by line: a stout part and two feet of tippet, the length set by how the line sinks."""

from nine_knots.core.base.units.factors import FOOT_M, INCH_M, POUND_N
from nine_knots.core.domain.materials import MaterialKey
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_strength import by_label
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.school import (
    Disagreement,
    Plan,
    School,
    SchoolBrief,
    SchoolNote,
    Span,
)
from nine_knots.core.schools.suitability import all_of, for_a_streamer, off_shy_flats, without_wire

SALT: tuple[MaterialKey, ...] = ("fluorocarbon", "nylon-medium", "nylon-stiff", "nylon-soft")
TIPPET_M = 2.0 * FOOT_M
LABELS_LB = (10.0, 14.0)  # about 12 lb [P]
STOUTER = 5.0 / 3.0  # the upper part's strength over the tippet's [P]


def _span(situation: Situation) -> Span:
    """8 ft on a floating line, 6 ft on an intermediate, 4 ft on a sinking one [P]."""
    by_line = {"floating": 8.0, "intermediate": 6.0}
    usual = by_line.get(situation.line.sinking, 4.0)
    return feet(0.8 * usual, usual, 1.25 * usual)


def _labels_n(_situation: Situation) -> tuple[float, float]:
    return LABELS_LB[0] * POUND_N, LABELS_LB[1] * POUND_N


def _plan(brief: SchoolBrief) -> Plan:
    lower_m = min(TIPPET_M, 0.6 * brief.length_m)
    upper = by_label(brief, "butt", brief.length_m - lower_m, STOUTER, SALT)
    return Plan(pieces=(upper, by_label(brief, "tippet", lower_m, 1.0, SALT)), swivels=(1,))


def _notes(_brief: SchoolBrief) -> tuple[SchoolNote, ...]:
    said = "Cut the tippet {length} longer than it fishes: that is three or four changes of fly."
    return (SchoolNote(text=said, length_m=6.0 * INCH_M),)


TWO_PART = School(
    place=80,
    key="two-part",
    title="Two parts by line",
    rule=(
        "The last two feet are tippet, all above it one level piece five thirds as strong. The "
        "faster the line sinks the shorter the whole, so that the fly keeps the line's depth."
    ),
    used_for="streamers, bass, big trout",
    disagrees=Disagreement(
        school="halving",
        says="One step throws away the taper: on a floating line a big fly turns over badly.",
    ),
    suits=all_of(without_wire, for_a_streamer),
    usual=off_shy_flats,
    span=_span,
    plan=_plan,
    labels=_labels_n,
    line_steps=(0.1, 8.0),
    notes=_notes,
)
