"""The leader: ordered pieces and the joints between them, from the line's tip to the fly."""

from nine_knots.core.domain.leader.attachments import Attachment, shot_name
from nine_knots.core.domain.leader.connections import eye_knot, joint_between, line_joint
from nine_knots.core.domain.leader.joints import Connection, Dropper
from nine_knots.core.domain.leader.leader import Leader
from nine_knots.core.domain.leader.sections import LevelSection, Role, Section, TaperedSection, Wear

__all__ = [
    "Attachment",
    "Connection",
    "Dropper",
    "Leader",
    "LevelSection",
    "Role",
    "Section",
    "TaperedSection",
    "Wear",
    "eye_knot",
    "joint_between",
    "line_joint",
    "shot_name",
]
