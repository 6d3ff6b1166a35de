"""A figure that was measured: how far off it may be, and by how many readings."""

from pydantic import Field

from nine_knots.core.base.values import Frozen


class MeasuredSpread(Frozen):
    """The spread of a measured figure, as a share of it (one standard deviation), and how many
    readings it is of."""

    off: float = Field(gt=0.0, le=1.0)
    readings: int = Field(ge=1, le=1000)
