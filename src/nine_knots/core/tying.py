"""From a design to what to cut and in which order to tie it."""

from dataclasses import dataclass

from nine_knots.core.knots import HEAVY_M, KNOTS, Knot, line_used_m, turns
from nine_knots.core.leader import Joint, Leader, LevelPiece, TaperedPiece
from nine_knots.core.tackle import Fly
from nine_knots.core.units import Units
from nine_knots.core.values import Quantity

USUAL_HAND = 1.0


@dataclass(frozen=True, slots=True)
class CutRow:
    """One piece to cut: from what, how long between its knots, how long on the table."""

    piece: int
    role: str
    stock: str
    diameter: str
    wanted: Quantity
    cut: Quantity
    note: str


@dataclass(frozen=True, slots=True)
class Step:
    """One step of the work; ``kind`` lets a screen choose its picture."""

    kind: str
    title: str
    detail: str


@dataclass(frozen=True, slots=True)
class WorkOrder:
    """The cut list and the order of work for one leader."""

    rows: tuple[CutRow, ...]
    steps: tuple[Step, ...]
    cautions: tuple[str, ...]


Strandlike = LevelPiece | TaperedPiece


def knot_turns(knot: Knot, leader: Leader, joint: int) -> tuple[int, int]:
    """Turns with the upper and the lower strand of a knot at a joint."""
    below = leader.pieces[joint] if joint < len(leader.pieces) else None
    above = leader.pieces[joint - 1] if joint > 0 else None
    if above is not None and below is not None and knot.place == "between":
        return turns(knot, above.lower_diameter_m, below.upper_diameter_m)
    if below is not None:
        return turns(knot, below.upper_diameter_m)
    return turns(knot, leader.tippet_diameter_m)


def _used_above_m(leader: Leader, joint: int, handiness: float) -> float:
    """Line in metres that a joint's knots take of the piece above it."""
    above = leader.pieces[joint - 1]
    tied = leader.joints[joint]
    own_m = above.lower_diameter_m
    if tied.kind == "knot":
        knot = KNOTS[tied.knot]
        below = leader.pieces[joint] if joint < len(leader.pieces) else None
        other_m = below.upper_diameter_m if below is not None else own_m
        count = knot_turns(knot, leader, joint)[0]
        return line_used_m(knot, count, own_m, other_m, handiness)
    if tied.upper_knot is None:
        return 0.0
    knot = KNOTS[tied.upper_knot]
    return line_used_m(knot, turns(knot, own_m)[0], own_m, own_m, handiness)


def _used_below_m(leader: Leader, joint: int, handiness: float) -> float:
    """Line in metres that a joint's knots take of the piece below it."""
    below, tied = leader.pieces[joint], leader.joints[joint]
    own_m, knot = below.upper_diameter_m, KNOTS[tied.knot]
    other_m = leader.pieces[joint - 1].lower_diameter_m if joint > 0 else own_m
    if tied.kind != "knot":
        return line_used_m(knot, turns(knot, own_m)[0], own_m, own_m, handiness)
    return line_used_m(knot, knot_turns(knot, leader, joint)[1], own_m, other_m, handiness)


def cut_length_m(leader: Leader, piece: int, handiness: float = USUAL_HAND) -> float:
    """Length in metres to cut: the wanted length between knots and what its two knots use."""
    above = _used_below_m(leader, piece, handiness)
    below = _used_above_m(leader, piece + 1, handiness)
    return leader.pieces[piece].length_m + above + below


def _cut_row(leader: Leader, index: int, titles: dict[str, str], units: Units) -> CutRow:
    piece = leader.pieces[index]
    cut_m = cut_length_m(leader, index)
    note = ""
    if isinstance(piece, TaperedPiece):
        top_m = piece.cut_butt_m - _used_below_m(leader, index, USUAL_HAND)
        tip_m = piece.cut_tip_m - _used_above_m(leader, index + 1, USUAL_HAND)
        parts = [
            f"{units.length(off).text} off the {end}"
            for off, end in ((top_m, "butt"), (tip_m, "tip"))
            if off >= units.length_step_m
        ]
        ends = f"its tip is then {units.diameter(piece.lower_diameter_m).text}"
        note = f"Cut {' and '.join(parts)}; {ends}." if parts else "Use it whole."
        if min(top_m, tip_m) < -units.length_step_m:
            note += " Its knots take a little more than was left for them: it comes out shorter."
        cut_m = min(cut_m, piece.strand.profile.length_m)
        size = (
            f"{units.diameter(piece.upper_diameter_m).text} to "
            f"{units.diameter(piece.lower_diameter_m).text}"
        )
    else:
        size = units.tippet(piece.lower_diameter_m).text
    fallback = piece.strand.substance.title
    return CutRow(
        piece=index,
        role=piece.role,
        stock=titles.get(piece.strand.spool_id or "", fallback),
        diameter=size,
        wanted=units.length(piece.length_m),
        cut=units.length(cut_m),
        note=note,
    )


