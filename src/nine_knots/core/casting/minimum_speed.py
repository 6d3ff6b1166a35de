"""The minimum launch speed that opens a leader, and the margin that a stroke has over it.

The leader's opening grows with the speed (``opening``); the minimum lies where it passes ``OPENS``,
between two speeds of a fixed row in proportion of their logarithms.
"""

from collections.abc import Callable
from dataclasses import dataclass
from math import ceil, floor, inf, log

from pydantic import Field

from nine_knots.core.base.values import Frozen
from nine_knots.core.casting.opening import (
    FAR_AIMS,
    OPENS,
    SPEED_STEP,
    Openings,
    speed_at,
    within,
)
from nine_knots.core.casting.rig import Rig
from nine_knots.core.casting.stroke import FASTEST_M_S, SLOWEST_M_S, Stroke
from nine_knots.core.mechanics.air import Air

FASTEST = ceil(log(FASTEST_M_S / SLOWEST_M_S) / log(SPEED_STEP))  # number of the fastest speed
MIDDLE_AIM = 4  # degrees: of single throws, the other aim where a high one is best so far
BETTER = 0.1  # of a leader's length, by which another aim must open it more to be taken
USUAL_M_S, USUAL_AIM = 9.0, 12  # that just open a usual leader in still air
LEAST_SLOPE = 0.1  # of opening by number of speed: less is hidden by how unlike throws are in wind
PLAINLY = 0.2  # of a leader's length, by which one throw opens it or not [by trial]
LIKE = 0.1  # of ln v, from another leader's minimum, within which a leader counts as like it
FAR_BEYOND = 1.2  # times a speed, from which a minimum by comparison is surely beyond it


class ComparisonThrows(Frozen):
    """A leader whose minimum launch speed is known, by whose throws a like leader's is found.

    The minimum, the speed around which few throws were made, their mean opening, and by how much
    the leader opens further from one speed of the row to the next; both of its length.
    """

    minimum_m_s: float = Field(ge=SLOWEST_M_S, le=FASTEST_M_S)
    thrown_m_s: float = Field(ge=SLOWEST_M_S, le=FASTEST_M_S)
    opening: float = Field(ge=-1.0, le=1.5)
    slope: float = Field(ge=LEAST_SLOPE, le=3.0)


@dataclass(frozen=True, slots=True)
class MinimumLaunchSpeed:
    """The minimum launch speed in m/s that opens a leader, at the aim in degrees that serves best.

    ``speed_m_s`` is None where no stroke opens it; ``compared`` serves ``rough_launch_speed``.
    """

    speed_m_s: float | None
    aim_deg: int
    compared: ComparisonThrows | None = None

    def margin(self, stroke: Stroke) -> float:
        """The stroke's speed over it; where none opens it, as if the fastest just failed."""
        return stroke.speed_m_s / (self.speed_m_s or SPEED_STEP * FASTEST_M_S)


USUAL = MinimumLaunchSpeed(USUAL_M_S, USUAL_AIM)


def minimum_launch_speed(
    rig: Rig, stroke: Stroke, air: Air, near: MinimumLaunchSpeed = USUAL
) -> MinimumLaunchSpeed:
    """The minimum for a rig thrown with the line and the loop of a stroke in this air.

    Where one begins (``near``, the answer for a like leader) changes how long it takes and not what
    comes out. Raises CannotCompute for rigs that make no loop.
    """
    openings = Openings(rig, stroke, air)
    search = _Search(openings, openings.best, near)
    if openings.calm and near is not USUAL:  # most often these are all that is needed
        openings.prepare(search.begin, *FAR_AIMS[:2])
    return search.found()


def rough_launch_speed(
    rig: Rig,
    stroke: Stroke,
    air: Air,
    near: MinimumLaunchSpeed,
    fastest_m_s: float = inf,
) -> MinimumLaunchSpeed:
    """About the minimum, by comparison with a like leader thrown at the aim that served it best.

    Most of the scatter from throw to throw is common to both, so that few throws tell (within some
    3 % in wind, docs/model.md): for what is shown while a joint is dragged, and for searches. Where
    nobody throws faster than ``fastest_m_s``, a minimum far beyond it is not sought any further.
    """
    openings, aim = Openings(rig, stroke, air), within(near.aim_deg)
    like = near.compared
    if like is not None:
        number = ceil(_number(like.thrown_m_s) - 1e-6)
        steps = (like.opening - openings.compared(number, aim)) / like.slope
        speed = min(FASTEST_M_S, like.minimum_m_s * SPEED_STEP**steps)
        if abs(steps * log(SPEED_STEP)) <= LIKE or speed >= FAR_BEYOND * fastest_m_s:
            return MinimumLaunchSpeed(speed, near.aim_deg, like)
    if openings.calm:
        return minimum_at_the_aim(rig, stroke, air, near)
    search = _Search(openings, lambda number: (openings.at_one_speed(number, aim), aim), near)
    begin = max(1, min(FASTEST, round(_number(near.speed_m_s or FASTEST_M_S))))
    openings.prepare_aims((begin - 1, begin), aim)
    return search.refined(begin)


