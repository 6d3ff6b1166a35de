"""Which joint goes where: the usual choice for two ends that are to meet."""

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
FREE_SWIMMERS = ("streamer", "predator", "wet")


def line_joint(line: FlyLine, butt: LevelSection | TaperedSection | None = None) -> Connection:
    """The leader's upper end: loop to loop; a nail knot where the line's tip is bare; a knot to the
    line's loop where the butt is so thin that its own loop would cut it."""
    if line.tip == "bare":
        return Connection(kind="knot", knot="nail")
    if butt is not None and butt.upper_diameter_m < THIN_LOOP_M - ROUNDING_M:
        return Connection(kind="knot", knot="uni")
    return Connection(kind="loops", knot="perfection-loop")


def blood_fits(upper_m: float, lower_m: float) -> bool:
    """Whether a blood knot takes a step between two diameters in metres: the one place that says
    so."""
    thick_m, thin_m = max(upper_m, lower_m), min(upper_m, lower_m)
    if thick_m - thin_m <= BLOOD_STEP_M + ROUNDING_M:
        return True
    return thick_m >= STOUT_M - ROUNDING_M and thick_m <= BLOOD_RATIO * thin_m


def _ring_knot(piece: LevelSection | TaperedSection) -> KnotKey:
    if piece.strand.material == "wire-single":
        return "haywire"
    stout = max(piece.upper_diameter_m, piece.lower_diameter_m) >= STOUT_M
    if piece.strand.substance.family == "fluorocarbon" or (stout and not _is_wire(piece)):
        return "uni"
    return "improved-clinch"


def _is_wire(piece: LevelSection | TaperedSection) -> bool:
    return piece.strand.substance.family == "wire"


def ring_between(
    above: LevelSection | TaperedSection, below: LevelSection | TaperedSection
) -> Connection:
    """A ring, with the knot that suits each side."""
    return Connection(kind="ring", knot=_ring_knot(below), upper_knot=_ring_knot(above))


def joint_between(
    above: LevelSection | TaperedSection, below: LevelSection | TaperedSection
) -> Connection:
    """Two pieces of the leader: blood knot for like sizes, surgeon's or a ring for unlike ones."""
    families = {above.strand.substance.family, below.strand.substance.family}
    upper_m, lower_m = above.lower_diameter_m, below.upper_diameter_m
    step_m, thick_m, thin_m = abs(upper_m - lower_m), max(upper_m, lower_m), min(upper_m, lower_m)
    if "wire" in families:
        return Connection(kind="swivel", knot=_ring_knot(below), upper_knot=_ring_knot(above))
    if "braid" in families:
        return Connection(kind="loops", knot="perfection-loop", upper_knot="surgeons-loop")
    if families == {"nylon", "fluorocarbon"}:
        if thick_m >= STOUT_M or step_m > BLOOD_STEP_M + ROUNDING_M:
            return ring_between(above, below)
        return Connection(knot="triple-surgeons")
    if blood_fits(upper_m, lower_m):
        return Connection(knot="blood")
    if step_m > RING_STEP_M and thick_m < STOUT_M:
        return ring_between(above, below)
    if thin_m < STOUT_M:
        return Connection(knot="double-surgeons")  # to the tippet, be the middle stout or not
    return Connection(knot="double-uni" if step_m <= UNI_STEP_M + ROUNDING_M else "albright")


def doubled_joint(
    above: LevelSection | TaperedSection, below: LevelSection | TaperedSection
) -> Connection:
    """The weaker end doubled by a bimini twist and so tied to the stouter: nearly full strength."""
    weaker: Literal["upper", "lower"] = "upper"
    if below.breaking_at_n(0.0) < above.breaking_at_n(above.length_m):
        weaker = "lower"
    return Connection(knot="albright", doubled=weaker)


def fly_in_line(above: LevelSection | TaperedSection, fly: Fly) -> Connection:
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


def kept_on(
    old: Connection, above: LevelSection | TaperedSection, below: LevelSection | TaperedSection
) -> Connection:
    """A joint that was set, between pieces one of which is of another material now.

    A ring, a swivel, loops or a fly in line stay until they are taken out, tied with what holds the
    new material; a knot gives way to the usual one. The dropper stays.
    """
    if old.kind in ("fly", "loops"):
        return old
    if old.is_ring:
        return ring_between(above, below).evolve(kind=old.kind, dropper=old.dropper)
    return joint_between(above, below).evolve(dropper=old.dropper)


def kept_at_the_fly(old: Connection, piece: LevelSection | TaperedSection, fly: Fly) -> Connection:
    """The fly's joint on a piece that is of another material now: a snap that was set stays."""
    if old.kind == "snap":
        return old.evolve(knot=_ring_knot(piece))
    return eye_knot(piece, fly)


def eye_knot(piece: LevelSection | TaperedSection, fly: Fly) -> Connection:
    """The fly: a loop for what must swim, else an improved clinch, or a uni in stout mono."""
    if piece.strand.material == "wire-single":
        return Connection(knot="haywire")
    if fly.kind in FREE_SWIMMERS:
        return Connection(knot="non-slip-loop")
    if piece.lower_diameter_m >= STOUT_M and not _is_wire(piece):
        return Connection(knot="uni")
    return Connection(knot="improved-clinch")
