"""Sixty-twenty-twenty: 60 % butt, 20 % taper, 20 % tippet, hand-tied or from a knotless taper."""

from math import ceil, log

from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.trade.schools.by_water import span_by_water
from nine_knots.core.trade.schools.school import (
    MIDDLE,
    STIFF,
    Brief,
    Disagreement,
    Plan,
    PlannedPiece,
    School,
    stepped,
    tippet_materials,
)

MOST_STEP_M = 3.0 * THOU_M
LEAST_RATIO = 0.75  # a thinner next piece is more than three times softer, and soft or a hinge


def _plan_tied(brief: Brief) -> Plan:
    """Butt of two pieces (two to one in length), short even tapers with blood-knot steps."""
    butt_m = brief.butt_m()
    second_m = max(butt_m - 2.0 * THOU_M, brief.tippet_m + THOU_M)
    by_step = (second_m - brief.tippet_m) / MOST_STEP_M
    by_ratio = log(brief.tippet_m / second_m) / log(LEAST_RATIO)
    count = min(6, max(1, ceil(max(by_step, by_ratio) - 1e-6) - 1))
    diameters = stepped(second_m, brief.tippet_m, count + 2)
    length = brief.length_m
    pieces = [
        PlannedPiece(
            role="butt",
            length_m=0.4 * length,
            diameter_m=butt_m,
            bend_nm2=brief.butt_bend_nm2,
            prefer=STIFF,
        ),
        PlannedPiece(role="butt", length_m=0.2 * length, diameter_m=second_m, prefer=STIFF),
    ]
    pieces += [
        PlannedPiece(role="taper", length_m=0.2 * length / count, diameter_m=d, prefer=MIDDLE)
        for d in diameters[1:-1]
    ]
    pieces.append(_tippet(brief))
    return Plan(pieces=tuple(pieces))


def _tippet(brief: Brief) -> PlannedPiece:
    return PlannedPiece(
        role="tippet",
        length_m=0.2 * brief.length_m,
        diameter_m=brief.tippet_m,
        prefer=tippet_materials(brief.situation),
    )


def _plan_knotless(brief: Brief) -> Plan:
    """One knotless taper for butt and taper, a tippet of 20 % tied to it."""
    taper = PlannedPiece(
        role="butt",
        length_m=0.8 * brief.length_m,
        diameter_m=brief.butt_m(),
        bend_nm2=brief.butt_bend_nm2,
        prefer=STIFF + MIDDLE[2:],
    )
    return Plan(pieces=(taper, _tippet(brief)), knotless=True)


TIED = School(
    place=10,
    key="sixty-twenty-twenty",
    title="Sixty-twenty-twenty, tied",
    rule=(
        "Six tenths of the length is butt, two tenths taper, two tenths tippet. "
        "A longer leader is mostly a longer butt, so that it still turns over."
    ),
    used_for="all-round; wary fish and small flies when long",
    disagrees=Disagreement(
        school="compound-slack",
        says="A strong butt lays the tippet straight, and a straight tippet drags at once.",
    ),
    span=span_by_water,
    plan=_plan_tied,
)

KNOTLESS = School(
    place=20,
    key="sixty-twenty-twenty-knotless",
    title="Sixty-twenty-twenty, knotless",
    rule=(
        "A knotless taper gives butt and taper in one piece, cut back to eight tenths of the "
        "length. Two tenths of level tippet are tied to its tip, never thicker than the tip."
    ),
    used_for="all-round; weed and grease that catch on knots",
    disagrees=Disagreement(
        school="sixty-twenty-twenty",
        says="A bought taper has the maker's butt, not one matched to your line's tip.",
    ),
    span=span_by_water,
    plan=_plan_knotless,
)