def minimum_at_the_aim(
    rig: Rig, stroke: Stroke, air: Air, near: MinimumLaunchSpeed
) -> MinimumLaunchSpeed:
    """The minimum at the aim of another, whatever aim serves best: for what a small change does."""
    openings, aim = Openings(rig, stroke, air), within(near.aim_deg)
    search = _Search(openings, lambda number: (openings.at(number, aim), aim), near)
    if openings.calm:
        openings.prepare(search.begin, aim)
    return search.found()


def opens_at(speed_m_s: float, rig: Rig, stroke: Stroke, air: Air) -> bool:
    """Whether a rig opens at one launch speed: at no less than its minimum."""
    openings, number = Openings(rig, stroke, air), _number(speed_m_s)
    if openings.best(floor(number))[0] >= OPENS:
        return True
    if openings.best(floor(number) + 1)[0] < OPENS:
        return False
    return _opening(openings, number) >= OPENS


def opens_roughly_at(
    speed_m_s: float, rig: Rig, stroke: Stroke, air: Air, near: MinimumLaunchSpeed
) -> bool:
    """Whether few throws open it at one launch speed, at the aim that serves a like leader best; a
    single one where it tells plainly."""
    openings, number, aim = Openings(rig, stroke, air), round(_number(speed_m_s)), near.aim_deg
    once = openings.throws((number, within(aim)))[0]
    if abs(once - OPENS) < PLAINLY:
        return openings.compared(number, within(aim)) >= OPENS
    return once >= OPENS


def opening_at(speed_m_s: float, rig: Rig, stroke: Stroke, air: Air) -> float:
    """How far a rig opens at one launch speed, of its length, at the aim that serves best; between
    two speeds of the row in proportion."""
    return _opening(Openings(rig, stroke, air), _number(speed_m_s))


def _opening(openings: Openings, number: float) -> float:
    slower = floor(number)
    opening = openings.best(slower)[0]
    if number > slower:
        opening += (number - slower) * (openings.best(slower + 1)[0] - opening)
    return opening


def _number(speed_m_s: float) -> float:
    return log(speed_m_s / SLOWEST_M_S) / log(SPEED_STEP)


class _Search:
    """First single throws, ever further from where it begins, until one speed opens the leader and
    a slower one does not; then whole openings from there."""

    def __init__(
        self,
        openings: Openings,
        opening: Callable[[int], tuple[float, int]],
        near: MinimumLaunchSpeed,
    ) -> None:
        self._openings, self._opening = openings, opening
        self._aim = within(near.aim_deg)
        self.begin = min(FASTEST, max(0, ceil(_number(near.speed_m_s or FASTEST_M_S))))

    def found(self) -> MinimumLaunchSpeed:
        """The answer, whatever aim serves best at each speed."""
        return self.refined(self._roughly())

    def refined(self, high: int) -> MinimumLaunchSpeed:
        """The answer by whole openings, from a speed near it."""
        while high > 0 and self._opening(high - 1)[0] >= OPENS:
            high -= 1
        while self._opening(high)[0] < OPENS:
            if high == FASTEST:
                return MinimumLaunchSpeed(None, self._opening(high)[1])
            high += 1
        opening, aim = self._opening(high)
        if high == 0:
            return MinimumLaunchSpeed(speed_at(high), aim)
        less = self._opening(high - 1)[0]
        slower, faster = speed_at(high - 1), speed_at(high)
        minimum = slower * (faster / slower) ** ((OPENS - less) / (opening - less))
        compared = ComparisonThrows(
            minimum_m_s=minimum,
            thrown_m_s=faster,
            opening=self._openings.compared(high, aim),
            slope=max(LEAST_SLOPE, self._openings.slope(high, aim)),
        )
        return MinimumLaunchSpeed(minimum, aim, compared)

    def _roughly(self) -> int:
        """The number of the slowest speed that was tried at which a single throw opens it."""
        low, high, step = self.begin - 1, self.begin, 1
        while low >= 0 and self._opens_once(low):
            low, high, step = max(-1, low - step), low, 2 * step
        while high < FASTEST and not self._opens_once(high):
            low, high, step = high, min(FASTEST, high + step), 2 * step
        while high - low > 1:
            middle = (low + high) // 2
            low, high = (low, middle) if self._opens_once(middle) else (middle, high)
        return high

    def _opens_once(self, number: int) -> bool:
        """Whether a throw opens it, in wind one of two: at the aim that was best so far and another
        far off; the aim that does is the best from here on."""
        if self._openings.calm:
            return self._openings.throws((number, self._aim))[0] >= OPENS
        other = FAR_AIMS[0] if self._aim < MIDDLE_AIM else MIDDLE_AIM
        opened = self._openings.throws((number, self._aim), (number, other))
        if opened[1] > max(OPENS, opened[0] + BETTER):
            self._aim = other
        return max(opened) >= OPENS
