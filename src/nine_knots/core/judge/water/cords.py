"""The drift and depth cords, from how they stand, how far off, and two texts."""

from typing import NamedTuple

from nine_knots.core.base.measure import Measure, Standing, on_the_cord

DEPTH_ASKS = "Does it fish where the fish are?"


class Reckoned(NamedTuple):
    """Where a measure stands, how far off it is (±1 at trouble), its figure, and why."""

    standing: Standing
    deviation: float
    figure: str
    why: str


def drift_cord(asks: str, found: Reckoned, marginal: bool = False) -> Measure:
    """The drift cord; ``marginal`` where it is right, and only just."""
    return Measure(
        key="drift",
        title="Drift",
        asks=asks,
        standing=found.standing,
        marginal=marginal and found.standing == "right",
        position=on_the_cord(found.deviation),
        figure=found.figure,
        why=found.why,
    )


def depth_cord(found: Reckoned, asks: str = DEPTH_ASKS) -> Measure:
    """The depth cord."""
    return Measure(
        key="depth",
        title="Depth",
        asks=asks,
        standing=found.standing,
        marginal=False,
        position=on_the_cord(found.deviation),
        figure=found.figure,
        why=found.why,
    )
