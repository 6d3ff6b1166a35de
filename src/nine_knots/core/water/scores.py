"""The drift and depth cords, from how they stand, how far off, and two texts."""

from typing import NamedTuple

from nine_knots.core.base.score import Score, Status, position_in_band

DEPTH_ASKS = "Does it fish where the fish are?"


class WaterScore(NamedTuple):
    """Where a measure stands, how far off it is (±1 at trouble), its figure, and why."""

    status: Status
    deviation: float
    figure: str
    why: str


def drift_score(question: str, found: WaterScore, marginal: bool = False) -> Score:
    """The drift cord; ``marginal`` where it is right, and only just."""
    return Score(
        key="drift",
        title="Drift",
        question=question,
        status=found.status,
        marginal=marginal and found.status == "right",
        position=position_in_band(found.deviation),
        figure=found.figure,
        why=found.why,
    )


def depth_score(found: WaterScore, question: str = DEPTH_ASKS) -> Score:
    """The depth cord."""
    return Score(
        key="depth",
        title="Depth",
        question=question,
        status=found.status,
        marginal=False,
        position=position_in_band(found.deviation),
        figure=found.figure,
        why=found.why,
    )
