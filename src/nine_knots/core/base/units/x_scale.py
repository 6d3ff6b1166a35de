"""The X scale of tippet: X = 11 less the diameter in thousandths of an inch.

Heavier than 0X the trade writes 01X, 02X, 03X for .012, .013 and .015 in (from memory: the
trade's convention; it is not linear at 03X).
"""

import re
from functools import lru_cache

from nine_knots.core.base.units.factors import THOU_M

HEAVY_X_THOU = {"01X": 12.0, "02X": 13.0, "03X": 15.0}
_X = re.compile(r"^(\d(?:\.5)?)X$", re.IGNORECASE)


def diameter_of_x(text: str) -> float | None:
    """Diameter in metres of an X size such as ``5X``, ``4.5X`` or ``02X``; None if not one."""
    name = text.strip().upper()
    if name in HEAVY_X_THOU:
        return HEAVY_X_THOU[name] * THOU_M
    match = _X.match(name)
    if match is None or float(match.group(1)) > 8.0:
        return None
    return (11.0 - float(match.group(1))) * THOU_M


def x_to_a_tenth(diameter_m: float) -> str | None:
    """``4.6X``: the X of a diameter in metres as it was measured; None thicker than 0X or thinner
    than 8X.

    >>> x_to_a_tenth(6.4 * THOU_M)
    '4.6X'
    """
    x = 11.0 - diameter_m / THOU_M
    return f"{x:.1f}X".replace(".0X", "X") if -0.05 <= x <= 8.05 else None


@lru_cache(maxsize=1024)
def x_of_diameter(diameter_m: float) -> str | None:
    """The X size of a diameter in metres, to a quarter of a thousandth; None off the scale."""
    thou = diameter_m / THOU_M
    for name, heavy in HEAVY_X_THOU.items():
        if abs(thou - heavy) <= 0.25:
            return name
    x = 11.0 - thou
    if abs(x - round(x)) > 0.25 or not 0 <= round(x) <= 8:
        return None
    return f"{round(x)}X"
