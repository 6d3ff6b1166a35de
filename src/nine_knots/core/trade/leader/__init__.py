"""The leader: ordered pieces and the joints between them, from the line's tip to the fly."""

from nine_knots.core.trade.leader.attachments import Attachment, shot_name
from nine_knots.core.trade.leader.joining import eye_knot, joint_between, line_joint
from nine_knots.core.trade.leader.joints import Dropper, Joint
from nine_knots.core.trade.leader.leader import Leader
from nine_knots.core.trade.leader.pieces import LevelPiece, Piece, Role, TaperedPiece, Wear

__all__ = [
    "Attachment",
    "Dropper",
    "Joint",
    "Leader",
    "LevelPiece",
    "Piece",
    "Role",
    "TaperedPiece",
    "Wear",
    "eye_knot",
    "joint_between",
    "line_joint",
    "shot_name",
]
