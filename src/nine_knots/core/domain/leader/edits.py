"""Changes to a leader as values: what the bench sends when something is dragged or typed."""

from typing import Annotated, Literal

from pydantic import Field

from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.leader.joints import Connection
from nine_knots.core.domain.leader.rig_edits import RigEdit, SaidLength
from nine_knots.core.domain.leader.sections import Role, Wear


class MoveJoint(Frozen):
    """Slide a joint to a place along the leader; the last one lengthens the leader."""

    act: Literal["move-joint"] = "move-joint"
    joint: int
    to_m: float


class NudgeJoint(Frozen):
    """Slide a joint by steps of the finest length shown; repeats add up, whatever comes first."""

    act: Literal["nudge-joint"] = "nudge-joint"
    joint: int
    steps: int = Field(ge=-1000, le=1000)


class SetLength(Frozen):
    """Give a piece a length: metres, or text as the angler typed it."""

    act: Literal["set-length"] = "set-length"
    piece: int
    length: SaidLength


class CutBack(Frozen):
    """Cut a knotless taper back from one end, by metres or by typed text."""

    act: Literal["cut-back"] = "cut-back"
    piece: int
    end: Literal["butt", "tip"]
    length: SaidLength


class UseStock(Frozen):
    """Make a piece from this spool or packet."""

    act: Literal["use-stock"] = "use-stock"
    piece: int
    spool_id: str


class StepStock(Frozen):
    """Make a piece from the next thicker (+1) or thinner (-1) spool owned."""

    act: Literal["step-stock"] = "step-stock"
    piece: int
    by: Literal[-1, 1]


class SetRole(Frozen):
    """Say what a piece is for: it changes how the piece is judged, not the piece."""

    act: Literal["set-role"] = "set-role"
    piece: int
    role: Role


class SetWear(Frozen):
    """Say what a piece has been through: new, fished, nicked, a wind knot in it."""

    act: Literal["set-wear"] = "set-wear"
    piece: int
    wear: Wear


class Split(Frozen):
    """Part a piece in two of the same strand."""

    act: Literal["split"] = "split"
    piece: int
    share: float = Field(default=0.5, ge=0.05, le=0.95)


class Merge(Frozen):
    """Make one piece of this and the next, of this one's strand."""

    act: Literal["merge"] = "merge"
    piece: int


class Insert(Frozen):
    """Put a new piece in at a joint, of the spool between its neighbours."""

    act: Literal["insert"] = "insert"
    joint: int


class Delete(Frozen):
    """Take a piece out."""

    act: Literal["delete"] = "delete"
    piece: int


class SetJoint(Frozen):
    """Tie a joint in another way."""

    act: Literal["set-joint"] = "set-joint"
    joint: int
    tied: Connection


Edit = Annotated[
    MoveJoint
    | NudgeJoint
    | SetLength
    | CutBack
    | UseStock
    | StepStock
    | SetRole
    | SetWear
    | Split
    | Merge
    | Insert
    | Delete
    | SetJoint
    | RigEdit,
    Field(discriminator="act"),
]
