"""Applying a change to a leader: a new leader, or a refusal with the mend.

The old leader is never touched. A drag (``move-joint``) stops at what is possible; a typed
figure that is impossible is refused.
"""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any, Literal

from pydantic import ValidationError

from nine_knots.core.errors import EditRefused
from nine_knots.core.leader.edits import (
    CutBack,
    Delete,
    Edit,
    Insert,
    Merge,
    MoveJoint,
    NudgeJoint,
    SetJoint,
    SetLength,
    SetRole,
    Split,
    StepStock,
    UseStock,
)
from nine_knots.core.leader.joining import eye_knot, joint_between
from nine_knots.core.leader.joints import Joint
from nine_knots.core.leader.leader import Leader
from nine_knots.core.leader.pieces import LevelPiece, Role, TaperedPiece
from nine_knots.core.strand import Packet, Spool, Stock, Strand, TaperedStrand
from nine_knots.core.tackle import Fly
from nine_knots.core.units import Units, parse_length
from nine_knots.core.values import LONGEST_LEADER_M, MOST_PIECES

SHORTEST_PIECE_M = 0.025
NEW_PIECE_M = 0.3048


@dataclass(frozen=True)
class Workbench:
    """What a change may need to know: the spools owned, the fly, the angler's units."""

    stock: tuple[Stock, ...]
    fly: Fly
    units: Units

    def find(self, spool_id: str) -> Spool | Packet:
        """The stock of this name, or EditRefused."""
        for item in self.stock:
            if item.spool_id == spool_id:
                return item
        raise EditRefused(
            f"There is no spool “{spool_id}” on the shelf.",
            where="edit.spool_id",
            mend="Choose one of the spools you own, or add it under Spools.",
        )

    def level_by_thickness(self, like: Strand | TaperedStrand | None = None) -> list[Spool]:
        """The level spools, thinnest first, equal diameters by stiffness.

        Only those of the same family and colour where a strand is given.
        """
        spools = [item for item in self.stock if isinstance(item, Spool)]
        if like is not None:
            spools = [
                spool
                for spool in spools
                if spool.strand.substance.family == like.substance.family
                and spool.strand.colour == like.colour
            ]
        return sorted(
            spools, key=lambda s: (s.strand.diameter_m, s.strand.stiffness_pa, s.spool_id)
        )

    def nearest(self, diameter_m: float) -> Spool:
        """The level spool nearest in diameter, or EditRefused on an empty shelf."""
        spools = [s for s in self.level_by_thickness() if s.strand.colour == "plain"]
        spools = [s for s in spools if s.strand.substance.family != "wire"] or spools
        if not spools:
            raise EditRefused(
                "There is no spool on the shelf.", mend="Add a spool under Spools first."
            )
        return min(spools, key=lambda s: abs(s.strand.diameter_m - diameter_m))


def apply_edit(leader: Leader, edit: Edit, bench: Workbench) -> Leader:
    """The leader after one change; EditRefused (or Unreadable for typed text) otherwise."""
    _check_index(leader, edit)
    try:
        return _ACTS[edit.act](leader, edit, bench)
    except ValidationError as error:
        said = error.errors()[0]["msg"].removeprefix("Value error, ")
        raise EditRefused(
            f"That would not be a leader: {said}.", where="edit", mend="Try a smaller change."
        ) from error


def _check_index(leader: Leader, edit: Any) -> None:
    piece, joint = getattr(edit, "piece", None), getattr(edit, "joint", None)
    if piece is not None and not 0 <= piece < len(leader.pieces):
        raise EditRefused(
            f"There is no piece {piece + 1}; the leader has {len(leader.pieces)}.",
            where="edit.piece",
            mend="Choose one that is there.",
        )
    if joint is not None and not 0 <= joint < len(leader.joints):
        raise EditRefused(
            f"There is no joint {joint}; the last one is {len(leader.joints) - 1}.",
            where="edit.joint",
            mend="Choose one that is there.",
        )