def _turns_text(knot: Knot, leader: Leader, joint: int) -> str:
    above, below = knot_turns(knot, leader, joint)
    if knot.place == "between" and knot.key != "albright" and above != below:
        return f"{above} turns above, {below} below"
    if knot.key in ("double-surgeons", "triple-surgeons", "surgeons-loop"):
        return f"{above} times through"
    return f"{above} turns" if above > 1 else ""


def joint_title(leader: Leader, joint: int) -> str:
    """A joint in words: ``blood knot, 5 turns above, 6 below``."""
    tied = leader.joints[joint]
    knot = KNOTS[tied.knot]
    count = _turns_text(knot, leader, joint)
    said = f"{knot.title}, {count}" if count else knot.title
    if tied.kind == "loops":
        return f"loop to loop, {said}"
    if tied.kind in ("ring", "swivel") and tied.upper_knot is not None:
        upper = KNOTS[tied.upper_knot].title
        return f"{tied.kind}: {upper} above, {said} below"
    return said


def _join_step(leader: Leader, joint: int, fly: Fly) -> Step:
    tied: Joint = leader.joints[joint]
    title = joint_title(leader, joint)
    note = KNOTS[tied.knot].note
    if joint == 0 and tied.kind == "loops":
        lead = "Tie a loop in the butt's upper end; it goes through the line's loop, seated square."
        return Step(kind="loop", title=f"Upper end: {title}", detail=f"{lead} {note}")
    if joint == 0:
        return Step(kind="line", title=f"Upper end: {title}", detail=f"At the line's tip. {note}")
    if joint == len(leader.pieces):
        return Step(kind="fly", title=f"Fly: {title}", detail=f"Tie on {fly.title}. {note}")
    where = f"Piece {joint} to piece {joint + 1}"
    wet = "Wet it, draw up smoothly, seat it fully, tug, trim."
    return Step(kind="join", title=f"{where}: {title}", detail=f"{wet} {note}")


def cautions_for(leader: Leader) -> tuple[str, ...]:
    """The usual cautions that apply to the materials of this leader."""
    said = ["Eye protection when tying and casting; mind the hook's point and the cutters."]
    families = {piece.strand.substance.family for piece in leader.pieces}
    if any(
        piece.upper_diameter_m >= HEAVY_M and piece.strand.substance.family != "wire"
        for piece in leader.pieces
    ):
        said.append("Draw heavy knots with gloves or pliers, never bare hands or teeth.")
        said.append("Heavy material that breaks under load recoils: keep your face out of line.")
    if "wire" in families:
        said.append("Wire ends cut: bend tags off short and handle with pliers.")
    return tuple(said)


def work_order(leader: Leader, fly: Fly, titles: dict[str, str], units: Units) -> WorkOrder:
    """The cut list and steps, line end first; ``titles`` names spools by their id."""
    rows = tuple(_cut_row(leader, i, titles, units) for i in range(len(leader.pieces)))
    cuts = [
        Step(
            kind="cut",
            title=f"Cut {row.cut.text} of {row.diameter}",
            detail=f"Piece {row.piece + 1}, {row.role}, from {row.stock}. {row.note}".strip(),
        )
        for row in rows
    ]
    straighten = Step(
        kind="straighten",
        title="Straighten every piece",
        detail="Draw each through the fingers until it warms and hangs without curls.",
    )
    joins = [_join_step(leader, joint, fly) for joint in range(1, len(leader.pieces))]
    ends = [_join_step(leader, 0, fly)]
    whole = units.length(leader.length_m).text
    measure = Step(
        kind="check",
        title=f"Measure: {whole} from loop to fly",
        detail="Tags leave on opposite sides, loops seat square; pull the whole leader straight.",
    )
    last = _join_step(leader, len(leader.pieces), fly)
    return WorkOrder(
        rows=rows,
        steps=(*cuts, straighten, *joins, *ends, last, measure),
        cautions=cautions_for(leader),
    )
