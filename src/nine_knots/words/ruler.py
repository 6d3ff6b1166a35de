"""The ruler under the strip: ticks in the angler's units."""

from dataclasses import dataclass

from nine_knots.core.base.units import Units
from nine_knots.core.base.units.factors import FOOT_M

MOST_TICKS = 14


@dataclass(frozen=True, slots=True)
class Tick:
    """A mark on the ruler: its place in metres from the line's tip, its text."""

    at_m: float
    text: str


def ruler(length_m: float, units: Units) -> tuple[Tick, ...]:
    """Whole feet or half metres, wider apart on long leaders, at most 14 marks."""
    step_m, unit = (FOOT_M, "ft") if units.system == "imperial" else (0.25, "m")
    for factor in (1, 2, 4, 5, 10, 20, 40):
        if length_m / (step_m * factor) <= MOST_TICKS:
            step_m *= factor
            break
    count = int(length_m / step_m + 1e-9)
    each = step_m / FOOT_M if unit == "ft" else step_m
    return tuple(
        Tick(at_m=i * step_m, text=f"{i * each:g} {unit}" if i else "0") for i in range(count + 1)
    )