def _rebuilt(leader: Leader, pieces: list[Any], joints: list[Joint]) -> Leader:
    if len(pieces) > MOST_PIECES:
        raise EditRefused(
            f"A leader has at most {MOST_PIECES} pieces.", mend="Merge or delete one first."
        )
    return Leader(
        pieces=tuple(pieces),
        joints=tuple(joints),
        attachments=leader.attachments,
        school=leader.school,
    )


def _with_piece(leader: Leader, index: int, piece: LevelPiece | TaperedPiece) -> Leader:
    pieces = list(leader.pieces)
    pieces[index] = piece
    return _rebuilt(leader, pieces, list(leader.joints))


def _made(piece: LevelPiece | TaperedPiece, **changes: Any) -> LevelPiece | TaperedPiece:
    fields = {name: getattr(piece, name) for name in type(piece).model_fields}
    return type(piece).model_validate({**fields, **changes})


def _longest_m(piece: LevelPiece | TaperedPiece, end: str) -> float:
    """The most metres a piece can have by moving one of its ends: a taper has just what is cut."""
    if isinstance(piece, LevelPiece):
        return LONGEST_LEADER_M
    return piece.length_m + (piece.cut_tip_m if end == "tip" else piece.cut_butt_m)


def _resized(
    piece: LevelPiece | TaperedPiece, length_m: float, end: Literal["butt", "tip"]
) -> LevelPiece | TaperedPiece:
    """The piece at another length, what is gained or lost being at one end."""
    if isinstance(piece, LevelPiece):
        return _made(piece, length_m=length_m)
    grown = length_m - piece.length_m
    if end == "tip":
        return _made(piece, cut_tip_m=max(0.0, piece.cut_tip_m - grown))
    return _made(piece, cut_butt_m=max(0.0, piece.cut_butt_m - grown))


def _move_joint(leader: Leader, edit: MoveJoint, bench: Workbench) -> Leader:
    if edit.joint == 0:
        raise EditRefused(
            "The upper end is at the line's tip and stays there.",
            where="edit.joint",
            mend="Drag the joint below it, or the fly's end.",
        )
    index = edit.joint - 1
    above = leader.pieces[index]
    start_m = leader.joints_at_m[index]
    wanted = bench.units.snap_length(max(edit.to_m - start_m, SHORTEST_PIECE_M))
    most = _longest_m(above, "tip")
    if edit.joint == len(leader.pieces):
        room = LONGEST_LEADER_M - start_m
        return _with_piece(leader, index, _resized(above, min(wanted, most, room), "tip"))
    below = leader.pieces[edit.joint]
    both = above.length_m + below.length_m
    least = max(SHORTEST_PIECE_M, both - _longest_m(below, "butt"))
    length = min(max(wanted, least), most, both - SHORTEST_PIECE_M)
    pieces = list(leader.pieces)
    pieces[index] = _resized(above, length, "tip")
    pieces[edit.joint] = _resized(below, both - length, "butt")
    return _rebuilt(leader, pieces, list(leader.joints))


def _nudge_joint(leader: Leader, edit: NudgeJoint, bench: Workbench) -> Leader:
    to_m = leader.joints_at_m[edit.joint] + edit.steps * bench.units.length_step_m
    return _move_joint(leader, MoveJoint(joint=edit.joint, to_m=to_m), bench)


def _typed(length: float | str, bench: Workbench) -> float:
    return parse_length(length, bench.units.system) if isinstance(length, str) else length


def _set_length(leader: Leader, edit: SetLength, bench: Workbench) -> Leader:
    piece = leader.pieces[edit.piece]
    length = _typed(edit.length, bench)
    most = _longest_m(piece, "tip")
    if length > most + 1e-9:
        raise EditRefused(
            f"This knotless taper has only {bench.units.length(most).text} left.",
            where=f"leader.pieces.{edit.piece}.length",
            mend="Give a shorter length, or tie a level piece below it.",
        )
    return _with_piece(leader, edit.piece, _resized(piece, length, "tip"))


