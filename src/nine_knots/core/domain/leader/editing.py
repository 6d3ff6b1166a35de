"""Applying a change to a leader: a new leader, or a refusal with the mend.

The old leader is never touched.
"""

from collections.abc import Callable
from typing import Any

from pydantic import ValidationError

from nine_knots.core.base.errors import EditRefused
from nine_knots.core.domain.leader.connections import joint_between, kept_at_the_fly, kept_on
from nine_knots.core.domain.leader.droppers import add_fly
from nine_knots.core.domain.leader.edits import (
    Delete,
    Edit,
    Insert,
    Merge,
    SetJoint,
    SetRole,
    SetWear,
    Split,
    StepStock,
    UseStock,
)
from nine_knots.core.domain.leader.joints import Connection
from nine_knots.core.domain.leader.leader import Leader
from nine_knots.core.domain.leader.resizing import (
    SHORTEST_PIECE_M,
    cut_back,
    longest_m,
    move_joint,
    nudge_joint,
    rebuilt,
    resized,
    set_length,
    split_at,
    with_piece,
)
from nine_knots.core.domain.leader.rigging import RIG_ACTS
from nine_knots.core.domain.leader.sections import LevelSection, Role, TaperedSection
from nine_knots.core.domain.leader.workbench import Workbench
from nine_knots.core.domain.strand import Packet, Spool

NEW_PIECE_M = 0.3048


def apply_edit(leader: Leader, edit: Edit, bench: Workbench) -> Leader:
    """The leader after one change; EditRefused (or Unreadable for typed text) otherwise."""
    _check_index(leader, edit)
    try:
        return _ACTS[edit.act](leader, edit, bench)
    except ValidationError as error:
        said = error.errors()[0]["msg"].removeprefix("Value error, ")
        raise EditRefused(
            f"That isn't a valid leader: {said}.", where="edit", hint="Try a smaller change."
        ) from error


def _check_index(leader: Leader, edit: Any) -> None:
    piece, joint = getattr(edit, "piece", None), getattr(edit, "joint", None)
    if piece is not None and not 0 <= piece < len(leader.pieces):
        raise EditRefused(
            f"There is no piece {piece + 1}; the leader has {len(leader.pieces)}.",
            where="edit.piece",
            hint="Choose an existing one.",
        )
    if joint is not None and not 0 <= joint < len(leader.joints):
        raise EditRefused(
            f"There is no joint {joint}; the last one is {len(leader.joints) - 1}.",
            where="edit.joint",
            hint="Choose an existing one.",
        )
    thing = getattr(edit, "thing", None)
    if thing is not None and not 0 <= thing < len(leader.attachments):
        raise EditRefused(
            "There is no item with this number on the leader.",
            where="edit.thing",
            hint="Choose an existing one.",
        )


def _on_stock(
    piece: LevelSection | TaperedSection, stock_item: Spool | Packet
) -> LevelSection | TaperedSection:
    if isinstance(stock_item, Spool):
        return LevelSection(role=piece.role, strand=stock_item.strand, length_m=piece.length_m)
    # as it is sold: what is to be cut off is asked for by itself
    return TaperedSection(role=piece.role, strand=stock_item.strand)


def _use_stock(leader: Leader, edit: UseStock, bench: Workbench) -> Leader:
    return _restocked(leader, edit.piece, bench.find(edit.spool_id), bench)


def _restocked(leader: Leader, index: int, stock_item: Spool | Packet, bench: Workbench) -> Leader:
    old = leader.pieces[index]
    new = _on_stock(old, stock_item)
    pieces, joints = list(leader.pieces), list(leader.joints)
    pieces[index] = new
    if new.strand.substance.family != old.strand.substance.family:
        # the knots that held the old material may not hold the new one
        if index > 0:
            joints[index] = kept_on(joints[index], pieces[index - 1], new)
        if index + 1 < len(pieces):
            joints[index + 1] = kept_on(joints[index + 1], new, pieces[index + 1])
        else:
            joints[-1] = kept_at_the_fly(joints[-1], new, bench.fly)
    return rebuilt(leader, pieces, joints)


