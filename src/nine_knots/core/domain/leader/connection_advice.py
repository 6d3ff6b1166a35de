"""What to tie at a joint: the best choice, the other school's, and what is wrong with one.

Rules of common practice [P]; the limits of single knots stand in their table. The other school's
choice follows from why the best one is chosen.
"""

from collections.abc import Callable
from dataclasses import dataclass
from functools import lru_cache

from nine_knots.core.domain.leader.connection_faults import (
    ConnectionFault,
    faults_at_the_line,
    faults_between,
    faults_of_knots,
)
from nine_knots.core.domain.leader.connections import (
    ConnectionChoice,
    ConnectionReason,
    Piece,
    blood_fits,
    choice_between,
    eye_choice,
    eye_knot,
    is_stout,
    line_choice,
    ring_between,
)
from nine_knots.core.domain.leader.joints import Connection, Dropper
from nine_knots.core.domain.leader.leader import Leader
from nine_knots.core.domain.tackle import Fly, FlyLine

Why = ConnectionReason
MANY = 2048  # pairs of pieces: while one is dragged the others stay
PARTED = {"ring": Why.RING_SET, "swivel": Why.SWIVEL_SET}

# The other school's choice, by why the best is chosen.
AT_THE_LINE: dict[Why, ConnectionChoice] = {
    Why.LOOP_TO_LOOP: ConnectionChoice(Connection(knot="nail"), Why.NAIL_AT_THE_LINE),
    Why.LOOP_MAY_SAW: ConnectionChoice(Connection(knot="nail"), Why.NAIL_AT_THE_LINE),
    Why.COMES_LOOPED: ConnectionChoice(Connection(knot="nail"), Why.NAIL_AT_THE_LINE),
    Why.NAIL_AT_THE_LINE: ConnectionChoice(
        Connection(kind="loops", knot="perfection-loop"), Why.LOOP_TO_LOOP
    ),
    Why.THIN_LOOP: ConnectionChoice(Connection(knot="nail"), Why.NAIL_FOR_THE_LOOP),
}
AT_THE_FLY: dict[Why, ConnectionChoice] = {
    Why.SINGLE_WIRE: ConnectionChoice(Connection(kind="snap", knot="haywire"), Why.SNAP),
    Why.SWINGS_ON_WIRE: ConnectionChoice(Connection(kind="snap", knot="improved-clinch"), Why.SNAP),
    Why.SWINGS_FREE: ConnectionChoice(Connection(knot="uni"), Why.TRACKS_STRAIGHTER),
    Why.SEATS_IN_HEAVY_MONO: ConnectionChoice(
        Connection(knot="non-slip-loop"), Why.LETS_THE_FLY_SWING
    ),
    Why.QUICK_IN_FINE_TIPPET: ConnectionChoice(
        Connection(knot="palomar"), Why.STRONGEST_AT_THE_EYE
    ),
}


def _always(knot: Connection, reason: Why) -> Callable[[Piece, Piece], ConnectionChoice]:
    return lambda _above, _below: ConnectionChoice(knot, reason)


def _ring(reason: Why) -> Callable[[Piece, Piece], ConnectionChoice]:
    return lambda above, below: ConnectionChoice(ring_between(above, below), reason)


def _unlike(above: Piece, below: Piece) -> ConnectionChoice:
    """The knot of those who tie fluorocarbon straight to nylon: blood for like sizes."""
    blood = blood_fits(above.lower_diameter_m, below.upper_diameter_m)
    knot = Connection(knot="blood" if blood else "double-uni")
    return ConnectionChoice(knot, Why.NO_METAL_OF_TWO_MATERIALS)


def _easy(above: Piece, below: Piece) -> ConnectionChoice:
    reason = Why.EASY_BUT_BULKY if is_stout(above, below) else Why.EASY_IN_THE_DARK
    return ConnectionChoice(Connection(knot="double-surgeons"), reason)