def _cut_back(leader: Leader, edit: CutBack, bench: Workbench) -> Leader:
    piece = leader.pieces[edit.piece]
    length = _typed(edit.length, bench)
    left = piece.length_m - length
    if isinstance(piece, LevelPiece) or left < SHORTEST_PIECE_M:
        raise EditRefused(
            "Only a knotless taper is cut back, and some of it must be left.",
            where=f"leader.pieces.{edit.piece}",
            mend="Set the length of a level piece instead, or cut less.",
        )
    return _with_piece(leader, edit.piece, _resized(piece, left, edit.end))


def _on_stock(piece: LevelPiece | TaperedPiece, item: Spool | Packet) -> LevelPiece | TaperedPiece:
    if isinstance(item, Spool):
        return LevelPiece(role=piece.role, strand=item.strand, length_m=piece.length_m)
    made_m = item.strand.profile.length_m
    return TaperedPiece(
        role=piece.role, strand=item.strand, cut_tip_m=max(0.0, made_m - piece.length_m)
    )


def _use_stock(leader: Leader, edit: UseStock, bench: Workbench) -> Leader:
    return _restocked(leader, edit.piece, bench.find(edit.spool_id), bench)


def _restocked(leader: Leader, index: int, item: Spool | Packet, bench: Workbench) -> Leader:
    old = leader.pieces[index]
    new = _on_stock(old, item)
    pieces, joints = list(leader.pieces), list(leader.joints)
    pieces[index] = new
    if new.strand.substance.family != old.strand.substance.family:
        # the knots that held the old material may not hold the new one
        if index > 0:
            joints[index] = _tied(joints[index], joint_between(pieces[index - 1], new))
        if index + 1 < len(pieces):
            joints[index + 1] = _tied(joints[index + 1], joint_between(new, pieces[index + 1]))
        else:
            joints[-1] = _tied(joints[-1], eye_knot(new, bench.fly))
    return _rebuilt(leader, pieces, joints)


def _tied(old: Joint, new: Joint) -> Joint:
    """The new joint, keeping the dropper of the old."""
    fields = {name: getattr(new, name) for name in Joint.model_fields}
    return Joint.model_validate({**fields, "dropper": old.dropper})


def _step_stock(leader: Leader, edit: StepStock, bench: Workbench) -> Leader:
    piece = leader.pieces[edit.piece]
    spools = bench.level_by_thickness(like=piece.strand)
    names = [spool.spool_id for spool in spools]
    if piece.strand.spool_id in names:
        place = names.index(piece.strand.spool_id) + edit.by
    else:
        thinner = sum(s.strand.diameter_m < piece.lower_diameter_m - 1e-9 for s in spools)
        place = thinner if edit.by > 0 else thinner - 1
    if not 0 <= place < len(spools):
        which = "thicker" if edit.by > 0 else "thinner"
        raise EditRefused(
            f"You own no {which} spool of this kind.",
            where=f"leader.pieces.{edit.piece}",
            mend="Add one under Spools, or step the other way.",
        )
    return _restocked(leader, edit.piece, spools[place], bench)


def _set_role(leader: Leader, edit: SetRole, bench: Workbench) -> Leader:  # noqa: ARG001
    return _with_piece(leader, edit.piece, _made(leader.pieces[edit.piece], role=edit.role))


def _split(leader: Leader, edit: Split, bench: Workbench) -> Leader:
    piece = leader.pieces[edit.piece]
    if piece.length_m < 2 * SHORTEST_PIECE_M:
        raise EditRefused(
            "This piece is too short to split.",
            where=f"leader.pieces.{edit.piece}",
            mend=f"Lengthen it to {bench.units.length(2 * SHORTEST_PIECE_M).text} or more.",
        )
    upper_m = bench.units.snap_length(piece.length_m * edit.share)
    upper_m = min(max(upper_m, SHORTEST_PIECE_M), piece.length_m - SHORTEST_PIECE_M)
    lower_m = piece.length_m - upper_m
    upper, lower = _resized(piece, upper_m, "tip"), _resized(piece, lower_m, "butt")
    pieces, joints = list(leader.pieces), list(leader.joints)
    pieces[edit.piece : edit.piece + 1] = [upper, lower]
    joints.insert(edit.piece + 1, joint_between(upper, lower))
    return _rebuilt(leader, pieces, joints)


