"""The order of work: a short list for paper."""

from dataclasses import dataclass

from nine_knots.core.base.prose import capitalised
from nine_knots.core.base.units import Units
from nine_knots.core.domain.builder import USUAL_BUILDER, Builder
from nine_knots.core.domain.knots import HEAVY_M, KNOTS, Knot, KnotKey, turns
from nine_knots.core.domain.leader import Connection, Leader, shot_name
from nine_knots.core.domain.tackle import Fly
from nine_knots.words.tying.cutting import CutRow, cut_row, knot_turns

FROM = {"line": "loop", "ring": "ring", "swivel": "swivel"}
ONCE = "The upper leader stays on the line; only this part is swapped."


@dataclass(frozen=True, slots=True)
class Step:
    """One step of the order; ``kind`` lets a page choose its mark.

    ``brief`` is what of the detail must be known to tie it right: a card may leave out the rest.
    """

    kind: str
    title: str
    detail: str
    brief: str = ""


@dataclass(frozen=True, slots=True)
class WorkOrder:
    """The cut list and the order of work for one leader."""

    rows: tuple[CutRow, ...]
    steps: tuple[Step, ...]
    cautions: tuple[str, ...]


def _turns_text(knot: Knot, leader: Leader, joint: int) -> str:
    above, below = knot_turns(knot, leader, joint)
    if knot.place == "between" and knot.both_wind and above != below:
        return f"{above} turns above, {below} below"
    if knot.counts_passes:
        return f"{above} times through"
    return f"{above} turns" if above > 1 else ""


def joint_title(leader: Leader, joint: int) -> str:
    """A joint in words: ``blood knot, 5 turns above, 6 below``."""
    tied = leader.joints[joint]
    knot = KNOTS[tied.knot]
    count = _turns_text(knot, leader, joint)
    said = f"{knot.title}, {count}" if count else knot.title
    if tied.kind == "loops":
        own = joint == 0 and leader.comes_looped
        return "loop to loop, as it is sold" if own else f"loop to loop, {said}"
    if tied.is_ring and tied.upper_knot is not None:
        return f"{tied.kind}: {_upper_said(leader, joint)} above, {said} below"
    if tied.kind == "snap":
        return f"snap: {said}"
    if tied.fly is not None and tied.upper_knot is not None:
        upper = _upper_said(leader, joint)
        return f"{tied.fly.title} in line: {upper} to its eye, {said} to its {tied.tied_from}"
    return said


def _upper_said(leader: Leader, joint: int) -> str:
    """The knot on the upper side of a ring or a fly, with its turns in the piece above."""
    key = leader.joints[joint].upper_knot
    assert key is not None
    knot = KNOTS[key]
    count, _ = turns(knot, leader.pieces[joint - 1].lower_diameter_m)
    return f"{knot.title}, {count} turns" if count > 1 else knot.title


def each_knot(leader: Leader) -> str:
    """What is done with each knot of this leader, in a sentence or two."""
    is_wire = [piece.strand.substance.family == "wire" for piece in leader.pieces]
    if all(is_wire):
        return "Each knot: draw up without a kink, and seat it fully."
    which = "Each knot in nylon or fluorocarbon" if any(is_wire) else "Each knot"
    tags = "trim the tags close"
    if any(joint.dropper is not None for joint in leader.joints):
        tags = "trim the tags close, except those left long for a fly"
    return f"{which}: wet it, draw up smoothly without jerks, seat it fully, tug, {tags}."


def knots_tied(leader: Leader) -> tuple[KnotKey, ...]:
    """All knots of a leader, each once, from the line down: those of rings, flies in line, tags and
    doubled ends too."""
    found: list[KnotKey] = []
    for joint in leader.joints:
        if joint.doubled is not None:
            found.append("bimini")
        if joint.upper_knot is not None:
            found.append(joint.upper_knot)
        found.append(joint.knot)
        if joint.dropper is not None:
            found.append(joint.dropper.knot)
    return tuple(dict.fromkeys(found))


def join_step(leader: Leader, joint: int, fly: Fly, units: Units) -> Step:
    """How a joint is tied, as one line of the order."""
    tied: Connection = leader.joints[joint]
    title = joint_title(leader, joint)
    note = KNOTS[tied.knot].note
    if joint == 0 and leader.comes_looped:
        brief = "It comes looped: through the line's loop, seated square."
        return Step("loop", f"Upper end: {title}", brief, brief)
    if joint == 0 and tied.kind == "loops":
        lead = "Tie a loop in the butt's upper end; it goes through the line's loop, seated square."
        brief = "Through the line's loop, seated square."
        return Step("loop", f"Upper end: {title}", f"{lead} {note}", brief)
    if joint == 0 and leader.hangs_from != "line":
        where = f"To the {leader.hangs_from}"
        return Step("line", f"{where}: {title}", f"{note} {ONCE}")
    if joint == 0:
        brief = "At the line's tip."
        return Step("line", f"Upper end: {title}", f"{brief} {note}", brief)
    if joint == len(leader.pieces):
        does = f"Tie on {fly.title}."
        if fly.tube:
            does = (
                f"Slide the tube of {fly.title} on first, in at its head; tie its hook on behind."
            )
        if tied.kind == "snap":
            does = f"Tie on the snap; hang {fly.title} in it, and check that it clicks shut."
        return Step("fly", f"Fly: {title}", f"{does} {note}", does)
    where = f"Piece {joint} to piece {joint + 1}"
    wet, brief = "Wet it, draw up smoothly, seat it fully, tug, trim.", ""
    if tied.dropper is not None:
        wet = f"{tag_words(tied, units)} {wet.removesuffix('trim.')}trim the other tag."
        title += f"; {tied.dropper.tag} tag long for the {tied.dropper.fly.title}"
        brief = f"{tag_words(tied, units)} Trim the other tag."
    if tied.doubled is not None:
        wet = f"{doubled_words(tied)} {wet}"
        brief = f"{doubled_words(tied)} {brief}".rstrip()
    return Step("join", f"{where}: {title}", f"{wet} {note}", brief)


