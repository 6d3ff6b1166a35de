"""What to tie at a joint: the best choice and why, the other school's, and what is wrong with one.

Rules of common practice [P]; the limits of single knots stand in their table.
"""

from dataclasses import dataclass
from functools import lru_cache

from nine_knots.core.domain.knots import KNOTS, STOUT_M
from nine_knots.core.domain.leader.connections import (
    ROUNDING_M,
    THIN_LOOP_M,
    blood_fits,
    eye_knot,
    joint_between,
    line_joint,
    ring_between,
)
from nine_knots.core.domain.leader.joints import Connection, Dropper
from nine_knots.core.domain.leader.leader import Leader
from nine_knots.core.domain.leader.sections import LevelSection, TaperedSection
from nine_knots.core.domain.tackle import Fly, FlyLine

REVERSED = 1.08  # thicker after thinner by more than this runs backwards

PARTED = {
    "ring": "joins any two sizes, and the leader above it lasts the season.",
    "swivel": "joins any two sizes, takes out twist, and stops shot from slipping.",
}
MANY = 2048  # pairs of pieces: while one is dragged the others stay
A_SNAP = "flies can be changed without cutting the wire; adds a little weight at the fly's nose."

Piece = LevelSection | TaperedSection


@dataclass(frozen=True, slots=True)
class KnotOption:
    """A way to tie a joint and why."""

    joint: Connection
    title: str
    reason: str


@dataclass(frozen=True, slots=True)
class ConnectionFault:
    """What is poor about a joint as it is tied, and the mend; ``instead`` where a knot mends it."""

    what: str
    hint: str
    instead: Connection | None


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
    return ConnectionAdvice(best, other, _faults_at_the_line(tied, butt, line, best))


@lru_cache(maxsize=MANY)
def _advise_at_the_fly(tied: Connection, tippet: Piece, fly: Fly) -> ConnectionAdvice:
    best, other = _at_the_fly(tippet, fly)
    return ConnectionAdvice(best, other, _faults_of_knots(tied, (tippet,), best, True))


@lru_cache(maxsize=MANY)
def _advise_between(tied: Connection, above: Piece, below: Piece) -> ConnectionAdvice:
    if tied.fly is not None:
        best, other = _in_line(tied, above, below)
        return ConnectionAdvice(best, other, _faults_of_knots(tied, (above, below), best))
    best, other = _between(above, below)
    if tied.kind in PARTED and best.joint.kind not in PARTED:
        best, other = _chosen(tied.evolve(dropper=None), PARTED[tied.kind]), best
    if tied.dropper is not None:
        best, other = _with_dropper(best, tied.dropper), _with_dropper(other, tied.dropper)
    faults = (*_faults_of_knots(tied, (above, below), best), *_faults_between(tied, above, below))
    return ConnectionAdvice(best, other, faults)


def choice_title(joint: Connection) -> str:
    """A joint in two or three words, without its turns."""
    name = KNOTS[joint.knot].title
    if joint.kind == "knot":
        return name
    if joint.kind == "loops":
        return f"loop to loop, {name}"
    if joint.kind == "snap":
        return f"snap, {name}"
    if joint.kind == "fly":
        return f"fly in line, tied from the {joint.tied_from}"
    return f"{joint.kind} between two knots"


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


def _faults_at_the_line(
    tied: Connection, butt: Piece, line: FlyLine, best: KnotOption
) -> tuple[ConnectionFault, ...]:
    if tied.kind == "loops" and line.tip == "bare":
        return (
            ConnectionFault(
                "This line tip has no loop.",
                "Nail the butt on.",
                best.joint,
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
    return _faults_of_knots(tied, (butt,), best)


def _faults_of_knots(
    tied: Connection, pieces: tuple[Piece, ...], best: KnotOption, at_the_fly: bool = False
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
                what, f"Tie {with_article(best.title, False)}.", best.joint
            )
    return tuple(faults.values())


def _faults_between(tied: Connection, above: Piece, below: Piece) -> tuple[ConnectionFault, ...]:
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


def with_article(name: str, begins: bool = True) -> str:
    """A name with its article: ``an improved clinch``, ``a ring between two knots``."""
    article = "an" if name[0] in "aeio" else "a"
    return f"{article.capitalize() if begins else article} {name}"
