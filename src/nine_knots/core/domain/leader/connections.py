"""Which joint goes where and why: the usual choice for two ends that are to meet.

Rules of common practice [P]. ``connection_advice`` names the other school's choice by the reason.
"""

from dataclasses import dataclass
from enum import StrEnum
from typing import Literal

from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.domain.knots import KNOTS, STOUT_M, KnotKey
from nine_knots.core.domain.leader.joints import Connection, Dropper
from nine_knots.core.domain.leader.sections import LevelSection, TaperedSection
from nine_knots.core.domain.strand import Strand
from nine_knots.core.domain.tackle import Fly, FlyLine

BLOOD_STEP_M = 3.0 * THOU_M  # [P: within about .002 to .003 in]
BLOOD_RATIO = 1.45  # in stout mono, 50 lb to 30 and .018 to .013 in [P]
UNI_STEP_M = KNOTS["double-uni"].most_step_m or 0.0
RING_STEP_M = 5.5 * THOU_M  # more than this and a knot between the two fails [P: .011 to .005]
ROUNDING_M = 1e-7  # two figures that differ by less are one size
THIN_LOOP_M = 12.0 * THOU_M  # a thinner loop cuts into a coated loop [P: 0X to 2X]
SAWS_M = 20.5 * THOU_M  # a thinner one wears a coated loop in time [P: .020]
FREE_SWIMMERS = ("streamer", "predator", "wet")

Piece = LevelSection | TaperedSection


class ConnectionReason(StrEnum):
    """Why a joint is tied so."""

    LOOP_TO_LOOP = "loop to loop"
    LOOP_MAY_SAW = "loop may saw"
    COMES_LOOPED = "comes looped"
    NAIL_AT_THE_LINE = "nail at the line"
    THIN_LOOP = "thin loop"
    NAIL_FOR_THE_LOOP = "nail for the loop"
    SINGLE_WIRE = "single wire"
    SNAP = "snap"
    SWINGS_ON_WIRE = "swings on wire"
    SWINGS_FREE = "swings free"
    TRACKS_STRAIGHTER = "tracks straighter"
    SEATS_IN_HEAVY_MONO = "seats in heavy mono"
    LETS_THE_FLY_SWING = "lets the fly swing"
    QUICK_IN_FINE_TIPPET = "quick in fine tippet"
    STRONGEST_AT_THE_EYE = "strongest at the eye"
    SWIVEL_TO_WIRE = "swivel to wire"
    SWIVEL_TO_SOFT_WIRE = "swivel to soft wire"
    RING_TO_WIRE = "ring to wire"
    SURGEONS_TO_SOFT_WIRE = "surgeon's to soft wire"
    BRAID_LOOPED_ON = "braid looped on"
    SLIMMER_LOOPS = "slimmer loops"
    RING_OF_TWO_MATERIALS = "ring of two materials"
    THREE_TURNS_OF_TWO_MATERIALS = "three turns of two materials"
    NO_METAL_OF_TWO_MATERIALS = "no metal of two materials"
    RING_FOR_A_SEASON = "ring for a season"
    LIKE_SIZES = "like sizes"
    EASY_IN_THE_DARK = "easy in the dark"
    EASY_BUT_BULKY = "easy but bulky"
    TOO_UNLIKE = "too unlike"
    NO_RINGS_CARRIED = "no rings carried"
    VERY_UNLIKE_AND_HEAVY = "very unlike and heavy"
    STRONGER_AT_SMALL_STEPS = "stronger at small steps"
    UNLIKE_AND_STOUT = "unlike and stout"
    TAKES_ANY_STEP = "takes any step"
    UNLIKE_TO_STOUT = "unlike to stout"
    SLOWER_AND_STRAIGHTER = "slower and straighter"
    UNLIKE_SIZES = "unlike sizes"
    RING_OF_ANY_SIZES = "ring of any sizes"
    RING_SET = "ring set"
    SWIVEL_SET = "swivel set"
    FROM_THE_BEND = "from the bend"
    FROM_THE_EYE = "from the eye"
    TAG_FOR_A_DROPPER = "tag for a dropper"


@dataclass(frozen=True, slots=True)
class ConnectionChoice:
    """A way to tie a joint, and why."""

    joint: Connection
    reason: ConnectionReason


