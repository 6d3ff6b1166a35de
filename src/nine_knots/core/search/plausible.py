"""Leaders such as a person would tie: round lengths, and shapes that builders know."""

from itertools import pairwise
from typing import NamedTuple

from nine_knots.core.assess.joint_match import soft_below
from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import INCH_M
from nine_knots.core.domain.leader import Leader, LevelSection, Section, TaperedSection
from nine_knots.core.domain.leader.resizing import rebuilt
from nine_knots.core.domain.leader.workbench import THINNER_M
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.strand import Strand, TaperedStrand
from nine_knots.core.domain.tippet import advise_tippet
from nine_knots.core.schools import line_leads
from nine_knots.core.schools.school import tippet_materials

BUTT_SHARES = 0.30, 0.78  # of the whole, of a tied leader that a line casts [M]
TIPPETS_M = 0.35, 1.5
TIPPET_TIMES = 0.6, 1.4  # of the thickness advised
SHORTEST_M = 0.14  # of a piece: six inches, fifteen centimetres
RISE = 1.05  # of a middle piece over the one before it: more is not falling


def step_m(units: Units) -> float:
    """Lengths of pieces go by two inches, or five centimetres."""
    return 0.05 if units.system == "metric" else 2.0 * INCH_M


def rounded(leader: Leader, units: Units) -> Leader:
    """The leader with every level piece on the grid, as one would measure it off."""
    step = step_m(units)
    pieces: list[Section] = [
        piece.model_copy(update={"length_m": max(1, round(piece.length_m / step)) * step})
        if isinstance(piece, LevelSection) and piece.length_m > step
        else piece
        for piece in leader.pieces
    ]
    return rebuilt(leader, pieces, list(leader.joints))


def is_plausible(leader: Leader, day: Situation) -> bool:
    """Whether a builder would tie it so: about as thick at the fly as is advised, but for a bite
    tippet; and of a leader that a line rolls out, each piece thinner than the one above, no step
    near to where the loop folds, ring or not, nylon above fluorocarbon and nothing that sinks
    above the tippet of a dry fly, soft stuff and a usual length of it at the fly, middle pieces
    that do not grow."""
    if any(piece.length_m < SHORTEST_M for piece in leader.pieces):
        return False
    if leader.pieces[-1].role == "bite":
        return True
    if not _rolls_out(leader, day):
        return ends_as_advised(leader, day)
    carries = {joint for joint, _ in leader.flies_above}
    ends = [
        (SectionEnd(a.strand, a.lower_diameter_m), SectionEnd(b.strand, b.upper_diameter_m))
        for joint, (a, b) in enumerate(pairwise(leader.pieces), start=1)
        if joint not in carries or a.strand != b.strand  # parted only to carry a fly
    ]
    return (
        all(steps_down(above, below, day) for above, below in ends)
        and _ends_well(leader, day)
        and _shares(leader)
    )


class SectionEnd(NamedTuple):
    """An end of a piece: its stuff and its diameter in metres."""

    strand: Strand | TaperedStrand
    across_m: float

    @property
    def bend_nm2(self) -> float:
        """Bending stiffness in N·m²."""
        return self.strand.bend_nm2(self.across_m)

    @property
    def sinks(self) -> bool:
        """Whether it draws under."""
        return self.strand.substance.family == "fluorocarbon"


def steps_down(above: SectionEnd, below: SectionEnd, day: Situation) -> bool:
    """Whether a builder would tie the one below to the other: thinner, no step near a fold, and
    nylon above fluorocarbon, of which a dry fly has none above its tippet."""
    if below.across_m > above.across_m - THINNER_M:
        return False
    if above.sinks and (day.floats or not below.sinks):
        return False
    return below.bend_nm2 / above.bend_nm2 >= soft_below(above.across_m)


def is_tippet(end: SectionEnd, day: Situation) -> bool:
    """Whether it is soft stuff about as thick as is advised."""
    return _about_as_advised(end.across_m, day) and end.strand.material in tippet_materials(day)


def ends_as_advised(leader: Leader, day: Situation) -> bool:
    """Whether it is about as thick at the fly as is advised."""
    return _about_as_advised(leader.pieces[-1].lower_diameter_m, day)


def _about_as_advised(across_m: float, day: Situation) -> bool:
    low, high = (times * advise_tippet(day).diameter_m for times in TIPPET_TIMES)
    return low <= across_m <= high


def _ends_well(leader: Leader, day: Situation) -> bool:
    last = leader.pieces[-1]
    if isinstance(last, TaperedSection):
        return ends_as_advised(leader, day)
    usual = len(leader.pieces) == 1 or TIPPETS_M[0] <= last.length_m <= TIPPETS_M[1]
    return usual and is_tippet(SectionEnd(last.strand, last.lower_diameter_m), day)


def _shares(leader: Leader) -> bool:
    butt, middle = leader.pieces[0], leader.pieces[1:-1]
    if isinstance(butt, LevelSection) and len(leader.pieces) > 1:
        share = butt.length_m / leader.length_m
        if not BUTT_SHARES[0] <= share <= BUTT_SHARES[1]:
            return False
    return all(below.length_m <= RISE * above.length_m for above, below in pairwise(middle))


def _rolls_out(leader: Leader, day: Situation) -> bool:
    """Whether a line rolls all of it out, so that its steps count."""
    hung = leader.indicator is not None or (leader.flies_above and not day.floats)
    sighted = any(piece.role == "sighter" for piece in leader.pieces)
    return line_leads(leader) and not hung and not sighted
