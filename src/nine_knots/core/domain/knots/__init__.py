"""Knots as data with rules."""

from nine_knots.core.domain.knots.rules import finished_m, knot_efficiency, line_used_m, turns
from nine_knots.core.domain.knots.table import HEAVY_M, KNOTS, STOUT_M, Knot, KnotKey, Place

__all__ = [
    "HEAVY_M",
    "KNOTS",
    "STOUT_M",
    "Knot",
    "KnotKey",
    "Place",
    "finished_m",
    "knot_efficiency",
    "line_used_m",
    "turns",
]
