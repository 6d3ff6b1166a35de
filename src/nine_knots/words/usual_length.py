"""A leader longer or shorter than most use here, in words."""

from nine_knots.core.assess.usual_length import UnusualLength
from nine_knots.core.base.units import Units


def unusual_length_words(found: UnusualLength | None, units: Units) -> str:
    """``Longer than most use here, 7 ft to 10 ft.``; nothing where it is about as long."""
    if found is None:
        return ""
    low, high = units.length(found.low_m).text, units.length(found.high_m).text
    return f"{'Longer' if found.longer else 'Shorter'} than most use here, {low} to {high}."