BETWEEN: dict[Why, Callable[[Piece, Piece], ConnectionChoice]] = {
    Why.SWIVEL_TO_WIRE: _ring(Why.RING_TO_WIRE),
    Why.SWIVEL_TO_SOFT_WIRE: _always(Connection(knot="double-surgeons"), Why.SURGEONS_TO_SOFT_WIRE),
    Why.BRAID_LOOPED_ON: _always(
        Connection(kind="loops", knot="perfection-loop", upper_knot="perfection-loop"),
        Why.SLIMMER_LOOPS,
    ),
    Why.RING_OF_TWO_MATERIALS: _unlike,
    Why.THREE_TURNS_OF_TWO_MATERIALS: _ring(Why.RING_FOR_A_SEASON),
    Why.LIKE_SIZES: _easy,
    Why.TOO_UNLIKE: _always(Connection(knot="triple-surgeons"), Why.NO_RINGS_CARRIED),
    Why.VERY_UNLIKE_AND_HEAVY: _always(Connection(knot="double-uni"), Why.STRONGER_AT_SMALL_STEPS),
    Why.UNLIKE_AND_STOUT: _always(Connection(knot="albright"), Why.TAKES_ANY_STEP),
    Why.UNLIKE_TO_STOUT: _always(Connection(knot="double-uni"), Why.SLOWER_AND_STRAIGHTER),
    Why.UNLIKE_SIZES: _ring(Why.RING_OF_ANY_SIZES),
}


@dataclass(frozen=True, slots=True)
class ConnectionAdvice:
    """The best choice at a joint, the other school's, and the faults of the one that is tied."""

    best: ConnectionChoice
    other: ConnectionChoice
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
    best = line_choice(line, butt)
    faults = faults_at_the_line(tied, butt, line, best.joint)
    return ConnectionAdvice(best, AT_THE_LINE[best.reason], faults)


@lru_cache(maxsize=MANY)
def _advise_at_the_fly(tied: Connection, tippet: Piece, fly: Fly) -> ConnectionAdvice:
    best = eye_choice(tippet, fly)
    faults = faults_of_knots(tied, (tippet,), best.joint, True)
    return ConnectionAdvice(best, AT_THE_FLY[best.reason], faults)


@lru_cache(maxsize=MANY)
def _advise_between(tied: Connection, above: Piece, below: Piece) -> ConnectionAdvice:
    if tied.fly is not None:
        best, other = _in_line(tied, above, below)
        of_knots = faults_of_knots(tied, (above, below), best.joint)
        return ConnectionAdvice(best, other, of_knots)
    best = choice_between(above, below)
    other = BETWEEN[best.reason](above, below)
    if tied.kind in PARTED and best.joint.kind not in PARTED:
        best, other = ConnectionChoice(tied.evolve(dropper=None), PARTED[tied.kind]), best
    if tied.dropper is not None:
        best, other = _with_dropper(best, tied.dropper), _with_dropper(other, tied.dropper)
        if best.joint.knot == "blood":  # the two that most use, each with what it holds
            tag = Connection(knot="triple-surgeons", dropper=tied.dropper)
            other = ConnectionChoice(tag, Why.TAG_FOR_A_DROPPER)
    of_knots = faults_of_knots(tied, (above, below), best.joint)
    return ConnectionAdvice(best, other, (*of_knots, *faults_between(tied, above, below)))


def _in_line(
    tied: Connection, above: Piece, below: Piece
) -> tuple[ConnectionChoice, ConnectionChoice]:
    """A fly in line: the next piece from its bend or from its eye, a school each."""
    assert tied.fly is not None
    upper, lower = eye_knot(above, tied.fly).knot, "improved-clinch"
    if below.strand.material == "wire-single":
        lower = "haywire"
    parts = {"kind": "fly", "fly": tied.fly, "upper_knot": upper, "knot": lower}
    bend = ConnectionChoice(
        Connection.model_validate({**parts, "tied_from": "bend"}), Why.FROM_THE_BEND
    )
    eye = ConnectionChoice(
        Connection.model_validate({**parts, "tied_from": "eye"}), Why.FROM_THE_EYE
    )
    return (bend, eye) if tied.tied_from == "bend" else (eye, bend)


def _with_dropper(choice: ConnectionChoice, dropper: Dropper) -> ConnectionChoice:
    """The choice with the dropper that is there; a knot without a tag gives way to one with."""
    joint, reason = choice.joint, choice.reason
    if joint.kind == "knot" and not joint.leaves_a_tag:
        joint, reason = Connection(knot="triple-surgeons"), Why.TAG_FOR_A_DROPPER
    return ConnectionChoice(joint.evolve(dropper=dropper), reason)
