"""What to tie at a joint: the best choice and why, and the other school's.

Rules of common practice [P]; the limits of single knots stand in their table.
"""

from dataclasses import dataclass
from functools import lru_cache

from nine_knots.core.domain.knots import STOUT_M
from nine_knots.core.domain.leader.connection_faults import (
    ConnectionFault,
    Piece,
    faults_at_the_line,
    faults_between,
    faults_of_knots,
)
from nine_knots.core.domain.leader.connection_titles import choice_title
from nine_knots.core.domain.leader.connections import (
    blood_fits,
    eye_knot,
    joint_between,
    line_joint,
    ring_between,
)
from nine_knots.core.domain.leader.joints import Connection, Dropper
from nine_knots.core.domain.leader.leader import Leader
from nine_knots.core.domain.tackle import Fly, FlyLine

PARTED = {
    "ring": "joins any two sizes, and the leader above it lasts the season.",
    "swivel": "joins any two sizes, takes out twist, and stops shot from slipping.",
}
MANY = 2048  # pairs of pieces: while one is dragged the others stay
A_SNAP = "flies can be changed without cutting the wire; adds a little weight at the fly's nose."


@dataclass(frozen=True, slots=True)
class KnotOption:
    """A way to tie a joint and why."""

    joint: Connection
    title: str
    reason: str


@dataclass(frozen=True, slots=True)
class ConnectionAdvice:
    """The best choice at a joint, the other school's, and the faults of the one that is tied."""

    best: KnotOption
    other: KnotOption
    faults: tuple[ConnectionFault, ...]


def advise(leader: Leader, number: int, line: FlyLine, fly: Fly) -> ConnectionAdvice:
    """Advice on joint ``number`` of a leader on this line with this fly."""
    tied = leader.joints[number]
    if number == 0:
        return _advise_at_the_line(tied, leader.pieces[0], line)
    if number == len(leader.pieces):
        return _advise_at_the_fly(tied, leader.pieces[-1], fly)
    return _advise_between(tied, leader.pieces[number - 1], leader.pieces[number])


@lru_cache(maxsize=MANY)
def _advise_at_the_line(tied: Connection, butt: Piece, line: FlyLine) -> ConnectionAdvice:
    best, other = _at_the_line(butt, line)
    return ConnectionAdvice(best, other, faults_at_the_line(tied, butt, line, best.joint))


@lru_cache(maxsize=MANY)
def _advise_at_the_fly(tied: Connection, tippet: Piece, fly: Fly) -> ConnectionAdvice:
    best, other = _at_the_fly(tippet, fly)
    return ConnectionAdvice(best, other, faults_of_knots(tied, (tippet,), best.joint, True))


@lru_cache(maxsize=MANY)
def _advise_between(tied: Connection, above: Piece, below: Piece) -> ConnectionAdvice:
    if tied.fly is not None:
        best, other = _in_line(tied, above, below)
        return ConnectionAdvice(best, other, faults_of_knots(tied, (above, below), best.joint))
    best, other = _between(above, below)
    if tied.kind in PARTED and best.joint.kind not in PARTED:
        best, other = _chosen(tied.evolve(dropper=None), PARTED[tied.kind]), best
    if tied.dropper is not None:
        best, other = _with_dropper(best, tied.dropper), _with_dropper(other, tied.dropper)
    faults = (
        *faults_of_knots(tied, (above, below), best.joint),
        *faults_between(tied, above, below),
    )
    return ConnectionAdvice(best, other, faults)


def _chosen(joint: Connection, reason: str) -> KnotOption:
    return KnotOption(joint=joint, title=choice_title(joint), reason=reason)


def _at_the_line(butt: Piece, line: FlyLine) -> tuple[KnotOption, KnotOption]:
    keep = _chosen(
        Connection(kind="loops", knot="perfection-loop"),
        "changed in a minute, and the welded loop helps the line tip float; two loops make a "
        "thicker, looser hinge.",
    )
    nail = _chosen(
        Connection(knot="nail"),
        "slimmer, and runs through the guides; each renewal costs about two inches of the "
        "line's taper, and a cut tip floats less well.",
    )
    best = line_joint(line, butt)
    if best.knot == "uni":
        return _chosen(
            best, "so thin a loop would cut the line's loop; a knot to it can't saw."
        ), _chosen(
            Connection(knot="nail"),
            "slimmest, tied straight to the line tip with its loop cut off.",
        )
    return (nail, keep) if best.kind == "knot" else (keep, nail)


def _at_the_fly(tippet: Piece, fly: Fly) -> tuple[KnotOption, KnotOption]:
    best = eye_knot(tippet, fly)
    if best.knot == "haywire":
        said = "the only knot for single-strand wire."
        return _chosen(best, said), _chosen(_snapped(best), A_SNAP)
    if _is_wire(tippet):
        return _chosen(best, "the fly swings free on the wire."), _chosen(_snapped(best), A_SNAP)
    if best.knot == "non-slip-loop":
        return _chosen(best, "the fly swings free on stiff tippet."), _chosen(
            Connection(knot="uni"), "snugged on the eye it tracks straighter and tangles less."
        )
    if tippet.lower_diameter_m >= STOUT_M:
        return _chosen(
            Connection(knot="uni"), "seats in heavy mono, where a clinch does not."
        ), _chosen(
            Connection(knot="non-slip-loop"), "lets the fly swing, for those who want it to."
        )
    return _chosen(best, "quick, small, and strong in fine tippet."), _chosen(
        Connection(knot="palomar"), "the strongest, if you don't mind the line it uses."
    )


