"""Cords and facts: how a measure or a line of a reading shows where it stands."""

from dataclasses import dataclass
from math import exp
from typing import Literal

Status = Literal["too little", "right", "too much"]
BAND_LOW, BAND_HIGH = 0.3, 0.7
"""Where the wanted band lies on every cord, from 0 (far too little) to 1 (far too much)."""


@dataclass(frozen=True, slots=True)
class Band:
    """The wanted stretch of a cord."""

    low: float = BAND_LOW
    high: float = BAND_HIGH


@dataclass(frozen=True, slots=True)
class Score:
    """One cord of the verdict: ``position`` 0 to 1 on it, the figure, and why."""

    key: Literal["turnover", "drift", "depth", "match", "hold", "length"]
    title: str
    question: str
    status: Status
    marginal: bool
    position: float
    figure: str
    why: str
    band: Band = Band()


@dataclass(frozen=True, slots=True)
class Fact:
    """One line of what a reading means, and how it stands."""

    title: str
    text: str
    status: Status = "right"


def position_in_band(deviation: float) -> float:
    """Deviation, -1 and +1 at the thresholds of trouble, onto the cord; never off it."""
    edge = BAND_HIGH - 0.5
    inside = max(-1.0, min(1.0, deviation))
    beyond = abs(deviation) - 1.0
    if beyond <= 0.0:
        return 0.5 + edge * inside
    return 0.5 + inside * (edge + (0.47 - edge) * (1.0 - exp(-beyond)))
