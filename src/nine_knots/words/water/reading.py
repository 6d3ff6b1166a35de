"""What the Water stage shows: the section, the rig's movie, every fly, the cords, the facts."""

from dataclasses import dataclass

from nine_knots.core.base.quantity import Quantity
from nine_knots.core.water.question import FieldKey
from nine_knots.core.water.technique import Top
from nine_knots.words.facts import Fact
from nine_knots.words.ruler import Tick
from nine_knots.words.scores.reading import ScoreReading


@dataclass(frozen=True, slots=True)
class AlternativePath:
    """The point fly's way in another case: places (m) from below the top, z above the bed."""

    title: str
    path: tuple[tuple[float, float], ...]


@dataclass(frozen=True, slots=True)
class Flow:
    """The stream's speed at a height above the bed."""

    height_m: float
    speed_m_s: float
    text: str


@dataclass(frozen=True, slots=True)
class RigThread:
    """A part of the rig to draw: its piece (-1 the fly line), material and nodes from the top."""

    piece: int
    material: str
    sighter: bool
    dropper: bool
    nodes: tuple[int, ...]


@dataclass(frozen=True, slots=True)
class FlyReading:
    """One fly in words: where it fishes and when."""

    title: str
    node: int
    joint: int | None
    depth: Quantity
    share: str
    height: str
    zone: str
    carried: str


@dataclass(frozen=True, slots=True)
class ThingPlace:
    """A thing on the line and its node."""

    thing: int
    kind: str
    node: int


@dataclass(frozen=True, slots=True)
class WaterMovie:
    """The rig followed: frames (k, n, 2) in metres from below the top, z above the bed."""

    every_s: float
    frames: tuple[tuple[tuple[float, float], ...], ...]
    begins_s: float


@dataclass(frozen=True, slots=True)
class SlackLane:
    """A dry fly's slack being used up: share of it left at times in seconds."""

    slack: Quantity
    differs: str
    free_s: float | None
    left: tuple[tuple[float, float], ...]


@dataclass(frozen=True, slots=True)
class TypedField:
    """One figure of how it is fished, as it can be typed; ``hint`` is shown where it is empty."""

    key: FieldKey
    label: str
    text: str
    hint: str = ""


@dataclass(frozen=True, slots=True)
class WaterReading:
    """All that the Water stage and its two cords show.

    ``top`` is what holds the rig's upper end; ``followed`` whether the rig goes under, so that
    there is a depth table and something to tune.
    """

    technique: str
    words: str
    top: Top
    followed: bool
    fields: tuple[TypedField, ...]
    depth: Quantity
    zone_m: float
    flow: tuple[Flow, ...]
    depth_ticks: tuple[Tick, ...]
    movie: WaterMovie | None
    steady: tuple[tuple[float, float], ...] | None
    threads: tuple[RigThread, ...]
    flies: tuple[FlyReading, ...]
    things: tuple[ThingPlace, ...]
    asides: tuple[AlternativePath, ...]
    lane: SlackLane | None
    facts: tuple[Fact, ...]
    rules: tuple[Fact, ...]
    drift: ScoreReading
    depth_cord: ScoreReading