def _is_wire(piece: Piece) -> bool:
    return piece.strand.substance.family == "wire"


def _snapped(tied: Connection) -> Connection:
    """A snap in the fly's place, on the knot that suits the end; a loop has no use there."""
    return Connection(
        kind="snap", knot="improved-clinch" if tied.knot == "non-slip-loop" else tied.knot
    )


def _between(above: Piece, below: Piece) -> tuple[KnotOption, KnotOption]:
    best = joint_between(above, below)
    families = {above.strand.substance.family, below.strand.substance.family}
    thick_m = max(above.lower_diameter_m, below.upper_diameter_m)
    ring = ring_between(above, below)
    if "wire" in families:
        swivel = _chosen(best, "joins wire to mono and takes out twist.")
        if "wire-single" in (above.strand.material, below.strand.material):
            return swivel, _chosen(ring, "lighter than a swivel, but doesn't take out twist.")
        return swivel, _chosen(
            Connection(knot="double-surgeons"),
            "no metal in between, for soft stranded wire: it keeps less strength and kinks "
            "the wire permanently.",
        )
    if "braid" in families:
        return _chosen(best, "a braided loop is looped on, not knotted."), _chosen(
            Connection(kind="loops", knot="perfection-loop", upper_knot="perfection-loop"),
            "slimmer in line, a little weaker.",
        )
    if families == {"nylon", "fluorocarbon"}:
        why = "fluorocarbon straight to nylon is a weak spot"
        if best.kind == "ring":
            return _chosen(best, f"{why}; use a ring between them."), _chosen(
                _unlike(above, below), "no metal in the leader; a little weaker than the ring."
            )
        return _chosen(best, f"{why}: three turns hold where two slip."), _chosen(
            ring, "the other school joins them with a ring and keeps the leader for a season."
        )
    if best.knot == "blood" and best.kind == "knot":
        return _chosen(best, "similar sizes: slim and straight at any thickness."), _chosen(
            Connection(knot="double-surgeons"),
            "the easiest with numb fingers or no light"
            + ("." if thick_m < STOUT_M else "; in stout mono it is bulky and leaves a bend."),
        )
    if best.kind == "ring":
        return _chosen(best, "too unlike for one knot: a ring joins any two sizes."), _chosen(
            Connection(knot="triple-surgeons"),
            "no metal, if you carry no rings; weaker at such a step.",
        )
    if best.knot == "albright":
        return _chosen(best, "very unlike sizes in heavy mono."), _chosen(
            Connection(knot="double-uni"), "stronger where the step is not too great."
        )
    if best.knot == "double-uni":
        return _chosen(best, "unlike sizes in stout mono: each half seats separately."), _chosen(
            Connection(knot="albright"), "slimmer, and takes any step; needs patience."
        )
    if thick_m >= STOUT_M:
        return _chosen(best, "joins unlike sizes; bulky in stout mono, with a bend."), _chosen(
            Connection(knot="double-uni"), "each half seats separately; slower and straighter."
        )
    return _chosen(best, "joins unlike sizes, and is easy to tie in the dark."), _chosen(
        ring, "joins any two sizes, and the leader above lasts the season."
    )


def _unlike(above: Piece, below: Piece) -> Connection:
    """The knot of those who tie fluorocarbon straight to nylon: blood for like sizes."""
    if blood_fits(above.lower_diameter_m, below.upper_diameter_m):
        return Connection(knot="blood")
    return Connection(knot="double-uni")


def _in_line(tied: Connection, above: Piece, below: Piece) -> tuple[KnotOption, KnotOption]:
    """A fly in line: the next piece from its bend or from its eye, a school each."""
    assert tied.fly is not None
    upper, lower = eye_knot(above, tied.fly).knot, "improved-clinch"
    if below.strand.material == "wire-single":
        lower = "haywire"
    parts = {"kind": "fly", "fly": tied.fly, "upper_knot": upper, "knot": lower}
    bend = _chosen(
        Connection.model_validate({**parts, "tied_from": "bend"}),
        "from the bend: simplest, and it tangles least.",
    )
    eye = _chosen(
        Connection.model_validate({**parts, "tied_from": "eye"}),
        "from the eye: leaves the bend free to hook, and lets the fly swing.",
    )
    return (bend, eye) if tied.tied_from == "bend" else (eye, bend)


def _with_dropper(choice: KnotOption, dropper: Dropper) -> KnotOption:
    """The choice with the dropper that is there; a knot without a tag gives way to one with."""
    joint, reason = choice.joint, choice.reason
    if joint.kind == "knot" and not joint.leaves_a_tag:
        joint = Connection(knot="triple-surgeons")
        reason = "its tag pointing to the fly carries the dropper."
    return _chosen(joint.evolve(dropper=dropper), reason)
