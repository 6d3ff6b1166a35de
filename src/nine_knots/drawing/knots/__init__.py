"""The knots as figures."""

from nine_knots.drawing.knots.eyes import EYES
from nine_knots.drawing.knots.joins import JOINS
from nine_knots.drawing.knots.loops import LOOPS
from nine_knots.drawing.knots.wraps import WRAPS

RECIPES = {**JOINS, **EYES, **LOOPS, **WRAPS}

__all__ = ["RECIPES"]
