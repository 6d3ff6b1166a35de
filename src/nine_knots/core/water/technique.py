"""What a way of fishing is: when it is used, how it lays a rig on the water and leads it."""

from abc import ABC, abstractmethod
from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from nine_knots.core.base.cached_field import cached_field
from nine_knots.core.base.score import Score
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.situation import WaterKind
from nine_knots.core.mechanics.floats import Float
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.mechanics.stepper import History
from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.mechanics.tree import Array
from nine_knots.core.water.question import WaterQuestion
from nine_knots.core.water.remedy_kinds import Tunes, What
from nine_knots.core.water.rig_in_water import RigInWater

Top = Literal["indicator", "fly", "line", "rod"]
"""What holds the upper end of the rig in the water."""

# Of the usual drift of a way, where boulders and broken water end it sooner [G].
DRIFT_BY_WATER: dict[WaterKind, float] = {"pocket water": 0.5, "riffle": 0.75}
SETTLED_SHARE = 0.25  # of a drift, at its end, over which it is taken as settled


class Technique(ABC):
    """A way of fishing: when it is used, how the rig is laid and led, how it is assessed, and what
    remedies it. One module of ``core.techniques``; its words are in ``words.techniques``.

    ``place`` is when it is asked whether it fits, smaller first; ``followed`` is False where the
    rig stays on the surface; ``drifts`` where its flies go with the stream, ``usual_drift_m`` far.
    ``remedies`` are tried where a score is wrong;
    ``at_the_water`` is what an angler changes there and then, a setting before a weight; ``tuned``
    has a least and a most. ``shorter_sinks`` where a shorter tippet brings the fly down,
    ``may_lie`` where it may lie on the bed, ``by_slack`` where a cast must be thrown first for its
    slack. ``other_schools`` build for other techniques, tried where this one cannot.
    """

    key: ClassVar[str]
    place: ClassVar[int]
    top: ClassVar[Top]
    remedies: ClassVar[tuple[What, ...]]
    followed: ClassVar[bool] = True
    drifts: ClassVar[bool] = False
    usual_drift_m: ClassVar[float] = 6.0
    at_the_water: ClassVar[tuple[What, ...]] = ("tippet length", "shot", "bead")
    tuned: ClassVar[tuple[Tunes, ...]] = ("bead",)
    shorter_sinks: ClassVar[bool] = False
    may_lie: ClassVar[bool] = False
    other_schools: ClassVar[tuple[str, ...]] = ()
    by_slack: ClassVar[bool] = False

    @abstractmethod
    def measures(self, design: Design, ask: WaterQuestion) -> Iterator[Score]:
        """Depth and drift, the cheaper first; CannotCompute where a model refuses."""

    @abstractmethod
    def fits(self, design: Design) -> bool:
        """Whether a design is fished this way, those of smaller ``place`` not fitting."""

    @abstractmethod
    def fish(self, design: Design, ask: WaterQuestion) -> "RigInStream":
        """A design laid on the water; CannotCompute where it is not followed."""

    def water_line_m(self, design: Design) -> float | None:
        """Where the surface is along the leader, in m from the line's tip; None where all of it
        lies on it or under it."""
        return None

    def drift_m(self, design: Design, ask: WaterQuestion) -> float:
        """How long a drift is before the next cast: the angler's, or as is usual for the way and
        the water."""
        by_water = DRIFT_BY_WATER.get(design.situation.water.kind, 1.0)
        return ask.drift_m or by_water * self.usual_drift_m

    def fishes_in(self, count: int, begins: int) -> slice:
        """The frames in which it fishes, of ``count``, where ``begins`` is that of ``begins_s``."""
        return slice(int((1.0 - SETTLED_SHARE) * count), count)

    def fishes_at_m(self, heights: Array, late: slice) -> float:
        """Where a fly fishes, of its heights above the bed in m by frame."""
        return float(heights[late].mean())


def lowest_fifth_m(heights: Array) -> float:
    """Where a fly fishes that is down for a while and swings up again."""
    return float(np.sort(heights)[: max(1, len(heights) // 5)].mean())


@dataclass(frozen=True)
class SettledDrift:
    """A drift that has settled: speed (m/s), places (n, 2) from below the top, the force on the
    top (N), what the bed carries (N), and whether it is clear of the bed."""

    speed_m_s: float
    places: Array
    top_n: tuple[float, float]
    floor_n: float
    clear: bool


@dataclass(frozen=True)
class RigInStream:
    """A rig in the stream, fished in its way: its history, and what a drift settles to.

    ``begins_s`` is when the strip or the swing begins, the end of the drift otherwise;
    ``drift_s`` how long a drift lasts.
    """

    technique: Technique
    rig: RigInWater
    stream: Stream
    fluid: Fluid
    follow: Callable[[], History]
    floats: Float | None
    settled: SettledDrift | None
    begins_s: float
    drift_s: float

    @cached_field
    def history(self) -> History:
        """The rig followed; only when it is asked for, since a search often need not know."""
        return self.follow()

    @property
    def late(self) -> slice:
        """The frames over which it fishes."""
        begins = int(self.begins_s / self.history.every_s)
        return self.technique.fishes_in(len(self.history.places), begins)