def _tied(old: Connection, new: Connection) -> Connection:
    """The new joint, keeping the dropper of the old; a fly in line stays."""
    return old if old.kind == "fly" else new.evolve(dropper=old.dropper)


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
            hint="Add one under Spools, or step the other way.",
        )
    return _restocked(leader, edit.piece, spools[place], bench)


def _set_role(leader: Leader, edit: SetRole, bench: Workbench) -> Leader:  # noqa: ARG001
    return with_piece(leader, edit.piece, leader.pieces[edit.piece].evolve(role=edit.role))


def _set_wear(leader: Leader, edit: SetWear, bench: Workbench) -> Leader:  # noqa: ARG001
    return with_piece(leader, edit.piece, leader.pieces[edit.piece].evolve(wear=edit.wear))


def _split(leader: Leader, edit: Split, bench: Workbench) -> Leader:
    piece = leader.pieces[edit.piece]
    if piece.length_m < 2 * SHORTEST_PIECE_M:
        raise EditRefused(
            "This piece is too short to split.",
            where=f"leader.pieces.{edit.piece}",
            hint=f"Lengthen it to {bench.units.length(2 * SHORTEST_PIECE_M).text} or more.",
        )
    return split_at(leader, edit.piece, piece.length_m * edit.share, bench)


def _merge(leader: Leader, edit: Merge, bench: Workbench) -> Leader:  # noqa: ARG001
    if edit.piece + 1 >= len(leader.pieces):
        raise EditRefused(
            "There is no piece below this one to merge with.",
            where="edit.piece",
            hint="Choose the piece above.",
        )
    above, below = leader.pieces[edit.piece : edit.piece + 2]
    both = above.length_m + below.length_m
    if both > longest_m(above, "tip") + 1e-9:
        raise EditRefused(
            "A knotless taper can't be merged with the piece below.",
            where=f"leader.pieces.{edit.piece}",
            hint="Delete the piece instead.",
        )
    pieces, joints = list(leader.pieces), list(leader.joints)
    pieces[edit.piece : edit.piece + 2] = [resized(above, both, "tip")]
    del joints[edit.piece + 1]
    return rebuilt(leader, pieces, joints)


def _insert(leader: Leader, edit: Insert, bench: Workbench) -> Leader:
    pieces, joints, k = list(leader.pieces), list(leader.joints), edit.joint
    role: Role
    if k == 0:
        near, role = pieces[0].upper_diameter_m, "butt"
    elif k == len(pieces):
        near, role = pieces[-1].lower_diameter_m - 25.4e-6, "tippet"
    else:
        near, role = (pieces[k - 1].lower_diameter_m + pieces[k].upper_diameter_m) / 2, "taper"
    spool = bench.thinner_than(pieces[-1]) if k == len(pieces) else None
    new = LevelSection(
        role=role,
        strand=(spool or bench.nearest(near)).strand,
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
    return rebuilt(leader, pieces, joints)


def _delete(leader: Leader, edit: Delete, bench: Workbench) -> Leader:  # noqa: ARG001
    pieces, joints, i = list(leader.pieces), list(leader.joints), edit.piece
    if len(pieces) == 1:
        raise EditRefused(
            "The last piece can't be deleted: a leader needs at least one.",
            where="edit.piece",
            hint="Change its spool or its length instead.",
        )
    del pieces[i]
    if i == 0:
        del joints[1]
    elif i == len(pieces):
        del joints[i]
    else:
        joints[i : i + 2] = [_tied(joints[i], joint_between(pieces[i - 1], pieces[i]))]
    return rebuilt(leader, pieces, joints)


def _set_joint(leader: Leader, edit: SetJoint, bench: Workbench) -> Leader:  # noqa: ARG001
    return leader.with_joint(edit.joint, edit.tied)


_ACTS: dict[str, Callable[[Leader, Any, Workbench], Leader]] = {
    "move-joint": move_joint,
    "nudge-joint": nudge_joint,
    "set-length": set_length,
    "cut-back": cut_back,
    "use-stock": _use_stock,
    "step-stock": _step_stock,
    "set-role": _set_role,
    "set-wear": _set_wear,
    "split": _split,
    "merge": _merge,
    "insert": _insert,
    "delete": _delete,
    "set-joint": _set_joint,
    **RIG_ACTS,
    "add-fly": add_fly,
}
