"""Scores: where a measure stands, why, and by which numbers; no words."""

from dataclasses import dataclass
from enum import Enum
from math import exp
from typing import Literal

Status = Literal["too little", "right", "too much"]
ScoreKey = Literal["turnover", "drift", "depth", "match", "hold", "length"]
BAND_LOW, BAND_HIGH = 0.3, 0.7
"""Where the wanted band lies on every scale, from 0 (far too little) to 1 (far too much)."""


class Reason(Enum):
    """Why a measure stands as it does: a code, and the status that goes with it.

    A status is always that of its reason, so that no score can say one thing and mean another.
    """

    def __init__(self, code: str, status: Status) -> None:
        self.code, self.status = code, status


@dataclass(frozen=True, slots=True)
class Finding:
    """A reason; each measure adds the numbers that its words need, in SI."""

    reason: Reason


@dataclass(frozen=True, slots=True)
class Band:
    """The wanted stretch of a scale."""

    low: float = BAND_LOW
    high: float = BAND_HIGH


@dataclass(frozen=True, slots=True)
class Score:
    """One measure of the assessment: what was found, and its ``position`` from 0 to 1 on the
    scale; ``marginal`` where it is right, and only just."""

    key: ScoreKey
    finding: Finding
    position: float
    marginal: bool = False

    @property
    def status(self) -> Status:
        """That of its reason."""
        return self.finding.reason.status


def position_in_band(deviation: float) -> float:
    """Deviation, -1 and +1 at the thresholds of trouble, onto the scale; never off it."""
    edge = BAND_HIGH - 0.5
    inside = max(-1.0, min(1.0, deviation))
    beyond = abs(deviation) - 1.0
    if beyond <= 0.0:
        return 0.5 + edge * inside
    return 0.5 + inside * (edge + (0.47 - edge) * (1.0 - exp(-beyond)))
