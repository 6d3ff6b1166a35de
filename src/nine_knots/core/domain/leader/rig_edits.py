"""Changes to what hangs on a leader, as values: shot, indicator, marks, droppers, flies in line."""

from typing import Annotated, Literal

from pydantic import Field

from nine_knots.core.base.limits import LONGEST_LEADER_M
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.leader.attachments import AttachmentKind, ShotMetal
from nine_knots.core.domain.tackle import Fly

SaidLength = (
    Annotated[float, Field(gt=0, le=LONGEST_LEADER_M)] | Annotated[str, Field(max_length=60)]
)
"""A length in metres, or text as the angler typed it."""


class HangOn(Frozen):
    """Put something on the line, at a place up from the point fly or where it usually goes."""

    act: Literal["hang-on"] = "hang-on"
    kind: AttachmentKind
    above: SaidLength | None = None


class MoveThing(Frozen):
    """Slide something along the line, to a place in metres up from the point fly."""

    act: Literal["move-thing"] = "move-thing"
    thing: int
    above_m: float


class NudgeThing(Frozen):
    """Slide something by steps of the finest length shown; up the line is positive."""

    act: Literal["nudge-thing"] = "nudge-thing"
    thing: int
    steps: int = Field(ge=-1000, le=1000)


class SetThing(Frozen):
    """Give something on the line its place, size or metal, as the angler typed it."""

    act: Literal["set-thing"] = "set-thing"
    thing: int
    above: SaidLength | None = None
    size: str | None = Field(default=None, max_length=40)
    metal: ShotMetal | None = None


class StepThing(Frozen):
    """The next heavier shot or bigger indicator (+1), or the next smaller (-1)."""

    act: Literal["step-thing"] = "step-thing"
    thing: int
    by: Literal[-1, 1]


class TakeOff(Frozen):
    """Take something off the line."""

    act: Literal["take-off"] = "take-off"
    thing: int


class SetDropper(Frozen):
    """Tie a fly on a tag at a joint, or change the tag or the fly that is there."""

    act: Literal["set-dropper"] = "set-dropper"
    joint: int
    fly: Fly | None = None
    length: SaidLength | None = None
    tag: Literal["upper", "lower"] | None = None
    spool_id: str | None = Field(default=None, max_length=40)


class NudgeDropper(Frozen):
    """Lengthen (+) or shorten (-) a dropper's tag by steps of half an inch or a centimetre."""

    act: Literal["nudge-dropper"] = "nudge-dropper"
    joint: int
    steps: int = Field(ge=-100, le=100)


class ChangeFly(Frozen):
    """Cut a dropper's fly off and tie on again: the tag loses what a knot takes."""

    act: Literal["change-fly"] = "change-fly"
    joint: int


class RemoveDropper(Frozen):
    """Trim a dropper off."""

    act: Literal["remove-dropper"] = "remove-dropper"
    joint: int


class SetFlyInLine(Frozen):
    """Put a fly between two pieces, the lower one tied from its bend or its eye."""

    act: Literal["set-fly-in-line"] = "set-fly-in-line"
    joint: int
    fly: Fly
    tied_from: Literal["bend", "eye"] = "bend"


class RemoveFlyInLine(Frozen):
    """Join the two pieces as usual, without the fly between."""

    act: Literal["remove-fly-in-line"] = "remove-fly-in-line"
    joint: int


class AddFly(Frozen):
    """Tie on another fly: on a tag above those that are there, or in line behind the point."""

    act: Literal["add-fly"] = "add-fly"
    how: Literal["tag", "behind"] = "tag"


RigEdit = (
    HangOn
    | MoveThing
    | NudgeThing
    | SetThing
    | StepThing
    | TakeOff
    | SetDropper
    | NudgeDropper
    | ChangeFly
    | RemoveDropper
    | SetFlyInLine
    | RemoveFlyInLine
    | AddFly
)
