"""What is wrong with a joint as it is tied, and what to do about it.

Rules of common practice [P]; the limits of single knots stand in their table.
"""

from dataclasses import dataclass

from nine_knots.core.domain.knots import KNOTS
from nine_knots.core.domain.leader.connection_titles import choice_title, with_article
from nine_knots.core.domain.leader.connections import (
    ROUNDING_M,
    THIN_LOOP_M,
    blood_fits,
    joint_between,
    ring_between,
)
from nine_knots.core.domain.leader.joints import Connection
from nine_knots.core.domain.leader.sections import LevelSection, TaperedSection
from nine_knots.core.domain.tackle import FlyLine

REVERSED = 1.08  # thicker after thinner by more than this runs backwards

Piece = LevelSection | TaperedSection


@dataclass(frozen=True, slots=True)
class ConnectionFault:
    """What is poor about a joint as it is tied, and the mend; ``instead`` where a knot mends it."""

    what: str
    hint: str
    instead: Connection | None


def faults_at_the_line(
    tied: Connection, butt: Piece, line: FlyLine, best: Connection
) -> tuple[ConnectionFault, ...]:
    """What is wrong where the butt joins the line."""
    if tied.kind == "loops" and line.tip == "bare":
        return (
            ConnectionFault(
                "This line tip has no loop.",
                "Nail the butt on.",
                best,
            ),
        )
    if tied.kind == "loops" and butt.upper_diameter_m < THIN_LOOP_M - ROUNDING_M:
        return (
            ConnectionFault(
                "So thin a loop cuts into the line's coated loop.",
                "Knot it to the loop, or loop a short butt of 40 lb (.024 in, 0.6 mm) between.",
                Connection(knot="uni"),
            ),
        )
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
    faults: dict[str, ConnectionFault] = {}
    for key, piece, thick_m in used:
        knot, stuff = KNOTS[key], piece.strand.substance
        what = ""
        if stuff.family == "wire" and piece.strand.material not in knot.wires:
            what = f"{with_article(knot.title)} doesn't hold in {stuff.title}."
        elif stuff.family != "wire" and not knot.mono:
            what = f"{with_article(knot.title)} is for wire only."
        elif knot.most_m and stuff.family != "wire" and thick_m >= knot.most_m:
            what = f"{with_article(knot.title)} doesn't seat in mono this heavy."
        if what:
            faults[what] = ConnectionFault(
                what, f"Tie {with_article(choice_title(best), False)}.", best
            )
    return tuple(faults.values())


def faults_between(tied: Connection, above: Piece, below: Piece) -> tuple[ConnectionFault, ...]:
    """What is wrong with what joins two pieces, by their sizes and materials."""
    faults = []
    upper_m, lower_m = above.lower_diameter_m, below.upper_diameter_m
    knot = KNOTS[tied.knot]
    families = {above.strand.substance.family, below.strand.substance.family}
    best = joint_between(above, below)
    hint = f"Tie {with_article(choice_title(best), False)}."
    if tied.kind == "knot" and tied.doubled is None:
        if _too_great(tied, upper_m, lower_m):
            named = with_article(knot.title, False)
            what = f"The step is too great for {named}: the thinner strand slips or cuts."
            faults.append(
                ConnectionFault(what, hint, best if best != tied else ring_between(above, below))
            )
        if families == {"nylon", "fluorocarbon"} and tied.knot in ("albright", "double-surgeons"):
            named = with_article(knot.title)
            what = f"{named} from fluorocarbon to nylon slips more than it needs to."
            faults.append(ConnectionFault(what, hint, best))
    if tied.dropper is not None and tied.kind == "knot" and not tied.leaves_a_tag:
        what = f"{with_article(knot.title)} leaves no tag for a dropper."
        instead = tied.evolve(knot="triple-surgeons")
        faults.append(
            ConnectionFault(
                what, "Tie a triple surgeon's and use the tag pointing to the fly.", instead
            )
        )
    heavier = lower_m > REVERSED * upper_m and below.role != "bite"
    if heavier and "wire" not in families and not tied.is_ring:
        faults.append(
            ConnectionFault(
                "Thicker material follows thinner.", "Swap the two, or step down here.", None
            )
        )
    return tuple(faults)


def _too_great(tied: Connection, upper_m: float, lower_m: float) -> bool:
    if tied.knot == "blood":
        return not blood_fits(upper_m, lower_m)
    most_m = KNOTS[tied.knot].most_step_m
    return most_m is not None and abs(upper_m - lower_m) > most_m + ROUNDING_M
