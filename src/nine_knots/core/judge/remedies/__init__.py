"""Remedies: the smallest single change that brings a measure into its band, by trying it."""

from nine_knots.core.judge.remedies.search import Effect, Remedy
from nine_knots.core.judge.remedies.turnover import remedies_for
from nine_knots.core.judge.remedies.water import water_remedies_for

__all__ = ["Effect", "Remedy", "remedies_for", "water_remedies_for"]
