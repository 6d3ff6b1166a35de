"""The fewest leaders and changes with which a day's stretches are all fished.

One way of fishing is taken on each stretch, in their order. What has to be tied counts once however
often it is fished; from one stretch to the next a change counts by how long the hands are busy with
it. That is a shortest path whose roads share tolls, solved exactly as a linear programme in zeros
and ones (HiGHS, through scipy): between ways that cost the same the one nearer to the middle of its
bands is taken.
"""

from collections.abc import Sequence, Set
from dataclasses import dataclass
from itertools import pairwise

import numpy as np
import scipy

from nine_knots.core.base.errors import CannotCompute

TIE_UPPER, TIE_LOWER, CARRY_OUTFIT = 1.0, 0.4, 0.3
"""What a leader (or all above its ring), a lower rig and a second rod cost [G]."""
OTHER_OUTFIT, OTHER_UPPER, OTHER_LOWER, OTHER_FLY, OTHER_SETTING = 0.8, 0.5, 0.25, 0.1, 0.05
"""What a change from one stretch to the next costs [G]: their order is the trade's."""
NEARER = 0.1  # of what a leader costs, a cord's length off the middle of its band [G]


@dataclass(frozen=True, slots=True)
class Option:
    """A way to fish a stretch: what is above the ring and below it, the fly, the outfit, how it is
    set, by names that are alike where the things are; and how far it is off its bands' middle."""

    upper: str
    lower: str
    fly: str
    outfit: str
    setting: str
    off: float


@dataclass(frozen=True, slots=True)
class Cover:
    """The way taken on each stretch, by its number among those that it had; what has to be tied;
    and how many changes of each kind come on the way."""

    ways: tuple[int, ...]
    uppers: tuple[str, ...]
    lowers: tuple[str, ...]
    outfits: int
    changes: tuple[str, ...]
    cost: float


def least_cover(stops: Sequence[Sequence[Option]], tied: Set[str] = frozenset()) -> Cover:
    """The way for each stretch with which least is tied and changed; ``tied`` names uppers and
    lowers that are ready. CannotCompute where a stretch has none."""
    if not all(stops):
        raise CannotCompute("A stretch has no suitable leader.", where="stops")
    programme = _Programme(stops, tied)
    taken = programme.solved()
    path = [stops[at][way] for at, way in enumerate(taken)]
    return Cover(
        ways=taken,
        uppers=tuple(dict.fromkeys(way.upper for way in path)),
        lowers=tuple(dict.fromkeys(way.lower for way in path if way.lower)),
        outfits=len({way.outfit for way in path}),
        changes=tuple(change_between(item, other)[0] for item, other in pairwise(path)),
        cost=cost_of(path, tied),
    )


def change_between(option: Option, other: Option) -> tuple[str, float]:
    """What is changed from one way to the other, the greatest by name; and what all of it costs."""
    if option.outfit != other.outfit:
        return "outfit", OTHER_OUTFIT
    cost, name = 0.0, ""
    for differs, what, costs in (
        (option.upper != other.upper, "leader", OTHER_UPPER),
        (option.upper == other.upper and option.lower != other.lower, "lower rig", OTHER_LOWER),
        (option.fly != other.fly, "fly", OTHER_FLY),
        (option.setting != other.setting and option.upper == other.upper, "setting", OTHER_SETTING),
    ):
        if differs:
            name, cost = name or what, cost + costs
    return name, cost


def cost_of(path: Sequence[Option], tied: Set[str] = frozenset()) -> float:
    """What a row of ways costs."""
    uppers = {way.upper for way in path} - tied
    lowers = {way.lower for way in path if way.lower} - tied
    return (
        TIE_UPPER * len(uppers)
        + TIE_LOWER * len(lowers)
        + CARRY_OUTFIT * len({way.outfit for way in path})
        + NEARER * sum(way.off for way in path)
        + sum(change_between(item, other)[1] for item, other in pairwise(path))
    )


class _Programme:
    """Its columns: for each stretch and way whether it is taken, for each pair of ways of
    neighbouring stretches whether one follows the other, for each thing whether it is needed."""

    def __init__(self, stops: Sequence[Sequence[Option]], tied: Set[str]) -> None:
        self.stops = stops
        self.costs: list[float] = []
        self.rows: list[tuple[int, int, float]] = []
        self.low: list[float] = []
        self.high: list[float] = []
        self.first = [self._column_of(stop) for stop in stops]
        self._follow()
        self._need(tied)

    def solved(self) -> tuple[int, ...]:
        """The number of the way on each stretch."""
        at, column, value = (np.array(part) for part in zip(*self.rows, strict=True))
        matrix = scipy.sparse.coo_array(
            (value, (at, column)), shape=(len(self.low), len(self.costs))
        )
        solved = scipy.optimize.milp(
            np.array(self.costs),
            constraints=scipy.optimize.LinearConstraint(matrix.tocsr(), self.low, self.high),
            integrality=np.ones(len(self.costs), dtype=np.int64),
            bounds=scipy.optimize.Bounds(0.0, 1.0),
        )
        if solved.x is None:
            raise CannotCompute("No set of leaders covers these stretches.", where="stops")
        return tuple(
            int(np.argmax(solved.x[first : first + len(stop)]))
            for first, stop in zip(self.first, self.stops, strict=True)
        )

    def _column(self, cost: float) -> int:
        self.costs.append(cost)
        return len(self.costs) - 1

    def _row(self, entries: list[tuple[int, float]], low: float, high: float) -> None:
        number = len(self.low)
        self.rows += [(number, column, value) for column, value in entries]
        self.low.append(low)
        self.high.append(high)

    def _column_of(self, stop: Sequence[Option]) -> int:
        columns = [self._column(NEARER * way.off) for way in stop]
        self._row([(column, 1.0) for column in columns], 1.0, 1.0)
        return columns[0]

    def _follow(self) -> None:
        for number, (before, after) in enumerate(pairwise(self.stops)):
            here, there = self.first[number], self.first[number + 1]
            roads = {
                (i, j): self._column(change_between(item, other)[1])
                for i, item in enumerate(before)
                for j, other in enumerate(after)
            }
            for i in range(len(before)):
                out = [(roads[i, j], 1.0) for j in range(len(after))]
                self._row([*out, (here + i, -1.0)], 0.0, 0.0)
            for j in range(len(after)):
                into = [(roads[i, j], 1.0) for i in range(len(before))]
                self._row([*into, (there + j, -1.0)], 0.0, 0.0)

    def _need(self, tied: Set[str]) -> None:
        needed: dict[tuple[str, str], int] = {}
        for first, stop in zip(self.first, self.stops, strict=True):
            for number, way in enumerate(stop):
                things = (
                    ("upper", way.upper, 0.0 if way.upper in tied else TIE_UPPER),
                    ("lower", way.lower, 0.0 if way.lower in tied else TIE_LOWER),
                    ("outfit", way.outfit, CARRY_OUTFIT),
                )
                for what, name, cost in things:
                    if not name or not cost:
                        continue
                    if (what, name) not in needed:
                        needed[what, name] = self._column(cost)
                    self._row([(needed[what, name], 1.0), (first + number, -1.0)], 0.0, 1.0)
