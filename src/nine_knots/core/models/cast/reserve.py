"""The least launch speed that opens a leader, and the reserve that a stroke has over it.

A leader counts as open when the part of its chord along the cast passes four fifths of its length
with the line's tip beyond half the line's: a chord in any direction would count a leader that a
gale blows back. The least speed is that at whatever aim serves best, for in a wind that is another
aim than the one that lays a leader down well.
"""

from dataclasses import dataclass
from math import asin, ceil, degrees, log

from nine_knots.core.models.cast.casting import forward_of, prepared
from nine_knots.core.models.cast.rig import Rig
from nine_knots.core.models.cast.stroke import (
    FASTEST_M_S,
    LOWER_LEG_M,
    ROD_TIP_M,
    SLOWEST_M_S,
    Stroke,
)
from nine_knots.core.physics.air import Air
from nine_knots.core.physics.chain import Chain
from nine_knots.core.physics.flight import OPEN

RATIO = 1.025  # from one speed that is tried to the next: as fine as the answer is
HALVINGS = 3  # of that, where changes are small
GREATEST = ceil(log(FASTEST_M_S / SLOWEST_M_S) / log(RATIO))  # number of the fastest speed
USUAL_M_S = 9.0  # that just opens a usual leader, to begin with
USUAL_AIM = 14.0  # degrees that serve best in still air
AIM_STEP = 3.0
LOWEST_AIM = -8.0
STEEPEST_AIM = 24.0
CLEAR_M = 0.05  # of the water, that the fly must be where it begins


@dataclass(frozen=True, slots=True)
class Least:
    """The least launch speed that opens a leader, in m/s, at the aim in degrees that serves best.

    ``speed_m_s`` is None where no stroke opens it.
    """

    speed_m_s: float | None
    aim_deg: float

    def reserve(self, stroke: Stroke) -> float:
        """The stroke's speed over the least; as if the fastest just failed where none opens it."""
        return stroke.speed_m_s / (self.speed_m_s or RATIO * FASTEST_M_S)


USUAL = Least(USUAL_M_S, USUAL_AIM)


def least_speed(rig: Rig, stroke: Stroke, air: Air, near: Least = USUAL) -> Least:
    """The least speed for a rig thrown with the line and the loop of a stroke in this air.

    Found on a fixed row of speeds, so that where one begins (``near``, the answer for a like
    leader) changes how long it takes and hardly what comes out. Raises CannotCompute for rigs that
    make no loop.
    """
    return Seeking(rig, stroke, air, near).found()


def finely(found: Least, rig: Rig, stroke: Stroke, air: Air) -> Least:
    """A least speed to a third of a hundredth, at the aim that was found to serve best: for
    changes so small that the row of speeds would not show them."""
    if found.speed_m_s is None:
        return found
    chain = prepared(rig, stroke)
    low, high = found.speed_m_s / RATIO, found.speed_m_s
    for _ in range(HALVINGS):
        middle = (low * high) ** 0.5
        thrown = stroke.model_copy(update={"speed_m_s": middle})
        opens = forward_of(rig, chain, thrown, air, found.aim_deg) >= OPEN
        low, high = (low, middle) if opens else (middle, high)
    return Least(high, found.aim_deg)


def opens_at(speed_m_s: float, rig: Rig, stroke: Stroke, air: Air, near: Least = USUAL) -> bool:
    """Whether a rig opens at one launch speed, at whatever aim serves best."""
    return forward_at(speed_m_s, rig, stroke, air, near)[0] >= OPEN


def forward_at(
    speed_m_s: float, rig: Rig, stroke: Stroke, air: Air, near: Least = USUAL
) -> tuple[float, float]:
    """How far a rig opens forward at one launch speed, of its length, and the aim in degrees that
    serves best; from ``OPEN`` on it opens, and what is beyond is not told."""
    seeking = Seeking(rig, stroke, air, near)
    return seeking.forward(_number(speed_m_s)), seeking.aim


def _number(speed_m_s: float) -> int:
    """The number of the speed nearest to one."""
    return min(GREATEST, max(0, round(log(speed_m_s / SLOWEST_M_S) / log(RATIO))))


def _speed(number: int) -> float:
    return SLOWEST_M_S * float(RATIO**number)


class Seeking:
    """The least speed for a rig as it is sought: throws at numbered speeds, from what was found for
    a like leader and then from the aim that was best before. No throw is thrown twice."""

    def __init__(self, rig: Rig, stroke: Stroke, air: Air, near: Least) -> None:
        self._rig, self._stroke, self._air = rig, stroke, air
        self._chain: Chain = prepared(rig, stroke)
        back_m = rig.length_m - LOWER_LEG_M - stroke.loop_m
        rise = (ROD_TIP_M + stroke.loop_m - CLEAR_M) / max(back_m, 1e-3)
        self._top = min(STEEPEST_AIM, degrees(asin(min(1.0, rise))) - 1.0)
        self._thrown: dict[tuple[int, float], float] = {}
        self._begin = _number(near.speed_m_s or FASTEST_M_S)
        self.aim = self._within(near.aim_deg)
        self._opened_at = self.aim

    def as_before(self) -> Least | None:
        """The answer for the like leader, where at its aim it is this one's as well: no other aim
        is looked at, which takes half of the throws that ``found`` takes to say the same."""
        if self._throw(self._begin, self.aim) < OPEN:
            return None
        if self._begin > 0 and self._throw(self._begin - 1, self.aim) >= OPEN:
            return None
        return self._at(self._begin)

    def found(self) -> Least:
        """The answer, whatever aim serves best."""
        low, high, step = self._begin - 1, self._begin, 1
        if self._opens(high):
            while low >= 0 and self._opens(low):
                step *= 2
                low, high = low - step, low
        else:
            low, high = high, high + 1
            while not self._opens(min(high, GREATEST)):
                if high >= GREATEST:
                    return Least(None, self.aim)
                step *= 2
                low, high = high, high + step
            high = min(high, GREATEST)
        while high - low > 1:
            middle = (low + high) // 2
            low, high = (low, middle) if self._opens(middle) else (middle, high)
        return self._at(high)

    def _at(self, number: int) -> Least:
        return Least(min(FASTEST_M_S, _speed(number)), self._opened_at)

    def _within(self, aim: float) -> float:
        return min(self._top, max(LOWEST_AIM, aim))

    def _opens(self, number: int) -> bool:
        """Whether it opens at a speed."""
        return self.forward(number) >= OPEN

    def forward(self, number: int) -> float:
        """How far it opens at a speed: at the best aim so far, or climbing from it to a better."""
        best = self._throw(number, self.aim)
        usual = self._within(USUAL_AIM)
        if best == 0.0 and abs(self.aim - usual) > AIM_STEP:  # no slope to climb from here
            self.aim, best = usual, self._throw(number, usual)
        for way in (AIM_STEP, -AIM_STEP):
            climbed = False
            while best < OPEN:
                aim = self._within(self.aim + way)
                found = self._throw(number, aim) if aim != self.aim else 0.0
                if found <= best:
                    break
                best, self.aim, climbed = found, aim, True
            if climbed:
                break
        if best >= OPEN:
            self._opened_at = self.aim
        return best

    def _throw(self, number: int, aim: float) -> float:
        if (number, aim) not in self._thrown:
            stroke = self._stroke.model_copy(update={"speed_m_s": min(FASTEST_M_S, _speed(number))})
            opens = forward_of(self._rig, self._chain, stroke, self._air, aim)
            self._thrown[number, aim] = opens
        return self._thrown[number, aim]
