"""How far a leader opens forward when it is thrown at a launch speed and an aim.

A throw's opening is the greatest part of the leader's chord along the cast, of its length, while
the line's tip is beyond half the line's length: a chord in any direction would count a leader that
a gale blows back. A caster holds neither speed nor aim closer than a step, so the opening counted
is the mean over three speeds, and in a head wind, where neighbouring aims open a leader unlike,
over three aims, around the aim that serves best.
"""

from functools import partial
from itertools import product

import numpy as np

from nine_knots.core.base.cancellation import check_cancelled
from nine_knots.core.base.concurrency import run_parallel
from nine_knots.core.casting.rig import Rig
from nine_knots.core.casting.stroke import FASTEST_M_S, SLOWEST_M_S, Stroke
from nine_knots.core.casting.throw import chain_of, launched, limits_of
from nine_knots.core.mechanics import flight
from nine_knots.core.mechanics.air import Air

OPENS = 0.65  # of a leader's length, the opening from which it counts as open (docs/model.md)
AIM_STEP = 2  # degrees that a caster holds an aim to [G]
SPEED_STEP = 1.05  # times, that a caster holds a speed to [G]
LOWEST_AIM, HIGHEST_AIM = -12, 14  # degrees of the aims that are thrown
CALM_STEP = 6  # degrees from one aim to the next in calm, where they open a leader alike
CALM_M_S = 1.5  # of wind in the face, below which one aim stands for its neighbours
FAR_AIMS = (12, 6, 0, -6)
# numbers of speeds and degrees of aim, from the middle ones, of the throws that two like leaders
# are compared by: those whose differences are least scattered for their cost [by trial]
COMPARED_IN_CALM = ((0, 0),)
COMPARED = ((-1, AIM_STEP), (1, -AIM_STEP))


def is_calm(air: Air) -> bool:
    """Whether one aim stands for its neighbours in this air."""
    return air.wind_m_s > -CALM_M_S and air.gust_m_s == 0.0


def speed_at(number: int) -> float:
    """The speed in m/s of a number on the row of speeds that are thrown."""
    return min(FASTEST_M_S, SLOWEST_M_S * SPEED_STEP**number)


class Openings:
    """The openings of a rig by launch speed, a number on the row, and aim, in degrees, in one air.
    Nothing is thrown twice."""

    def __init__(self, rig: Rig, stroke: Stroke, air: Air) -> None:
        self._rig, self._stroke, self._air = rig, stroke, air
        self._chain = chain_of(rig, stroke)
        self.calm = is_calm(air)
        self._aims = (0,) if self.calm else (-AIM_STEP, 0, AIM_STEP)
        self._thrown: dict[tuple[int, int], float] = {}
        self._best: dict[int, tuple[float, int]] = {}

    def best(self, number: int) -> tuple[float, int]:
        """The greatest opening at a speed, and its aim: climbed to from the highest aim in calm, in
        wind from the one that serves best of some that lie far apart."""
        if number not in self._best:
            self._best[number] = self._climbed(number)
        return self._best[number]

    def _climbed(self, number: int) -> tuple[float, int]:
        aim, step = FAR_AIMS[0], CALM_STEP if self.calm else AIM_STEP
        if not self.calm:
            once = self.throws(*((number, far) for far in FAR_AIMS))
            aim = FAR_AIMS[once.index(max(once))]
        found = self.at(number, aim)
        for way in (step, -step):
            climbed = False
            while within(aim + way) == aim + way:
                beyond = self.at(number, aim + way)
                if beyond <= found:
                    break
                found, aim, climbed = beyond, aim + way, True
            if climbed:
                break
        return found, aim

    def prepare(self, number: int, *aims: int) -> None:
        """Throw side by side what tells at these aims, in calm, whether a speed opens it and the
        one below does not."""
        self.throws(*product(range(number - 2, number + 2), aims))

    def prepare_aims(self, numbers: tuple[int, ...], aim_deg: int) -> None:
        """Throw side by side what tells how far it opens at these speeds around one aim."""
        self.throws(*product(numbers, self._around(aim_deg)))

    def at_one_speed(self, number: int, aim_deg: int) -> float:
        """The opening around an aim at one speed alone: quicker than ``at`` and less steady."""
        return float(np.mean(self.throws(*product((number,), self._around(aim_deg)))))

    def at(self, number: int, aim_deg: int) -> float:
        """The opening at a speed and an aim: the mean of throws around them."""
        around = product((number - 1, number, number + 1), self._around(aim_deg))
        return float(np.mean(self.throws(*around)))

    def compared(self, number: int, aim_deg: int) -> float:
        """The mean opening of the few throws around a speed and an aim by which a leader is
        compared with one like it."""
        offsets = COMPARED_IN_CALM if self.calm else COMPARED
        return float(np.mean(self.throws(*((number + n, aim_deg + a) for n, a in offsets))))

    def slope(self, number: int, aim_deg: int) -> float:
        """By how much it opens further from one speed to the next, at one aim: over three speeds
        where these were thrown, else over two."""
        faster, slower = (
            [(number + step, aim) for aim in self._around(aim_deg)] for step in (1, -1)
        )
        steps = 2 if all(at in self._thrown for at in faster) else 1
        faster = faster if steps == 2 else [(number, aim) for _, aim in faster]
        return float(np.mean(self.throws(*faster)) - np.mean(self.throws(*slower))) / steps

    def _around(self, aim_deg: int) -> tuple[int, ...]:
        return tuple(aim_deg + off for off in self._aims)

    def throws(self, *at: tuple[int, int]) -> list[float]:
        """The openings of single throws, each at the number of a speed and an aim."""
        new = [each for each in at if each not in self._thrown]
        opened = run_parallel([partial(self._throw, *each) for each in new])
        self._thrown.update(zip(new, opened, strict=True))
        return [self._thrown[each] for each in at]

    def _throw(self, number: int, aim_deg: int) -> float:
        """One throw, which ends once its opening is known. What the model cannot follow counts as
        not opening."""
        check_cancelled()
        thrown = self._stroke.model_copy(update={"speed_m_s": speed_at(number)})
        place, speed = launched(self._rig, thrown, aim_deg)
        flown = flight.FlightRecord(
            np.zeros((0, self._rig.mass.size, 2)), np.zeros(self._rig.rest.size)
        )
        limits = limits_of(self._rig, flight.OPENING_KNOWN)
        return float(
            flight.fly(self._chain, place, speed, self._air, limits, flown)[flight.FORWARD]
        )


def within(aim_deg: float) -> int:
    """The nearest middle aim of three that are thrown."""
    even = AIM_STEP * round(aim_deg / AIM_STEP)
    return min(HIGHEST_AIM - AIM_STEP, max(LOWEST_AIM + AIM_STEP, even))
