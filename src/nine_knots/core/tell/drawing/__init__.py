"""Knots drawn step by step from a description of strands and heights."""

from functools import cache

from nine_knots.core.tell.drawing.figure import Drawing, DrawnPiece, drawing_of
from nine_knots.core.tell.drawing.knots import RECIPES
from nine_knots.core.trade.knots import KnotKey


@cache
def knot_drawing(key: KnotKey) -> Drawing:
    """The drawing of a knot; the same each time."""
    return drawing_of(RECIPES[key])


__all__ = ["RECIPES", "Drawing", "DrawnPiece", "drawing_of", "knot_drawing"]
