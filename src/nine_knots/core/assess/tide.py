"""The tide between high and low water: how high it stands, how hard it runs, which way.

Height goes as a cosine from one turn to the next, which the rule of twelfths steps after [P]; the
current is its slope, none at the turns and strongest half way. Wind, weather and the shape of a
shore move all of it: a table says when, the water says how much.
"""

from dataclasses import dataclass
from math import cos, pi, sin
from typing import Literal

HALF_MIN = 6 * 60.0 + 12.5  # from high to low water, where there are two tides a day [M]
SLACK = 0.3  # of the strongest current: less is slack water [G]
State = Literal["flood", "ebb", "high slack", "low slack"]


@dataclass(frozen=True, slots=True)
class Tide:
    """Which way it runs; its current over the strongest and its height over low water, both from
    0 to 1; minutes since the last turn and to the next."""

    state: State
    strength: float
    height: float
    since_min: float
    to_min: float


def tide_at(high_min: float, low_min: float, now_min: float) -> Tide:
    """The tide at a minute of the day, of one high and one low water (minutes of the day) of which
    the others follow.

    >>> tide = tide_at(360.0, 732.5, 546.25)  # half way from high to low water
    >>> tide.state, round(tide.strength, 6), round(tide.height, 6)
    ('ebb', 1.0, 0.5)
    """
    turns = sorted(
        (turn + shift * 2.0 * HALF_MIN, is_high)
        for turn, is_high in ((high_min, True), (low_min, False))
        for shift in range(-3, 4)
    )
    before = max(turn for turn in turns if turn[0] <= now_min)
    after = min(turn for turn in turns if turn[0] > now_min)
    falls = before[1]
    length = max(1.0, after[0] - before[0])
    along = (now_min - before[0]) / length
    strength = sin(pi * along)
    height = 0.5 * (1.0 + cos(pi * along)) if falls else 0.5 * (1.0 - cos(pi * along))
    state: State = "ebb" if falls else "flood"
    if strength < SLACK:
        near_high = falls if along < 0.5 else not falls
        state = "high slack" if near_high else "low slack"
    return Tide(state, strength, height, now_min - before[0], after[0] - now_min)
