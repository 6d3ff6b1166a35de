"""A school's rig put on its leader: rings, swivels, flies above the point, shot, indicator."""

from nine_knots.core.trade.knots import KNOTS
from nine_knots.core.trade.leader import Dropper, Joint, Leader, LevelPiece, eye_knot
from nine_knots.core.trade.leader.joining import ring_between
from nine_knots.core.trade.schools.school import Plan, PlannedFly

KEPT_BELOW_TOP_M = 0.1


def rigged(leader: Leader, plan: Plan) -> Leader:
    """The leader with all that its plan hangs on it; things stay within its length."""
    joints = list(leader.joints)
    for number in plan.rings:
        joints[number] = ring_between(leader.pieces[number - 1], leader.pieces[number])
    for number in plan.swivels:
        ring = ring_between(leader.pieces[number - 1], leader.pieces[number])
        joints[number] = ring.remade(kind="swivel")
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


def _with_fly(leader: Leader, joint: Joint, planned: PlannedFly) -> Joint:
    above, below = leader.pieces[planned.joint - 1], leader.pieces[planned.joint]
    fly = planned.fly
    if planned.length_m is None:
        upper = eye_knot(above, fly).knot
        return Joint(
            kind="fly", knot="improved-clinch", upper_knot=upper, fly=fly, tied_from="bend"
        )
    own = below if isinstance(below, LevelPiece) else above
    assert isinstance(own, LevelPiece)
    tag = LevelPiece(role="tippet", strand=own.strand, length_m=planned.length_m)
    dropper = Dropper(
        strand=own.strand, length_m=planned.length_m, knot=eye_knot(tag, fly).knot, fly=fly
    )
    if joint.kind == "knot" and not KNOTS[joint.knot].dropper:
        joint = Joint(knot="triple-surgeons")
    return joint.remade(dropper=dropper)
