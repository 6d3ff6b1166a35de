"""Knots as data with rules."""

from nine_knots.core.domain.knots.rules import finished_m, line_used_m, strength_kept, turns
from nine_knots.core.domain.knots.table import HEAVY_M, KNOTS, STOUT_M, Knot, KnotKey, Place

__all__ = [
    "HEAVY_M",
    "KNOTS",
    "STOUT_M",
    "Knot",
    "KnotKey",
    "Place",
    "finished_m",
    "line_used_m",
    "strength_kept",
    "turns",
]
