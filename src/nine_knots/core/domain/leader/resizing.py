"""Changes of length: joints moved, lengths typed, knotless tapers cut back.

A drag stops at what is possible; a typed figure that is impossible is refused.
"""

from typing import Any, Literal

from nine_knots.core.base.errors import EditRefused
from nine_knots.core.base.limits import LONGEST_LEADER_M, MOST_PIECES
from nine_knots.core.domain.leader.attachments import Attachment
from nine_knots.core.domain.leader.connections import joint_between
from nine_knots.core.domain.leader.edits import CutBack, MoveJoint, NudgeJoint, SetLength
from nine_knots.core.domain.leader.joints import Connection
from nine_knots.core.domain.leader.leader import Leader
from nine_knots.core.domain.leader.sections import LevelSection, TaperedSection
from nine_knots.core.domain.leader.workbench import Workbench

SHORTEST_PIECE_M = 0.025


def rebuilt(leader: Leader, pieces: list[Any], joints: list[Connection]) -> Leader:
    """The leader with other pieces and joints, its school and attachments kept."""
    if len(pieces) > MOST_PIECES:
        raise EditRefused(
            f"A leader has at most {MOST_PIECES} pieces.", hint="Merge or delete one first."
        )
    most_m = sum(piece.length_m for piece in pieces) - SHORTEST_PIECE_M
    return Leader(
        pieces=tuple(pieces),
        joints=tuple(joints),
        attachments=tuple(_within(thing, most_m) for thing in leader.attachments),
        school=leader.school,
        hangs_from=leader.hangs_from,
    )


def _within(thing: Attachment, most_m: float) -> Attachment:
    """A thing on the line that is left on a shorter leader slides down with its upper end."""
    if thing.above_end_m <= most_m or most_m <= 0.0:
        return thing
    return thing.model_copy(update={"above_end_m": most_m})


def with_piece(leader: Leader, index: int, piece: LevelSection | TaperedSection) -> Leader:
    """The leader with one piece changed."""
    pieces = list(leader.pieces)
    pieces[index] = piece
    return rebuilt(leader, pieces, list(leader.joints))


def longest_m(piece: LevelSection | TaperedSection, end: str) -> float:
    """The most metres a piece can have by moving one of its ends: a taper has just what is cut."""
    if isinstance(piece, LevelSection):
        return LONGEST_LEADER_M
    return piece.length_m + (piece.cut_tip_m if end == "tip" else piece.cut_butt_m)


def resized(
    piece: LevelSection | TaperedSection, length_m: float, end: Literal["butt", "tip"]
) -> LevelSection | TaperedSection:
    """The piece at another length, what is gained or lost being at one end."""
    if isinstance(piece, LevelSection):
        return piece.evolve(length_m=length_m)
    grown = length_m - piece.length_m
    if end == "tip":
        return piece.evolve(cut_tip_m=max(0.0, piece.cut_tip_m - grown))
    return piece.evolve(cut_butt_m=max(0.0, piece.cut_butt_m - grown))


def split_at(leader: Leader, index: int, upper_m: float, bench: Workbench) -> Leader:
    """A piece in two, about so much of it (m) above, with the joint that suits both ends."""
    piece = leader.pieces[index]
    upper_m = bench.units.snap_length(upper_m)
    upper_m = min(max(upper_m, SHORTEST_PIECE_M), piece.length_m - SHORTEST_PIECE_M)
    upper = resized(piece, upper_m, "tip")
    lower = resized(piece, piece.length_m - upper_m, "butt")
    pieces, joints = list(leader.pieces), list(leader.joints)
    pieces[index : index + 1] = [upper, lower]
    joints.insert(index + 1, joint_between(upper, lower))
    return rebuilt(leader, pieces, joints)


def move_joint(leader: Leader, edit: MoveJoint, bench: Workbench) -> Leader:
    """Trade length between the pieces at a joint, or lengthen the last piece."""
    if edit.joint == 0:
        raise EditRefused(
            "The upper end is at the line's tip and stays there.",
            where="edit.joint",
            hint="Drag the joint below it, or the fly's end.",
        )
    index = edit.joint - 1
    above = leader.pieces[index]
    start_m = leader.joints_at_m[index]
    wanted = bench.units.snap_length(max(edit.to_m - start_m, SHORTEST_PIECE_M))
    most = longest_m(above, "tip")
    if edit.joint == len(leader.pieces):
        room = LONGEST_LEADER_M - start_m
        return with_piece(leader, index, resized(above, min(wanted, most, room), "tip"))
    below = leader.pieces[edit.joint]
    both = above.length_m + below.length_m
    least = max(SHORTEST_PIECE_M, both - longest_m(below, "butt"))
    length = min(max(wanted, least), most, both - SHORTEST_PIECE_M)
    pieces = list(leader.pieces)
    pieces[index] = resized(above, length, "tip")
    pieces[edit.joint] = resized(below, both - length, "butt")
    return rebuilt(leader, pieces, list(leader.joints))


def nudge_joint(leader: Leader, edit: NudgeJoint, bench: Workbench) -> Leader:
    """Move a joint by steps of the finest length shown."""
    to_m = leader.joints_at_m[edit.joint] + edit.steps * bench.units.length_step_m
    return move_joint(leader, MoveJoint(joint=edit.joint, to_m=to_m), bench)


def set_length(leader: Leader, edit: SetLength, bench: Workbench) -> Leader:
    """Give a piece the length typed."""
    piece = leader.pieces[edit.piece]
    length = bench.length_m(edit.length)
    most = longest_m(piece, "tip")
    if length > most + 1e-9:
        raise EditRefused(
            f"This knotless taper has only {bench.units.length(most).text} left.",
            where=f"leader.pieces.{edit.piece}.length",
            hint="Enter a shorter length, or add a level piece below it.",
        )
    return with_piece(leader, edit.piece, resized(piece, length, "tip"))


def cut_back(leader: Leader, edit: CutBack, bench: Workbench) -> Leader:
    """Cut a knotless taper back from one end."""
    piece = leader.pieces[edit.piece]
    length = bench.length_m(edit.length)
    left = piece.length_m - length
    if isinstance(piece, LevelSection) or left < SHORTEST_PIECE_M:
        raise EditRefused(
            "Only a knotless taper can be cut back, and some of it must remain.",
            where=f"leader.pieces.{edit.piece}",
            hint="Set the length of a level piece instead, or cut less.",
        )
    return with_piece(leader, edit.piece, resized(piece, left, edit.end))
