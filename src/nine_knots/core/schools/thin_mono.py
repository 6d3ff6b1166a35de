"""Level thin mono: no taper at all; the weighted fly leads and the line stays on the reel."""

from math import pi

from nine_knots.core.base.units.factors import FOOT_M, THOU_M
from nine_knots.core.domain.materials import MATERIALS
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
from nine_knots.core.schools.suitability import for_a_tight_line, without_a_line

CAST_M = 8.0  # mono in the air on a usual cast
MASS_RATIO = 0.75  # mono over fly; below 3 casts well, above 6 the fly cannot lead [P]
THINNEST_M, THICKEST_M = 0.14e-3, 0.235e-3
TIPPET_M = 4.0 * FOOT_M


def _span(_situation: Situation) -> Span:
    """35 to 40 ft of mono and 3 to 5 ft of tippet [P]."""
    return feet(37.0, 41.0, 46.0)


def _mono_m(situation: Situation) -> float:
    """Diameter in metres at which the mono of a cast weighs MASS_RATIO of the fly."""
    per_length = MASS_RATIO * situation.fly.mass_kg / CAST_M
    diameter = (4.0 * per_length / (pi * MATERIALS["nylon-medium"].density_kg_m3)) ** 0.5
    return float(min(THICKEST_M, max(THINNEST_M, diameter)))


def _tippet_m(situation: Situation) -> float:
    """A thousandth finer than the mono, so that a snag costs the tippet alone."""
    return _mono_m(situation) - THOU_M


def _plan(brief: SchoolBrief) -> Plan:
    mono_m = max(_mono_m(brief.situation), brief.tippet_m + THOU_M / 2)
    mono = PlannedSection(
        role="butt",
        length_m=brief.length_m - TIPPET_M,
        diameter_m=mono_m,
        base=True,
        prefer=("copolymer", "nylon-medium", "nylon-soft", "nylon-stiff"),
    )
    tippet = PlannedSection(
        role="tippet", length_m=TIPPET_M, diameter_m=brief.tippet_m, prefer=SUNK
    )
    return Plan(pieces=(mono, tippet), through_guides=True)


THIN_MONO = School(
    place=160,
    key="thin-mono",
    title="Level thin mono",
    rule=(
        "Forty feet of level mono without taper or knots that pass the guides, then a finer "
        "tippet. The weighted fly pulls the mono out, so the lighter the fly the thinner it is."
    ),
    used_for="light-rod nymphs and jigged streamers at short range",
    disagrees=Disagreement(
        school="sixty-twenty-twenty",
        says="It throws neither a dry fly nor an indicator, and some waters do not allow it.",
    ),
    suits=for_a_tight_line,
    usual=without_a_line,
    span=_span,
    plan=_plan,
    tippet_m=_tippet_m,
    line_leads=False,
)
