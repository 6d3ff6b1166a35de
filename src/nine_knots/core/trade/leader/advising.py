"""What to tie at a joint: the best choice and why, the other school's, and what is wrong with one.

Rules of common practice [P]; the limits of single knots stand in their table.
"""

from dataclasses import dataclass

from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.trade.knots import KNOTS, STOUT_M
from nine_knots.core.trade.leader.joining import eye_knot, joint_between, line_joint, ring_between
from nine_knots.core.trade.leader.joints import Dropper, Joint
from nine_knots.core.trade.leader.leader import Leader
from nine_knots.core.trade.leader.pieces import LevelPiece, TaperedPiece
from nine_knots.core.trade.tackle import Fly, FlyLine

THIN_LOOP_M = 12.0 * THOU_M  # a thinner loop cuts into a coated loop [P: 0X to 2X]
REVERSED = 1.08  # thicker after thinner by more than this runs backwards

Piece = LevelPiece | TaperedPiece


@dataclass(frozen=True, slots=True)
class KnotChoice:
    """A way to tie a joint and why."""

    joint: Joint
    title: str
    reason: str


@dataclass(frozen=True, slots=True)
class Fault:
    """What is poor about a joint as it is tied, and the mend; ``instead`` where a knot mends it."""

    what: str
    mend: str
    instead: Joint | None


@dataclass(frozen=True, slots=True)
class JointAdvice:
    """The best choice at a joint, the other school's, and the faults of the one that is tied."""

    best: KnotChoice
    other: KnotChoice
    faults: tuple[Fault, ...]


def advise(leader: Leader, number: int, line: FlyLine, fly: Fly) -> JointAdvice:
    """Advice on joint ``number`` of a leader on this line with this fly."""
    tied = leader.joints[number]
    if number == 0:
        best, other = _at_the_line(leader.pieces[0], line)
        return JointAdvice(best, other, _faults_at_the_line(tied, leader.pieces[0], line, best))
    if number == len(leader.pieces):
        best, other = _at_the_fly(leader.pieces[-1], fly)
        return JointAdvice(best, other, _faults_of_knots(tied, (leader.pieces[-1],), best))
    above, below = leader.pieces[number - 1], leader.pieces[number]
    if tied.fly is not None:
        best, other = _in_line(tied, above, below)
        return JointAdvice(best, other, _faults_of_knots(tied, (above, below), best))
    best, other = _between(above, below)
    if tied.dropper is not None:
        best, other = _with_dropper(best, tied.dropper), _with_dropper(other, tied.dropper)
    faults = (*_faults_of_knots(tied, (above, below), best), *_faults_between(tied, above, below))
    return JointAdvice(best, other, faults)


def choice_title(joint: Joint) -> str:
    """A joint in two or three words, without its turns."""
    name = KNOTS[joint.knot].title
    if joint.kind == "knot":
        return name
    if joint.kind == "loops":
        return f"loop to loop, {name}"
    if joint.kind == "fly":
        return f"fly in line, tied from the {joint.tied_from}"
    return f"{joint.kind} between two knots"


def _chosen(joint: Joint, reason: str) -> KnotChoice:
    return KnotChoice(joint=joint, title=choice_title(joint), reason=reason)


def _at_the_line(butt: Piece, line: FlyLine) -> tuple[KnotChoice, KnotChoice]:
    keep = _chosen(
        Joint(kind="loops", knot="perfection-loop"),
        "changed in a minute, and the welded loop floats the line's tip; two loops are a thicker, "
        "looser hinge.",
    )
    nail = _chosen(
        Joint(knot="nail"),
        "slimmer, runs through the guides; each renewal wears some two inches of the line's taper "
        "back, and a cut tip floats less well.",
    )
    nailed = line_joint(line).kind == "knot" or butt.upper_diameter_m < THIN_LOOP_M
    return (nail, keep) if nailed else (keep, nail)


