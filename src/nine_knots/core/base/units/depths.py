"""Several depths in one line of text, as an angler names them."""

import re

from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.base.quantity import System
from nine_knots.core.base.units.parse import parse_length

MOST_DEPTHS, SHALLOWEST_M, DEEPEST_M = 5, 0.1, 30.0
_BETWEEN = re.compile(r";|,\s|\sand\s")


def parse_depths(text: str, system: System = "imperial") -> tuple[float, ...]:
    """Depths in metres from ``2 ft, 3 ft and 5 ft``, shallowest first; none from nothing.

    At most five of .1 to 30 m; Unreadable or OutOfRange otherwise.
    """
    named = [part for part in _BETWEEN.split(text) if part.strip()]
    if len(named) > MOST_DEPTHS:
        raise OutOfRange(
            f"{len(named)} depths are too many for one table.", hint=f"Enter {MOST_DEPTHS} at most."
        )
    depths = {parse_length(part, system) for part in named}
    for depth in depths:
        if not SHALLOWEST_M <= depth <= DEEPEST_M:
            raise OutOfRange("That depth is out of range.", hint="Enter depths from 10 cm to 30 m.")
    return tuple(sorted(depths))
