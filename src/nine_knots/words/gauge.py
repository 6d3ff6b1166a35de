"""What a gauge says, in words: how high, how long ago, how it goes, and whether to go by it."""

from nine_knots.core.assess.gauge import GaugeReading
from nine_knots.core.base.units import Units
from nine_knots.words.places import level_text

STEADY_M_H = 0.01  # slower than a hand's breadth in ten hours is steady


def gauge_words(found: GaugeReading, units: Units) -> str:
    """One or two sentences."""
    said = f"{level_text(found.level_m, units)}, {_ago(found.age_s / 3600.0)}"
    if found.status == "odd":
        return f"{said}: it jumped. Check the water before you rely on it."
    if found.status == "stale":
        return f"{said}: too old to rely on. Read the staff gauge and type the level."
    if abs(found.rises_m_h) < STEADY_M_H:
        return f"{said}, steady."
    goes = "rising" if found.rises_m_h > 0.0 else "falling"
    return f"{said}, {goes} by {level_text(abs(found.rises_m_h), units)} an hour."


def _ago(hours: float) -> str:
    if hours < 1.0:
        return "just now"
    return f"{hours:.0f} h ago" if hours < 48.0 else f"{hours / 24.0:.0f} days ago"