def _at_the_fly(tippet: Piece, fly: Fly) -> tuple[KnotChoice, KnotChoice]:
    best = eye_knot(tippet, fly)
    if best.knot == "haywire":
        said = "the only knot that single-strand wire keeps."
        return _chosen(best, said), _chosen(best, "no school ties another: all else slips.")
    if best.knot == "non-slip-loop":
        return _chosen(best, "the fly swings free on stiff tippet."), _chosen(
            Joint(knot="uni"), "snugged on the eye it tracks straighter and tangles less."
        )
    if tippet.lower_diameter_m >= STOUT_M:
        return _chosen(Joint(knot="uni"), "seats in heavy mono, where a clinch does not."), _chosen(
            Joint(knot="non-slip-loop"), "lets the fly swing, for those who want it to."
        )
    return _chosen(best, "quick, small, and strong in fine tippet."), _chosen(
        Joint(knot="palomar"), "the strongest, for those who do not mind the line it takes."
    )


def _between(above: Piece, below: Piece) -> tuple[KnotChoice, KnotChoice]:
    best = joint_between(above, below)
    families = {above.strand.substance.family, below.strand.substance.family}
    thick_m = max(above.lower_diameter_m, below.upper_diameter_m)
    ring = ring_between(above, below)
    if "wire" in families:
        return _chosen(best, "joins wire to mono and takes the twist out."), _chosen(
            Joint(knot="albright"), "slimmer, through soft stranded wire only."
        )
    if "braid" in families:
        return _chosen(best, "a braided loop is looped on, not knotted."), _chosen(
            Joint(kind="loops", knot="perfection-loop", upper_knot="perfection-loop"),
            "slimmer in line, a little weaker.",
        )
    if families == {"nylon", "fluorocarbon"}:
        why = "fluorocarbon straight to nylon is a weak spot"
        if best.kind == "ring":
            return _chosen(best, f"{why}; a ring keeps them apart."), _chosen(
                Joint(knot="double-uni"), "no metal in the leader; more turns than in nylon alone."
            )
        return _chosen(best, f"{why}: three turns hold where two slip."), _chosen(
            ring, "the other school keeps the two apart with a ring, and the leader for a season."
        )
    if best.knot == "blood" and best.kind == "knot":
        return _chosen(best, "like sizes: slim and straight, whatever the thickness."), _chosen(
            Joint(knot="double-uni" if thick_m >= STOUT_M else "double-surgeons"),
            "the easiest with numb fingers or no light."
            if thick_m < STOUT_M
            else "each half drawn up by itself, where heavy mono will not seat.",
        )
    if best.kind == "ring":
        return _chosen(best, "too unlike for one knot: a ring takes any two sizes."), _chosen(
            Joint(knot="triple-surgeons" if thick_m < STOUT_M else "albright"),
            "no metal, for those who carry no rings; weaker at such a step.",
        )
    if best.knot == "albright":
        return _chosen(best, "very unlike sizes in heavy mono."), _chosen(
            Joint(knot="double-uni"), "stronger where the step is not too great."
        )
    if best.knot == "double-uni":
        return _chosen(best, "unlike sizes in stout mono: each half seats by itself."), _chosen(
            Joint(knot="albright"), "slimmer, and takes any step; needs a patient hand."
        )
    return _chosen(best, "takes unlike sizes, and ties in the dark."), _chosen(
        Joint(knot="blood"), "slimmer, but shy of a step of more than .003 in (0.08 mm)."
    )


def _in_line(tied: Joint, above: Piece, below: Piece) -> tuple[KnotChoice, KnotChoice]:
    """A fly in line: the next piece from its bend or from its eye, a school each."""
    assert tied.fly is not None
    upper, lower = eye_knot(above, tied.fly).knot, "improved-clinch"
    if below.strand.material == "wire-single":
        lower = "haywire"
    parts = {"kind": "fly", "fly": tied.fly, "upper_knot": upper, "knot": lower}
    bend = _chosen(
        Joint.model_validate({**parts, "tied_from": "bend"}),
        "from the bend: the simplest, and it tangles least.",
    )
    eye = _chosen(
        Joint.model_validate({**parts, "tied_from": "eye"}),
        "from the eye: leaves the bend free to hook, and lets the fly swing.",
    )
    return (bend, eye) if tied.tied_from == "bend" else (eye, bend)


