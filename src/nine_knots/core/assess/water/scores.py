"""The drift and depth cords, from how they stand, how far off, and two texts."""

from typing import NamedTuple

from nine_knots.core.base.score import Score, Standing, position_in_band

DEPTH_ASKS = "Does it fish where the fish are?"


class WaterScore(NamedTuple):
    """Where a measure stands, how far off it is (±1 at trouble), its figure, and why."""

    standing: Standing
    deviation: float
    figure: str
    why: str


def drift_score(asks: str, found: WaterScore, marginal: bool = False) -> Score:
    """The drift cord; ``marginal`` where it is right, and only just."""
    return Score(
        key="drift",
        title="Drift",
        asks=asks,
        standing=found.standing,
        marginal=marginal and found.standing == "right",
        position=position_in_band(found.deviation),
        figure=found.figure,
        why=found.why,
    )


def depth_score(found: WaterScore, asks: str = DEPTH_ASKS) -> Score:
    """The depth cord."""
    return Score(
        key="depth",
        title="Depth",
        asks=asks,
        standing=found.standing,
        marginal=False,
        position=position_in_band(found.deviation),
        figure=found.figure,
        why=found.why,
    )