def line_choice(line: FlyLine, butt: Piece | None = None) -> ConnectionChoice:
    """The leader's upper end: loop to loop; a nail knot where the line's tip is bare; a knot to the
    line's loop where the butt is so thin that its own loop would cut it."""
    if line.tip == "bare":
        return ConnectionChoice(Connection(knot="nail"), ConnectionReason.NAIL_AT_THE_LINE)
    if butt is not None and loop_cuts(butt):
        return ConnectionChoice(Connection(knot="uni"), ConnectionReason.THIN_LOOP)
    loops = Connection(kind="loops", knot="perfection-loop")
    if isinstance(butt, TaperedSection) and butt.cut_butt_m == 0.0:
        return ConnectionChoice(loops, ConnectionReason.COMES_LOOPED)
    saws = butt is not None and butt.upper_diameter_m < SAWS_M
    reason = ConnectionReason.LOOP_MAY_SAW if saws else ConnectionReason.LOOP_TO_LOOP
    return ConnectionChoice(loops, reason)


def loop_cuts(butt: Piece) -> bool:
    """Whether a butt's own loop is so thin that it cuts into a line's coated loop."""
    return butt.upper_diameter_m < THIN_LOOP_M - ROUNDING_M


def line_joint(line: FlyLine, butt: Piece | None = None) -> Connection:
    """The usual joint at the leader's upper end."""
    return line_choice(line, butt).joint


def blood_fits(upper_m: float, lower_m: float) -> bool:
    """Whether a blood knot takes a step between two diameters in metres: the one place that says
    so."""
    thick_m, thin_m = max(upper_m, lower_m), min(upper_m, lower_m)
    if thick_m - thin_m <= BLOOD_STEP_M + ROUNDING_M:
        return True
    return thick_m >= STOUT_M - ROUNDING_M and thick_m <= BLOOD_RATIO * thin_m


def _ring_knot(piece: Piece) -> KnotKey:
    if piece.strand.material == "wire-single":
        return "haywire"
    stout = max(piece.upper_diameter_m, piece.lower_diameter_m) >= STOUT_M
    if piece.strand.substance.family == "fluorocarbon" or (stout and not _is_wire(piece)):
        return "uni"
    return "improved-clinch"


def is_stout(above: Piece, below: Piece) -> bool:
    """Whether one of two ends that meet is stout mono."""
    return max(above.lower_diameter_m, below.upper_diameter_m) >= STOUT_M


def _is_wire(piece: Piece) -> bool:
    return piece.strand.substance.family == "wire"


def ring_between(above: Piece, below: Piece) -> Connection:
    """A ring, with the knot that suits each side."""
    return Connection(kind="ring", knot=_ring_knot(below), upper_knot=_ring_knot(above))


# Times as thick, between which a stout piece is tied to its tippet by a surgeon's knot [P].
TO_TIPPET = (1.3, 1.6)


def choice_between(above: Piece, below: Piece) -> ConnectionChoice:
    """Two pieces of the leader: blood knot for like sizes, surgeon's or a ring for unlike ones."""
    families = {above.strand.substance.family, below.strand.substance.family}
    upper_m, lower_m = above.lower_diameter_m, below.upper_diameter_m
    step_m, thick_m, thin_m = abs(upper_m - lower_m), max(upper_m, lower_m), min(upper_m, lower_m)
    why = ConnectionReason
    if "wire" in families:
        swivel = ring_between(above, below).evolve(kind="swivel")
        single = "wire-single" in (above.strand.material, below.strand.material)
        return ConnectionChoice(swivel, why.SWIVEL_TO_WIRE if single else why.SWIVEL_TO_SOFT_WIRE)
    if "braid" in families:
        loops = Connection(kind="loops", knot="perfection-loop", upper_knot="surgeons-loop")
        return ConnectionChoice(loops, why.BRAID_LOOPED_ON)
    if families == {"nylon", "fluorocarbon"}:
        if thick_m >= STOUT_M or step_m > BLOOD_STEP_M + ROUNDING_M:
            return ConnectionChoice(ring_between(above, below), why.RING_OF_TWO_MATERIALS)
        triple = Connection(knot="triple-surgeons")
        return ConnectionChoice(triple, why.THREE_TURNS_OF_TWO_MATERIALS)
    to_tippet = below.role == "tippet" and thick_m >= STOUT_M
    if to_tippet and TO_TIPPET[0] < thick_m / thin_m < TO_TIPPET[1]:
        return ConnectionChoice(Connection(knot="double-surgeons"), why.UNLIKE_TO_STOUT)
    if blood_fits(upper_m, lower_m):
        return ConnectionChoice(Connection(knot="blood"), why.LIKE_SIZES)
    if step_m > RING_STEP_M and thick_m < STOUT_M:
        return ConnectionChoice(ring_between(above, below), why.TOO_UNLIKE)
    if thin_m < STOUT_M:  # to the tippet, be the middle stout or not
        reason = why.UNLIKE_TO_STOUT if thick_m >= STOUT_M else why.UNLIKE_SIZES
        return ConnectionChoice(Connection(knot="double-surgeons"), reason)
    if step_m <= UNI_STEP_M + ROUNDING_M:
        return ConnectionChoice(Connection(knot="double-uni"), why.UNLIKE_AND_STOUT)
    return ConnectionChoice(Connection(knot="albright"), why.VERY_UNLIKE_AND_HEAVY)


