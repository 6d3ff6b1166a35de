"""A school's rig put on its leader: rings, swivels, flies above the point, shot, indicator."""

from typing import Literal

from nine_knots.core.domain.leader import Connection, Leader, LevelSection
from nine_knots.core.domain.leader.connections import (
    doubled_joint,
    dropper_of,
    fly_in_line,
    ring_between,
    with_a_tag,
)
from nine_knots.core.schools.school import Plan, PlannedFly

KEPT_BELOW_TOP_M = 0.1


def rigged(leader: Leader, plan: Plan) -> Leader:
    """The leader with all that its plan hangs on it; things stay within its length."""
    joints = list(leader.joints)
    if plan.through_guides:
        joints = [
            Connection(knot="triple-surgeons") if joint.is_ring else joint for joint in joints
        ]
    for number in plan.rings:
        joints[number] = ring_between(leader.pieces[number - 1], leader.pieces[number])
    for number in plan.swivels:
        ring = ring_between(leader.pieces[number - 1], leader.pieces[number])
        joints[number] = ring.evolve(kind="swivel")
    for number in plan.doubled:
        joints[number] = doubled_joint(leader.pieces[number - 1], leader.pieces[number])
    for planned in plan.flies:
        joints[planned.joint] = _with_fly(leader, joints[planned.joint], planned)
    most_m = leader.length_m - KEPT_BELOW_TOP_M
    things = tuple(
        thing.model_copy(update={"above_end_m": min(thing.above_end_m, most_m)})
        for thing in plan.things
    )
    return Leader(
        pieces=leader.pieces, joints=tuple(joints), attachments=things, school=leader.school
    )


def _with_fly(leader: Leader, joint: Connection, planned: PlannedFly) -> Connection:
    above, below = leader.pieces[planned.joint - 1], leader.pieces[planned.joint]
    if planned.length_m is None:
        return fly_in_line(above, planned.fly)
    # the tag that points to the fly is the end of the upper piece
    own = above if isinstance(above, LevelSection) else below
    assert isinstance(own, LevelSection)
    tag: Literal["upper", "lower"] = "upper" if own is above else "lower"
    dropper = dropper_of(own.strand, planned.length_m, planned.fly, tag)
    return with_a_tag(joint).evolve(dropper=dropper)
