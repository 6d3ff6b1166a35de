"""One thing changed of a rig or of how it is fished, as data: what it was and what it becomes."""

from dataclasses import dataclass
from typing import Literal

from nine_knots.core.casting.stroke import SpeedWord
from nine_knots.core.domain.leader import Connection

Part = Literal["butt", "tippet", "mono"] | int
"""A part of a leader as it is spoken of: by its role, or by its piece's number from 0."""


@dataclass(frozen=True, slots=True)
class Lengthened:
    """A part made longer or shorter, in metres."""

    part: Part
    old_m: float
    new_m: float


@dataclass(frozen=True, slots=True)
class Respooled:
    """A part of another spool, by its diameter in metres."""

    part: Part
    old_m: float
    new_m: float


@dataclass(frozen=True, slots=True)
class IndicatorMoved:
    """The indicator set elsewhere, in metres above the end."""

    old_m: float
    new_m: float


@dataclass(frozen=True, slots=True)
class ShotChanged:
    """The lowest shot of another size, by its name and grams; ``old_kg`` None where none hung."""

    old_kg: float | None
    name: str
    grams: float


@dataclass(frozen=True, slots=True)
class ShotRemoved:
    """The lowest shot taken off."""


@dataclass(frozen=True, slots=True)
class BeadChanged:
    """The point fly tied on another bead, in mm; 0 for none."""

    old_mm: float
    new_mm: float


@dataclass(frozen=True, slots=True)
class FlyRemoved:
    """A fly above the point taken off."""

    title: str


@dataclass(frozen=True, slots=True)
class Degreased:
    """The last of the tippet freed of grease, in metres."""

    bare_m: float


@dataclass(frozen=True, slots=True)
class CountedDown:
    """The line counted down for longer or for less, in seconds."""

    old_s: float
    new_s: float


@dataclass(frozen=True, slots=True)
class LineOut:
    """More or less out beyond the rod's tip, in metres."""

    old_m: float
    new_m: float


@dataclass(frozen=True, slots=True)
class Led:
    """Led at another share of the surface's speed."""

    old: float
    new: float


@dataclass(frozen=True, slots=True)
class OtherSchool:
    """Built by another school; by its own anew where ``rebuilt_m`` gives its length in metres."""

    title: str
    rebuilt_m: float | None = None


@dataclass(frozen=True, slots=True)
class FlySwapped:
    """Another fly at the point."""

    title: str


@dataclass(frozen=True, slots=True)
class SinkTipAdded:
    """A sinking tip of a class, so many metres long, on a floating line."""

    sinking: str
    length_m: float


@dataclass(frozen=True, slots=True)
class OtherStroke:
    """Thrown by another stroke of the angler's."""

    word: SpeedWord


@dataclass(frozen=True, slots=True)
class StopAndDrop:
    """Thrown with a stop and drop."""


@dataclass(frozen=True, slots=True)
class OtherConnection:
    """A joint, by its number, tied otherwise."""

    connection: Connection
    joint: int


@dataclass(frozen=True, slots=True)
class SchoolTippet:
    """The school's leader to a tippet so thick, in metres."""

    stouter: bool
    across_m: float


@dataclass(frozen=True, slots=True)
class SchoolLength:
    """The school's leader so long, in metres."""

    length_m: float


@dataclass(frozen=True, slots=True)
class StifferButt:
    """The school's leader with a stiffer butt."""


@dataclass(frozen=True, slots=True)
class Both:
    """Two changes that serve together; of one part, or of two things."""

    first: "Adjustment"
    second: "Adjustment"


Adjustment = (
    Lengthened
    | Respooled
    | IndicatorMoved
    | ShotChanged
    | ShotRemoved
    | BeadChanged
    | FlyRemoved
    | Degreased
    | CountedDown
    | LineOut
    | Led
    | OtherSchool
    | FlySwapped
    | SinkTipAdded
    | OtherStroke
    | StopAndDrop
    | OtherConnection
    | SchoolTippet
    | SchoolLength
    | StifferButt
    | Both
)