def _with_dropper(choice: KnotChoice, dropper: Dropper) -> KnotChoice:
    """The choice with the dropper that is there; a knot without a tag gives way to one with."""
    joint, reason = choice.joint, choice.reason
    if joint.kind == "knot" and not KNOTS[joint.knot].dropper:
        joint, reason = Joint(knot="triple-surgeons"), "its lower tag carries the dropper."
    return _chosen(joint.remade(dropper=dropper), reason)


def _faults_at_the_line(
    tied: Joint, butt: Piece, line: FlyLine, best: KnotChoice
) -> tuple[Fault, ...]:
    if tied.kind == "loops" and line.tip == "bare":
        return (
            Fault(
                "This line's tip is bare: there is no loop to meet.",
                "Nail the butt on.",
                best.joint,
            ),
        )
    if tied.kind == "loops" and butt.upper_diameter_m < THIN_LOOP_M:
        return (
            Fault(
                "So thin a loop cuts into the line's coated loop.",
                "Put a short butt of .018 in (0.45 mm) or more between, or nail it on.",
                Joint(knot="nail"),
            ),
        )
    return _faults_of_knots(tied, (butt,), best)


def _faults_of_knots(tied: Joint, pieces: tuple[Piece, ...], best: KnotChoice) -> tuple[Fault, ...]:
    """Knots in material, thickness or steps that they are not for."""
    used = [(tied.knot, pieces[-1])]
    if tied.kind == "knot":
        used += [(tied.knot, piece) for piece in pieces[:-1]]
    elif tied.upper_knot is not None:
        used.append((tied.upper_knot, pieces[0]))
    faults: dict[str, Fault] = {}
    for key, piece in used:
        knot, stuff = KNOTS[key], piece.strand.substance
        thick_m = max(piece.upper_diameter_m, piece.lower_diameter_m)
        what = ""
        if stuff.family == "wire" and piece.strand.material not in knot.wires:
            what = f"A {knot.title} does not hold in {stuff.title}."
        elif stuff.family != "wire" and not knot.mono:
            what = f"A {knot.title} is for wire only."
        elif knot.most_m and stuff.family != "wire" and thick_m >= knot.most_m:
            why = "leaves a bend" if "surgeons" in key else "does not seat"
            what = f"A {knot.title} {why} in mono as heavy as this."
        if what:
            faults[what] = Fault(what, f"Tie a {best.title}.", best.joint)
    return tuple(faults.values())


def _faults_between(tied: Joint, above: Piece, below: Piece) -> tuple[Fault, ...]:
    faults = []
    upper_m, lower_m = above.lower_diameter_m, below.upper_diameter_m
    knot = KNOTS[tied.knot]
    families = {above.strand.substance.family, below.strand.substance.family}
    best = joint_between(above, below)
    mend = f"Tie a {choice_title(best)}."
    if tied.kind == "knot":
        step_m = abs(upper_m - lower_m)
        if knot.most_step_m and step_m > knot.most_step_m + 1e-9:
            what = f"The step is too great for a {knot.title}: the thinner strand slips or cuts."
            faults.append(Fault(what, mend, best if best != tied else ring_between(above, below)))
        if families == {"nylon", "fluorocarbon"} and tied.knot not in (
            "triple-surgeons",
            "double-uni",
        ):
            what = "Fluorocarbon tied straight to nylon is a weak spot."
            faults.append(Fault(what, mend, best))
    if tied.dropper is not None and tied.kind == "knot" and not knot.dropper:
        what = f"A {knot.title} leaves no tag for a dropper."
        instead = tied.remade(knot="triple-surgeons")
        faults.append(Fault(what, "Tie a triple surgeon's, and use its lower tag.", instead))
    heavier = lower_m > REVERSED * upper_m and below.role != "bite"
    if heavier and "wire" not in families:
        faults.append(
            Fault("Thicker material follows thinner.", "Change the two, or step down here.", None)
        )
    return tuple(faults)
