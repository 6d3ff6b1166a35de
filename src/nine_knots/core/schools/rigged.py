"""A school's rig put on its leader: rings, swivels, flies above the point, shot, indicator."""

from nine_knots.core.knots import KNOTS
from nine_knots.core.leader import Dropper, Joint, Leader, LevelPiece, eye_knot
from nine_knots.core.leader.joining import ring_between
from nine_knots.core.schools.school import Brief, Plan, PlannedFly
from nine_knots.core.tackle import Bead, Fly
from nine_knots.core.water.hung import fly_body, fly_float

KEPT_BELOW_TOP_M = 0.1
CARRIES_TIMES = 2.5  # the nymph's weight, which a dry above it should carry [G]
FRESH_10_C = (999.7, 1.306e-3)  # density and viscosity of river water


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


def upper_nymph(brief: Brief) -> Fly:
    """A nymph from the box lighter than the point fly, the heaviest such; or a usual one."""
    point = brief.situation.fly
    light = [
        fly
        for fly in brief.flies
        if fly.kind == "nymph" and fly.title != point.title and fly.mass_kg < point.mass_kg
    ]
    usual = Fly(
        title="Slim nymph 16, 2 mm bead",
        kind="nymph",
        hook=16,
        bulk="slim",
        bead=Bead(diameter_mm=2.0),
    )
    return max(light, key=lambda fly: fly.mass_kg, default=usual)


def floating_dry(brief: Brief) -> Fly:
    """The dry fly of the box that is thrown most easily of those that carry the point fly with
    something to spare; where none does, the one that carries most; or a usual one."""
    point = brief.situation.fly
    weight_n = fly_body(point, FRESH_10_C[0], FRESH_10_C[1]).weight_n
    dry = [fly for fly in brief.flies if fly.kind in ("dry", "foam") and fly.title != point.title]
    usual = Fly(title="Bushy dry 12", kind="dry", hook=12, bulk="bushy")
    carry = [fly for fly in dry if fly_float(fly).carries_n >= CARRIES_TIMES * weight_n]
    if carry:
        return min(carry, key=lambda fly: fly.air_drag_area_m2)
    return max(dry, key=lambda fly: fly_float(fly).carries_n, default=usual)
