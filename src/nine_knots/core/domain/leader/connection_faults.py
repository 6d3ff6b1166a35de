"""What is wrong with a joint as it is tied, and what to tie instead.

Rules of common practice [P]; the limits of single knots stand in their table.
"""

from dataclasses import dataclass
from enum import StrEnum

from nine_knots.core.domain.knots import KNOTS, KnotKey
from nine_knots.core.domain.leader.connections import (
    ROUNDING_M,
    Piece,
    blood_fits,
    holds_in,
    joint_between,
    loop_cuts,
    ring_between,
)
from nine_knots.core.domain.leader.joints import Connection
from nine_knots.core.domain.materials import MaterialKey
from nine_knots.core.domain.tackle import FlyLine

REVERSED = 1.08  # thicker after thinner by more than this runs backwards


class ConnectionFlaw(StrEnum):
    """What is poor about a joint."""

    NO_LOOP_ON_THE_LINE = "no loop on the line"
    THIN_LOOP = "thin loop"
    SLIPS_IN_WIRE = "slips in wire"
    FOR_WIRE_ONLY = "for wire only"
    TOO_HEAVY = "too heavy"
    STEP_TOO_GREAT = "step too great"
    SLIPS_BETWEEN_MATERIALS = "slips between materials"
    NO_TAG = "no tag"
    RUNS_BACKWARDS = "runs backwards"


@dataclass(frozen=True, slots=True)
class ConnectionFault:
    """What is poor about a joint as it is tied: the knot it is about, and its material where that
    is the reason; ``usual`` is what is tied there instead, ``instead`` what would replace it."""

    flaw: ConnectionFlaw
    knot: KnotKey
    instead: Connection | None
    usual: Connection | None = None
    material: MaterialKey | None = None


def faults_at_the_line(
    tied: Connection, butt: Piece, line: FlyLine, best: Connection
) -> tuple[ConnectionFault, ...]:
    """What is wrong where the butt joins the line."""
    if tied.kind == "loops" and line.tip == "bare":
        return (ConnectionFault(ConnectionFlaw.NO_LOOP_ON_THE_LINE, tied.knot, best),)
    if tied.kind == "loops" and loop_cuts(butt):
        return (ConnectionFault(ConnectionFlaw.THIN_LOOP, tied.knot, best),)
    return faults_of_knots(tied, (butt,), best)


def faults_of_knots(
    tied: Connection, pieces: tuple[Piece, ...], best: Connection, at_the_fly: bool = False
) -> tuple[ConnectionFault, ...]:
    """Knots in material or thickness that they are not for, by the end that is tied."""
    used = [(tied.knot, pieces[-1], pieces[-1].upper_diameter_m)]
    if len(pieces) == 1 and at_the_fly:
        used = [(tied.knot, pieces[0], pieces[0].lower_diameter_m)]
    upper_key = tied.knot if tied.kind == "knot" else tied.upper_knot
    if len(pieces) > 1 and upper_key is not None:
        used.append((upper_key, pieces[0], pieces[0].lower_diameter_m))
    faults = []
    for key, piece, thick_m in used:
        flaw = _flaw_in(key, piece, thick_m)
        if flaw is not None:
            faults.append(ConnectionFault(flaw, key, best, best, piece.strand.material))
    return tuple(dict.fromkeys(faults))


def _flaw_in(key: KnotKey, piece: Piece, thick_m: float) -> ConnectionFlaw | None:
    """What keeps a knot from holding in a piece of this thickness."""
    if holds_in(key, piece, thick_m):
        return None
    if piece.strand.substance.family == "wire":
        return ConnectionFlaw.SLIPS_IN_WIRE
    return ConnectionFlaw.TOO_HEAVY if KNOTS[key].mono else ConnectionFlaw.FOR_WIRE_ONLY


def faults_between(tied: Connection, above: Piece, below: Piece) -> tuple[ConnectionFault, ...]:
    """What is wrong with what joins two pieces, by their sizes and materials."""
    faults, best = [], joint_between(above, below)
    upper_m, lower_m = above.lower_diameter_m, below.upper_diameter_m
    families = {above.strand.substance.family, below.strand.substance.family}
    if tied.kind == "knot" and tied.doubled is None:
        if _too_great(tied.knot, upper_m, lower_m):
            instead = best if best != tied else ring_between(above, below)
            faults.append(ConnectionFault(ConnectionFlaw.STEP_TOO_GREAT, tied.knot, instead, best))
        if families == {"nylon", "fluorocarbon"} and not KNOTS[tied.knot].joins_materials:
            flaw = ConnectionFlaw.SLIPS_BETWEEN_MATERIALS
            faults.append(ConnectionFault(flaw, tied.knot, best, best))
    if tied.dropper is not None and tied.kind == "knot" and not tied.leaves_a_tag:
        instead = tied.evolve(knot="triple-surgeons")
        faults.append(ConnectionFault(ConnectionFlaw.NO_TAG, tied.knot, instead, instead))
    heavier = lower_m > REVERSED * upper_m and below.role != "bite"
    if heavier and "wire" not in families and not tied.is_ring:
        faults.append(ConnectionFault(ConnectionFlaw.RUNS_BACKWARDS, tied.knot, None))
    return tuple(faults)


def _too_great(key: KnotKey, upper_m: float, lower_m: float) -> bool:
    knot = KNOTS[key]
    if knot.like_sizes:
        return not blood_fits(upper_m, lower_m)
    most_m = knot.most_step_m
    return most_m is not None and abs(upper_m - lower_m) > most_m + ROUNDING_M
