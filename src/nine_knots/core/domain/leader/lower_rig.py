"""A lower rig: everything below a ring or swivel, as a thing of its own that can be swapped."""

from pydantic import model_validator

from nine_knots.core.base.errors import EditRefused
from nine_knots.core.base.limits import Title
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.leader.connections import ring_between
from nine_knots.core.domain.leader.joints import Connection
from nine_knots.core.domain.leader.leader import Leader
from nine_knots.core.domain.leader.sections import LevelSection
from nine_knots.core.domain.tackle import Fly


class LowerRig(Frozen):
    """Named pieces from a ring or swivel to the point fly; their first knot is tied to it."""

    title: Title
    leader: Leader
    fly: Fly

    @model_validator(mode="after")
    def _hangs_from_a_ring(self) -> "LowerRig":
        if self.leader.hangs_from == "line":
            raise ValueError("a lower rig hangs from a ring or a swivel")
        return self


def parting_joint(leader: Leader) -> int | None:
    """The uppermost ring or swivel, below which all is one lower rig; None where there is none."""
    return next((i for i, joint in enumerate(leader.joints) if joint.is_ring), None)


def lower_rig_of(title: str, leader: Leader, fly: Fly, joint: int | None = None) -> LowerRig:
    """What hangs below a ring or swivel of a leader; EditRefused where there is none."""
    return LowerRig(title=title, leader=lower_of(leader, joint), fly=fly)


def lower_of(leader: Leader, joint: int | None = None) -> Leader:
    """The part below a ring or swivel, tied to it; EditRefused where there is none."""
    at = _parted(leader, joint)
    upper = leader.joints[at]
    length_m = leader.length_m - leader.joints_at_m[at]
    return Leader(
        pieces=leader.pieces[at:],
        joints=(Connection(knot=upper.knot), *leader.joints[at + 1 :]),
        attachments=tuple(
            attachment for attachment in leader.attachments if attachment.above_end_m < length_m
        ),
        hangs_from="swivel" if upper.kind == "swivel" else "ring",
    )


def tippet_of(leader: Leader) -> Leader | None:
    """The last piece of a leader as it would hang from a ring; None of a taper."""
    last = leader.pieces[-1]
    if not isinstance(last, LevelSection) or last.role != "tippet" or len(leader.pieces) < 2:
        return None
    to_ring = ring_between(leader.pieces[-2], last)
    joints = (Connection(knot=to_ring.knot), leader.joints[-1])
    return Leader(pieces=(last,), joints=joints, hangs_from="ring")


def with_lower_rig(leader: Leader, rig: LowerRig, joint: int | None = None) -> Leader:
    """The upper leader with another lower rig. EditRefused where it has no ring or swivel."""
    return with_lower(leader, rig.leader, joint)


def with_lower(leader: Leader, lower: Leader, joint: int | None = None) -> Leader:
    """The upper leader with another lower part; ring or swivel, and what is along the upper part,
    stay where they are. EditRefused where the leader has neither."""
    at = _parted(leader, joint)
    old_m = leader.length_m - leader.joints_at_m[at]
    ring = leader.joints[at].evolve(knot=lower.joints[0].knot, dropper=None)
    longer_m = lower.length_m - old_m
    above = (attachment for attachment in leader.attachments if attachment.above_end_m >= old_m)
    kinds = {attachment.kind for attachment in lower.attachments} & {"indicator", "grease"}
    return leader.evolve(
        pieces=(*leader.pieces[:at], *lower.pieces),
        joints=(*leader.joints[:at], ring, *lower.joints[1:]),
        attachments=(
            *(item.moved(longer_m) for item in above if item.kind not in kinds),
            *lower.attachments,
        ),
    )


def _parted(leader: Leader, joint: int | None) -> int:
    at = parting_joint(leader) if joint is None else joint
    if at is None or not 0 < at < len(leader.pieces) or not leader.joints[at].is_ring:
        raise EditRefused(
            "There is no ring or swivel here to swap the lower rig at.",
            where="joint",
            hint="Add a ring or swivel first; then the rig below it can be swapped.",
        )
    return at
