"""How long to cut each piece: the wanted length between knots and what its knots use."""

from dataclasses import dataclass

from nine_knots.core.base.quantity import Quantity
from nine_knots.core.base.units import Units
from nine_knots.core.domain.builder import USUAL_BUILDER, USUAL_HAND, Builder
from nine_knots.core.domain.knots import KNOTS, Knot, line_used_m, turns
from nine_knots.core.domain.leader import Connection, Leader, Section, TaperedSection
from nine_knots.words.tying.spans import in_spans


@dataclass(frozen=True, slots=True)
class CutRow:
    """One piece to cut: from what, how long between its knots, how long on the table."""

    piece: int
    role: str
    stock: str
    diameter: str
    wanted: Quantity
    cut: Quantity
    spans: str
    note: str


def knot_turns(knot: Knot, leader: Leader, joint: int) -> tuple[int, int]:
    """Turns with the upper and the lower strand of a knot at a joint."""
    below = leader.pieces[joint] if joint < len(leader.pieces) else None
    above = leader.pieces[joint - 1] if joint > 0 else None
    if above is not None and below is not None and knot.place == "between":
        return turns(knot, above.lower_diameter_m, below.upper_diameter_m)
    if below is not None:
        return turns(knot, below.upper_diameter_m)
    return turns(knot, leader.tippet_diameter_m)


def used_above_m(leader: Leader, joint: int, handiness: float) -> float:
    """Line in metres that a joint's knots take of the piece above it."""
    above, tied = leader.pieces[joint - 1], leader.joints[joint]
    bimini_m = KNOTS["bimini"].tag_allowance_m if tied.doubled == "upper" else 0.0
    tag_m = _tag_m(tied, "upper", above, handiness)
    return _knots_above_m(leader, joint, handiness) + tag_m + bimini_m


def _tag_m(tied: Connection, end: str, piece: Section, handiness: float) -> float:
    """Line in metres that a dropper's tag takes of the piece that it is the end of."""
    dropper = tied.dropper
    if dropper is None or dropper.tag != end or dropper.strand != piece.strand:
        return 0.0
    knot, own_m = KNOTS[dropper.knot], dropper.strand.diameter_m
    return dropper.length_m + line_used_m(knot, turns(knot, own_m)[0], own_m, own_m, handiness)


def _knots_above_m(leader: Leader, joint: int, handiness: float) -> float:
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


def used_below_m(leader: Leader, joint: int, handiness: float) -> float:
    """Line in metres that a joint's knots take of the piece below it."""
    if joint == 0 and leader.comes_looped:
        return 0.0
    below, tied = leader.pieces[joint], leader.joints[joint]
    own_m, knot = below.upper_diameter_m, KNOTS[tied.knot]
    other_m = leader.pieces[joint - 1].lower_diameter_m if joint > 0 else own_m
    tag_m = _tag_m(tied, "lower", below, handiness)
    tag_m += KNOTS["bimini"].tag_allowance_m if tied.doubled == "lower" else 0.0
    if tied.kind != "knot":
        return tag_m + line_used_m(knot, turns(knot, own_m)[0], own_m, own_m, handiness)
    count = knot_turns(knot, leader, joint)[1]
    return tag_m + line_used_m(knot, count, own_m, other_m, handiness)


def cut_length_m(leader: Leader, piece: int, handiness: float = USUAL_HAND) -> float:
    """Length in metres to cut: the wanted length between knots and what its two knots use."""
    above = used_below_m(leader, piece, handiness)
    below = used_above_m(leader, piece + 1, handiness)
    return leader.pieces[piece].length_m + above + below


def cut_row(
    leader: Leader, index: int, titles: dict[str, str], units: Units, tyer: Builder = USUAL_BUILDER
) -> CutRow:
    """One row of the cut list; ``titles`` names spools by their id."""
    piece = leader.pieces[index]
    hand = tyer.handiness
    cut_m = cut_length_m(leader, index, hand)
    note = ""
    if isinstance(piece, TaperedSection):
        top_m = piece.cut_butt_m - used_below_m(leader, index, hand)
        tip_m = piece.cut_tip_m - used_above_m(leader, index + 1, hand)
        parts = [
            f"{units.length(off).text} off the {end}"
            for off, end in ((top_m, "butt"), (tip_m, "tip"))
            if off >= units.length_step_m
        ]
        ends = f"its tip is then {units.diameter(piece.lower_diameter_m).text}"
        note = f"Cut {' and '.join(parts)}; {ends}." if parts else "Use it whole."
        if min(top_m, tip_m) < -units.length_step_m:
            note += " Its knots use a little more than was allowed, so it comes out shorter."
        cut_m = min(cut_m, piece.strand.profile.length_m)
        size = (
            f"{units.diameter(piece.upper_diameter_m).text} to "
            f"{units.diameter(piece.lower_diameter_m).text}"
        )
    else:
        size = units.across(piece.lower_diameter_m, piece.strand.estimated)
    fallback = piece.strand.substance.title
    return CutRow(
        piece=index,
        role=piece.role,
        stock=titles.get(piece.strand.spool_id or "", fallback),
        diameter=size,
        wanted=units.length(piece.length_m),
        cut=units.length(cut_m),
        spans=in_spans(cut_m, tyer.height_m, units),
        note=note,
    )