def joint_between(above: Piece, below: Piece) -> Connection:
    """The usual joint between two pieces."""
    return choice_between(above, below).joint


def doubled_joint(above: Piece, below: Piece) -> Connection:
    """The weaker end doubled by a bimini twist and so tied to the stouter: nearly full strength."""
    weaker: Literal["upper", "lower"] = "upper"
    if below.breaking_at_n(0.0) < above.breaking_at_n(above.length_m):
        weaker = "lower"
    return Connection(knot="albright", doubled=weaker)


def fly_in_line(above: Piece, fly: Fly) -> Connection:
    """A fly in line, the next piece tied to its bend."""
    upper = eye_knot(above, fly).knot
    return Connection(
        kind="fly", knot="improved-clinch", upper_knot=upper, fly=fly, tied_from="bend"
    )


def dropper_of(
    strand: Strand, length_m: float, fly: Fly, tag: Literal["upper", "lower"]
) -> Dropper:
    """A fly on a tag, tied on as on a tippet of the same."""
    as_piece = LevelSection(role="tippet", strand=strand, length_m=length_m)
    knot = eye_knot(as_piece, fly).knot
    return Dropper(strand=strand, length_m=length_m, knot=knot, fly=fly, tag=tag)


def with_a_tag(joint: Connection) -> Connection:
    """The joint, or a triple surgeon's where it is a knot that leaves no tag for a fly."""
    if joint.kind == "knot" and not joint.leaves_a_tag:
        return Connection(knot="triple-surgeons")
    return joint


def holds_in(key: KnotKey, piece: Piece, thick_m: float) -> bool:
    """Whether a knot holds in a piece, of this thickness in m where it is tied."""
    knot = KNOTS[key]
    if _is_wire(piece):
        return piece.strand.material in knot.wires
    return knot.mono and not (knot.most_m and thick_m >= knot.most_m)


def kept_on(old: Connection, above: Piece, below: Piece) -> Connection:
    """A joint that was set, between pieces one of which is of another material now.

    A ring, a swivel, loops or a fly in line stay until they are taken out, with the knots that hold
    in the new material; a knot gives way to the usual one. The dropper stays.
    """
    if old.kind in ("fly", "loops"):
        return old
    if old.is_ring:
        usual = ring_between(above, below)
        upper, lower = old.upper_knot, old.knot
        if upper is None or not holds_in(upper, above, above.lower_diameter_m):
            upper = usual.upper_knot
        if not holds_in(lower, below, below.upper_diameter_m):
            lower = usual.knot
        return old.evolve(upper_knot=upper, knot=lower)
    return joint_between(above, below).evolve(dropper=old.dropper)


def kept_at_the_fly(old: Connection, piece: Piece, fly: Fly) -> Connection:
    """The fly's joint on a piece that is of another material now: a snap that was set stays."""
    if old.kind == "snap":
        return old.evolve(knot=_ring_knot(piece))
    return eye_knot(piece, fly)


def eye_choice(piece: Piece, fly: Fly) -> ConnectionChoice:
    """The fly: a loop for what must swim, else an improved clinch, or a uni in stout mono."""
    why = ConnectionReason
    if piece.strand.material == "wire-single":
        return ConnectionChoice(Connection(knot="haywire"), why.SINGLE_WIRE)
    if fly.kind in FREE_SWIMMERS:
        loop = Connection(knot="non-slip-loop")
        return ConnectionChoice(loop, why.SWINGS_ON_WIRE if _is_wire(piece) else why.SWINGS_FREE)
    if _is_wire(piece):
        return ConnectionChoice(Connection(knot="improved-clinch"), why.SWINGS_ON_WIRE)
    if piece.lower_diameter_m >= STOUT_M:
        return ConnectionChoice(Connection(knot="uni"), why.SEATS_IN_HEAVY_MONO)
    return ConnectionChoice(Connection(knot="improved-clinch"), why.QUICK_IN_FINE_TIPPET)


def eye_knot(piece: Piece, fly: Fly) -> Connection:
    """The usual knot at the fly."""
    return eye_choice(piece, fly).joint
