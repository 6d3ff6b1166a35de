"""A leader in the parts that are swapped: what is above its ring or swivel, and what is below."""

import hashlib

from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.leader.lower_rig import parting_joint

NAME = 12  # letters of a part's name: enough that no two of a day are alike


def part_names(leader: Leader) -> tuple[str, str]:
    """Names of its upper and lower part, alike where they are tied alike; one without a ring or a
    swivel has no lower part. What is clipped or pinched on is no part of either."""
    at = parting_joint(leader)
    if at is None:
        return _name(leader, 0, len(leader.pieces)), ""
    ring = leader.joints[at]  # what ends in one is another upper than what has the fly tied to it
    upper = _name(leader, 0, at, f"{ring.kind} {ring.upper_knot}")
    return upper, _name(leader, at, len(leader.pieces))


def setting_name(leader: Leader) -> str:
    """A name of what is clipped and pinched on and where, alike where it is set alike."""
    things = sorted(attachment.model_dump_json() for attachment in leader.attachments)
    return _hash("".join(things)) if things else ""


def _name(leader: Leader, first: int, end: int, ends_in: str = "") -> str:
    pieces = [piece.model_dump_json(exclude={"wear"}) for piece in leader.pieces[first:end]]
    joints = [joint.model_dump_json() for joint in leader.joints[first:end]]
    return _hash("".join((*pieces, *joints, leader.hangs_from, ends_in)))


def _hash(text: str) -> str:
    return hashlib.sha256(text.encode()).hexdigest()[:NAME]
