"""Which joint goes where: the usual choice for two ends that are to meet."""

from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.trade.knots import HEAVY_M, KNOTS, STOUT_M, KnotKey
from nine_knots.core.trade.leader.joints import Joint
from nine_knots.core.trade.leader.pieces import LevelPiece, TaperedPiece
from nine_knots.core.trade.tackle import Fly, FlyLine

BLOOD_STEP_M = 3.0 * THOU_M  # [P: within about .002 to .003 in]
UNI_STEP_M = KNOTS["double-uni"].most_step_m or 0.0
RING_STEP_M = 5.5 * THOU_M  # more than this and a knot between the two fails [P: .011 to .005]
FREE_SWIMMERS = ("streamer", "predator", "wet")


def line_joint(line: FlyLine) -> Joint:
    """The leader's upper end: loop to loop, or a nail knot where the line's tip is bare."""
    if line.tip == "bare":
        return Joint(kind="knot", knot="nail")
    return Joint(kind="loops", knot="perfection-loop")


def _ring_knot(piece: LevelPiece | TaperedPiece) -> KnotKey:
    if piece.strand.material == "wire-single":
        return "haywire"
    stout = max(piece.upper_diameter_m, piece.lower_diameter_m) >= STOUT_M
    if piece.strand.substance.family == "fluorocarbon" or (stout and not _is_wire(piece)):
        return "uni"
    return "improved-clinch"


def _is_wire(piece: LevelPiece | TaperedPiece) -> bool:
    return piece.strand.substance.family == "wire"


def ring_between(above: LevelPiece | TaperedPiece, below: LevelPiece | TaperedPiece) -> Joint:
    """A ring, with the knot that suits each side."""
    return Joint(kind="ring", knot=_ring_knot(below), upper_knot=_ring_knot(above))


def joint_between(above: LevelPiece | TaperedPiece, below: LevelPiece | TaperedPiece) -> Joint:
    """Two pieces of the leader: blood knot for like sizes, surgeon's or a ring for unlike ones."""
    families = {above.strand.substance.family, below.strand.substance.family}
    step_m = abs(above.lower_diameter_m - below.upper_diameter_m)
    thick_m = max(above.lower_diameter_m, below.upper_diameter_m)
    if "wire" in families:
        return Joint(kind="swivel", knot=_ring_knot(below), upper_knot=_ring_knot(above))
    if "braid" in families:
        return Joint(kind="loops", knot="perfection-loop", upper_knot="surgeons-loop")
    if families == {"nylon", "fluorocarbon"}:
        if thick_m >= STOUT_M or step_m > BLOOD_STEP_M:
            return ring_between(above, below)
        return Joint(knot="triple-surgeons")
    if step_m <= BLOOD_STEP_M + 1e-9:
        return Joint(knot="blood")
    if step_m > RING_STEP_M and thick_m < HEAVY_M:
        return ring_between(above, below)
    if thick_m < STOUT_M:
        return Joint(knot="double-surgeons")
    return Joint(knot="double-uni" if step_m <= UNI_STEP_M else "albright")


def eye_knot(piece: LevelPiece | TaperedPiece, fly: Fly) -> Joint:
    """The fly: a loop for what must swim, else an improved clinch, or a uni in stout mono."""
    if piece.strand.material == "wire-single":
        return Joint(knot="haywire")
    if fly.kind in FREE_SWIMMERS:
        return Joint(knot="non-slip-loop")
    if piece.lower_diameter_m >= STOUT_M and not _is_wire(piece):
        return Joint(knot="uni")
    return Joint(knot="improved-clinch")
