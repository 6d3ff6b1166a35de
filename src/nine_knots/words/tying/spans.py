"""Lengths without a tape: arm spans, and hand to breastbone.

An arm span is close to the height; hand to breastbone is half of it [P].
"""

from nine_knots.core.base.units import Units

LEAST_SHARE = 0.2  # of a half span: less is not measured with the arms
CLOSE_SHARE = 0.04  # of a half span: as good as even


def in_spans(length_m: float, height_m: float | None, units: Units) -> str:
    """``1 arm span + hand to breastbone + 3 in``; empty where the height is not known."""
    if height_m is None:
        return ""
    half_m = height_m / 2.0
    halves = round(length_m / half_m)
    rest_m = length_m - halves * half_m
    if halves == 0:
        return (
            ""
            if length_m < LEAST_SHARE * half_m
            else f"{length_m / half_m:.1f} of hand to breastbone"
        )
    spans, odd = divmod(halves, 2)
    parts = []
    if spans:
        parts.append("1 arm span" if spans == 1 else f"{spans} arm spans")
    if odd:
        parts.append("hand to breastbone")
    said = " + ".join(parts)
    if abs(rest_m) <= CLOSE_SHARE * half_m:
        return said
    return f"{said} {'+' if rest_m > 0 else '−'} {units.length(abs(rest_m)).text}"
