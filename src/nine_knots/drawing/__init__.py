"""Knots drawn step by step from a description of strands and heights."""

from functools import cache

from nine_knots.core.domain.knots import KnotKey
from nine_knots.drawing.figure import Drawing, DrawnPiece, drawing_of
from nine_knots.drawing.knots import RECIPES


@cache
def knot_drawing(key: KnotKey) -> Drawing:
    """The drawing of a knot; the same each time."""
    return drawing_of(RECIPES[key])


__all__ = ["RECIPES", "Drawing", "DrawnPiece", "drawing_of", "knot_drawing"]
