"""The cheapest set of things to buy with which every day has a leader that serves it.

One choice is taken for each day, and a thing is bought once for all the choices that want it: a
set-covering problem in zeros and ones, solved exactly by a general-purpose solver (HiGHS, through
scipy). Between sets that cost the same the leaders that are nearer the middle of their bands win.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np
import scipy

from nine_knots.core.base.errors import CannotCompute

USUAL_PRICE = 1.0
A_HAIR = 1e-4  # of a usual price, for the worst leader beside the best


@dataclass(frozen=True, slots=True)
class DayChoice:
    """A school that serves a day, what has to be bought for it, and how far it is off the middle
    of its bands."""

    key: str
    buys: tuple[str, ...]
    off: float


def cheapest(
    days: Sequence[Sequence[DayChoice]], prices: Mapping[str, float]
) -> tuple[tuple[DayChoice, ...], tuple[str, ...]]:
    """The choice for each day, and all there is to buy; what has no price counts as one.

    Every day needs a choice; CannotCompute where one has none.
    """
    if not all(days):
        raise CannotCompute("A day has no suitable leader.", where="days")
    flat = [(number, choice) for number, choices in enumerate(days) for choice in choices]
    things = list(dict.fromkeys(thing for _, choice in flat for thing in choice.buys))
    worst = max(choice.off for _, choice in flat) or 1.0
    costs = np.array(
        [A_HAIR * choice.off / worst for _, choice in flat]
        + [max(0.0, prices.get(thing, USUAL_PRICE)) for thing in things]
    )
    rows, low, high = [], [], []
    for number in range(len(days)):
        rows.append([float(day == number) for day, _ in flat] + [0.0] * len(things))
        low.append(1.0)
        high.append(1.0)
    for at, (_, choice) in enumerate(flat):
        for thing in choice.buys:  # taken only with what it wants
            row = [0.0] * len(costs)
            row[at], row[len(flat) + things.index(thing)] = -1.0, 1.0
            rows.append(row)
            low.append(0.0)
            high.append(1.0)
    solved = scipy.optimize.milp(
        costs,
        constraints=scipy.optimize.LinearConstraint(np.array(rows), low, high),
        integrality=np.ones(len(costs), dtype=np.int64),
        bounds=scipy.optimize.Bounds(0.0, 1.0),
    )
    if solved.x is None:
        raise CannotCompute("No set of purchases covers these days.", where="days")
    taken = [choice for value, (_, choice) in zip(solved.x, flat, strict=False) if value > 0.5]
    wanted = {thing for choice in taken for thing in choice.buys}
    return tuple(taken), tuple(thing for thing in things if thing in wanted)