def _merge(leader: Leader, edit: Merge, bench: Workbench) -> Leader:  # noqa: ARG001
    if edit.piece + 1 >= len(leader.pieces):
        raise EditRefused(
            "There is no piece below this one to merge with.",
            where="edit.piece",
            mend="Choose the piece above.",
        )
    above, below = leader.pieces[edit.piece : edit.piece + 2]
    both = above.length_m + below.length_m
    if both > _longest_m(above, "tip") + 1e-9:
        raise EditRefused(
            "A knotless taper cannot grow to take in the piece below.",
            where=f"leader.pieces.{edit.piece}",
            mend="Delete the piece instead.",
        )
    pieces, joints = list(leader.pieces), list(leader.joints)
    pieces[edit.piece : edit.piece + 2] = [_resized(above, both, "tip")]
    del joints[edit.piece + 1]
    return _rebuilt(leader, pieces, joints)


def _insert(leader: Leader, edit: Insert, bench: Workbench) -> Leader:
    pieces, joints, k = list(leader.pieces), list(leader.joints), edit.joint
    role: Role
    if k == 0:
        near, role = pieces[0].upper_diameter_m, "butt"
    elif k == len(pieces):
        near, role = pieces[-1].lower_diameter_m - 25.4e-6, "tippet"
    else:
        near, role = (pieces[k - 1].lower_diameter_m + pieces[k].upper_diameter_m) / 2, "taper"
    new = LevelPiece(
        role=role,
        strand=bench.nearest(near).strand,
        length_m=bench.units.snap_length(NEW_PIECE_M),
    )
    pieces.insert(k, new)
    if k == 0:
        joints.insert(1, joint_between(new, pieces[1]))
    elif k == len(leader.pieces):
        joints.insert(k, joint_between(pieces[k - 1], new))
    else:
        joints[k : k + 1] = [
            joint_between(pieces[k - 1], new),
            _tied(joints[k], joint_between(new, pieces[k + 1])),
        ]
    return _rebuilt(leader, pieces, joints)


def _delete(leader: Leader, edit: Delete, bench: Workbench) -> Leader:  # noqa: ARG001
    pieces, joints, i = list(leader.pieces), list(leader.joints), edit.piece
    if len(pieces) == 1:
        raise EditRefused(
            "The last piece cannot go: a leader has at least one.",
            where="edit.piece",
            mend="Change its spool or its length instead.",
        )
    del pieces[i]
    if i == 0:
        del joints[1]
    elif i == len(pieces):
        del joints[i]
    else:
        joints[i : i + 2] = [_tied(joints[i], joint_between(pieces[i - 1], pieces[i]))]
    return _rebuilt(leader, pieces, joints)


def _set_joint(leader: Leader, edit: SetJoint, bench: Workbench) -> Leader:  # noqa: ARG001
    joints = list(leader.joints)
    joints[edit.joint] = edit.tied
    return _rebuilt(leader, list(leader.pieces), joints)


_ACTS: dict[str, Callable[[Leader, Any, Workbench], Leader]] = {
    "move-joint": _move_joint,
    "nudge-joint": _nudge_joint,
    "set-length": _set_length,
    "cut-back": _cut_back,
    "use-stock": _use_stock,
    "step-stock": _step_stock,
    "set-role": _set_role,
    "split": _split,
    "merge": _merge,
    "insert": _insert,
    "delete": _delete,
    "set-joint": _set_joint,
}
