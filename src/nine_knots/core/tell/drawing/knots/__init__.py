"""The knots as figures."""

from nine_knots.core.tell.drawing.knots.eyes import EYES
from nine_knots.core.tell.drawing.knots.joins import JOINS
from nine_knots.core.tell.drawing.knots.loops import LOOPS
from nine_knots.core.tell.drawing.knots.wraps import WRAPS

RECIPES = {**JOINS, **EYES, **LOOPS, **WRAPS}

__all__ = ["RECIPES"]
