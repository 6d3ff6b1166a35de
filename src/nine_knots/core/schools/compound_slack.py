"""Compound slack: stiff sections get shorter, then soft ones get longer."""

from nine_knots.core.base.units.factors import FOOT_M
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.school import (
    SOFT,
    STIFF,
    Disagreement,
    Plan,
    PlannedSection,
    School,
    SchoolBrief,
    Span,
    stepped,
)
from nine_knots.core.schools.suitability import all_of, for_a_dry, without_wire

SHRINK = 0.7
STIFF_SECTIONS, SOFT_SHARES = 4, (0.11, 0.16)
STIFF_SHARE, TIPPET_SHARE = 0.48, 0.25
LEAST_TIPPET_M = 2.5 * FOOT_M
BUTT_SHARE = 0.6  # of the matched stiffness: slack-line leaders start thin [P]


def _span(_situation: Situation) -> Span:
    """10 to 12 ft [P]."""
    return feet(9.5, 11.0, 13.0)


def _plan(brief: SchoolBrief) -> Plan:
    length = brief.length_m
    tippet_m = max(LEAST_TIPPET_M, TIPPET_SHARE * length)
    scale = (length - tippet_m) / (1.0 - TIPPET_SHARE)
    first_m = STIFF_SHARE * scale / sum(SHRINK**i for i in range(STIFF_SECTIONS))
    lengths = [first_m * SHRINK**i for i in range(STIFF_SECTIONS)]
    lengths += [share * scale for share in SOFT_SHARES] + [tippet_m]
    butt_m = brief.butt_m(share=BUTT_SHARE)
    diameters = stepped(butt_m, brief.tippet_m, len(lengths))
    last = len(lengths) - 1
    pieces = [
        PlannedSection(
            role="butt" if i == 0 else "tippet" if i == last else "taper",
            length_m=lengths[i],
            diameter_m=diameters[i],
            bend_nm2=brief.butt_bend_nm2 * BUTT_SHARE if i == 0 else None,
            prefer=STIFF if i < STIFF_SECTIONS else SOFT,
        )
        for i in range(len(lengths))
    ]
    return Plan(pieces=tuple(pieces))


COMPOUND_SLACK = School(
    place=40,
    key="compound-slack",
    title="Compound slack",
    rule=(
        "Stiff sections get shorter and shorter, then soft ones longer and longer, ending in a "
        "long tippet. Driven hard it opens, and the soft part lands in curves that the current "
        "has to use up before the fly drags."
    ),
    used_for="dry flies over mixed currents",
    disagrees=Disagreement(
        school="sixty-twenty-twenty",
        says="A thin butt is pushed about by wind; a stout one with a long tippet lands "
        "softly too.",
    ),
    suits=all_of(without_wire, for_a_dry),
    span=_span,
    plan=_plan,
    margin=(1.05, 1.9),  # it is built to land soft, and only just opening is a failure [P]
)