def doubled_words(tied: Connection) -> str:
    """What is done before the knot where an end is doubled."""
    end = "upper" if tied.doubled == "upper" else "lower"
    return (
        f"First double the end of the {end} piece with a bimini twist of twenty turns, and tie "
        "the knot with both strands as one."
    )


def tag_words(tied: Connection, units: Units) -> str:
    """What is left long for a dropper."""
    dropper = tied.dropper
    assert dropper is not None
    long = units.length(dropper.length_m).text
    knot = KNOTS[dropper.knot].title
    return (
        f"Leave the {dropper.tag} tag long: {long} when the {dropper.fly.title} is on it, by "
        f"{knot}."
    )


def hang_steps(leader: Leader, units: Units) -> list[Step]:
    """Shot, indicator, marks and grease, from the point fly up."""
    steps = []
    for thing in sorted(leader.attachments, key=lambda attachment: attachment.above_end_m):
        place = f"{units.length(thing.above_end_m).text} above the point fly"
        if thing.kind == "shot":
            name = shot_name(thing.mass_kg)
            size = (
                f"{name}, {1e3 * thing.mass_kg:.2g} g" if name else f"{1e3 * thing.mass_kg:.2g} g"
            )
            title, detail = f"Pinch on shot {size}", f"Of {thing.metal}, {place}."
        elif thing.kind == "indicator" and thing.diameter_m is not None:
            title = f"Put on the indicator, {1e3 * thing.diameter_m:.0f} mm"
            detail = f"Set {place}."
        elif thing.kind == "mark":
            title, detail = "Mark the sighter", f"Its lower end {place}."
        else:
            title, detail = "Grease the leader", f"From the line down to {place}, no further."
        steps.append(Step("hang", title, detail, detail))
    return steps


def cautions_for(leader: Leader) -> tuple[str, ...]:
    """The usual cautions that apply to the materials of this leader."""
    said = ["Wear eye protection when tying and casting; mind hook points and cutters."]
    if any(
        piece.upper_diameter_m >= HEAVY_M and piece.strand.substance.family != "wire"
        for piece in leader.pieces
    ):
        said.append("Draw heavy knots with gloves or pliers, never bare hands or teeth.")
        said.append("Heavy material that breaks under load recoils: keep your face out of line.")
    if _has_wire(leader):
        said.append("Wire ends cut: bend tags off short and handle with pliers.")
    return tuple(said)


def _measure_words(leader: Leader) -> str:
    """What to look at last, of the knots that this leader has."""
    said = []
    if any(joint.kind == "knot" and KNOTS[joint.knot].like_sizes for joint in leader.joints):
        said.append("tags of blood knots leave on opposite sides")
    if any(joint.kind == "loops" for joint in leader.joints):
        said.append("loops seat square")
    said.append("the whole pulls straight")
    return f"{capitalised(', '.join(said))}."


def _has_wire(leader: Leader) -> bool:
    return any(piece.strand.substance.family == "wire" for piece in leader.pieces)


def work_order(
    leader: Leader, fly: Fly, titles: dict[str, str], units: Units, tyer: Builder = USUAL_BUILDER
) -> WorkOrder:
    """The cut list and steps, line end first; ``titles`` names spools by their id."""
    rows = tuple(cut_row(leader, i, titles, units, tyer) for i in range(len(leader.pieces)))
    cuts = [
        Step(
            kind="cut",
            title=f"Cut {row.cut.text} of {row.diameter}",
            detail=f"Piece {row.piece + 1}, {row.role}, from {row.stock}. {row.note}".strip(),
        )
        for row in rows
    ]
    not_wire = (
        "Don't straighten wire this way: it cuts, and kinks stay." if _has_wire(leader) else ""
    )
    warm = "Draw each through the fingers until it warms and hangs without curls."
    straighten = Step(
        "straighten", "Straighten every piece", f"{warm} {not_wire}".rstrip(), not_wire
    )
    joins = [join_step(leader, joint, fly, units) for joint in range(1, len(leader.pieces))]
    ends = [join_step(leader, 0, fly, units)]
    whole = units.length(leader.length_m).text
    look = _measure_words(leader)
    measure = Step("check", f"Measure: {whole} from {FROM[leader.hangs_from]} to fly", look, look)
    last = join_step(leader, len(leader.pieces), fly, units)
    return WorkOrder(
        rows=rows,
        steps=(*cuts, straighten, *joins, *ends, last, *hang_steps(leader, units), measure),
        cautions=cautions_for(leader),
    )
