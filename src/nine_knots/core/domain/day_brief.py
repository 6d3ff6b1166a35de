"""What of a packed day is needed to read its log: stretches with their hours, rigs, where they were
expected to break."""

from pydantic import Field

from nine_knots.core.base.limits import Title
from nine_knots.core.base.values import Frozen, TupleOf


class BriefStop(Frozen):
    """A stretch of the day: its rig and fly, its hours in minutes, how deep it was expected (m)."""

    stretch_id: str = Field(max_length=40)
    title: Title
    rig: str = Field(max_length=80)
    fly: Title
    begins_min: int
    ends_min: int
    depth_m: float


class ExpectedBreak(Frozen):
    """A place at which a rig may break, as it is told at the water, and the chance that, where it
    breaks, it breaks there."""

    place: str = Field(max_length=40)
    chance: float = Field(ge=0.0, le=1.0)


class BriefRig(Frozen):
    """A rig of the day by its name in the pack."""

    key: str = Field(max_length=80)
    title: Title
    breaks: TupleOf[ExpectedBreak] = ()


class DayBrief(Frozen):
    """The day."""

    stops: TupleOf[BriefStop] = ()
    rigs: TupleOf[BriefRig] = ()

    def rig(self, key: str) -> BriefRig | None:
        """One of them by its name."""
        return next((brief_rig for brief_rig in self.rigs if brief_rig.key == key), None)

    def stop(self, stretch_id: str) -> BriefStop | None:
        """One of them by its stretch."""
        return next((stop for stop in self.stops if stop.stretch_id == stretch_id), None)
