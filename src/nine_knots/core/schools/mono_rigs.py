"""Two more of level mono: for jigged streamers, and the all-round one that still throws a dry."""

from nine_knots.core.base.units.factors import FOOT_M, POUND_N, THOU_M
from nine_knots.core.domain.label_sizes import labelled_thickness_m
from nine_knots.core.domain.materials import MaterialKey
from nine_knots.core.domain.situation import Situation
from nine_knots.core.schools.by_water import feet
from nine_knots.core.schools.school import (
    SUNK,
    Disagreement,
    Plan,
    PlannedSection,
    School,
    SchoolBrief,
    Span,
)
from nine_knots.core.schools.suitability import for_a_jig, for_a_tight_line, without_a_line

STREAMER_N, ALL_ROUND_N = 6.5 * POUND_N, 13.5 * POUND_N  # 6 to 8, and 12 to 15 lb [P]
TIPPET_M = 4.0 * FOOT_M
MONO: tuple[MaterialKey, ...] = ("copolymer", "nylon-medium", "nylon-soft", "nylon-stiff")


def _span(_situation: Situation) -> Span:
    """35 to 40 ft of mono and the tippet [P]."""
    return feet(37.0, 41.0, 46.0)


def _mono(strength_n: float, brief: SchoolBrief) -> Plan:
    by_label_m = labelled_thickness_m(strength_n, "nylon-medium")
    return Plan(
        pieces=(
            PlannedSection(
                role="butt",
                length_m=brief.length_m - TIPPET_M,
                diameter_m=max(by_label_m, brief.tippet_m + THOU_M / 2),
                strength_n=strength_n,
                base=True,
                prefer=MONO,
            ),
            PlannedSection(
                role="tippet", length_m=TIPPET_M, diameter_m=brief.tippet_m, prefer=SUNK
            ),
        ),
        through_guides=True,
    )


def _streamer_tippet_m(_situation: Situation) -> float:
    """Two thousandths finer than the mono: a snag costs the tippet."""
    return labelled_thickness_m(STREAMER_N, "nylon-medium") - 2.0 * THOU_M


THIN_MONO_STREAMER = School(
    place=170,
    key="thin-mono-streamer",
    title="Level thin mono, streamer",
    rule=(
        "Forty feet of level mono of six to eight pounds and a tippet a step finer. The "
        "weighted streamer pulls it out, and dives nose first between pulls."
    ),
    used_for="jigged streamers on a light rod",
    disagrees=Disagreement(
        school="two-part",
        says="Without the weight of a fly line, an unweighted or bulky streamer goes nowhere.",
    ),
    suits=for_a_jig,
    usual=without_a_line,
    span=_span,
    plan=lambda brief: _mono(STREAMER_N, brief),
    tippet_m=_streamer_tippet_m,
    line_leads=False,
)

ALL_ROUND_MONO = School(
    place=180,
    key="all-round-mono",
    title="All-round mono rig",
    rule=(
        "The same with a butt of twelve to fifteen pounds, stout enough to throw a dry fly or an "
        "indicator now and then. One rod for everything, best at nothing."
    ),
    used_for="one rod for nymphs, and a dry when they rise",
    disagrees=Disagreement(
        school="thin-mono",
        says="Thick mono sags and shows takes late: thin carries a light nymph further.",
    ),
    suits=for_a_tight_line,
    usual=lambda _situation: False,  # best at nothing
    span=_span,
    plan=lambda brief: _mono(ALL_ROUND_N, brief),
    line_leads=False,
)
