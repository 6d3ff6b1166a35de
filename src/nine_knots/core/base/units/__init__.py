"""The one place where feet, thousandths, X, pounds and grains live; SI everywhere else."""

from nine_knots.core.base.units.depths import parse_depths
from nine_knots.core.base.units.display import Units
from nine_knots.core.base.units.parse import (
    parse_area,
    parse_as_sold,
    parse_bead,
    parse_current,
    parse_diameter,
    parse_hook,
    parse_length,
    parse_load,
    parse_mass,
    parse_price,
    parse_seconds,
    parse_share,
    parse_size,
    parse_speed,
    parse_temperature,
    parse_wind,
)
from nine_knots.core.base.units.x_scale import diameter_of_x, x_of_diameter

__all__ = [
    "Units",
    "diameter_of_x",
    "parse_area",
    "parse_as_sold",
    "parse_bead",
    "parse_current",
    "parse_depths",
    "parse_diameter",
    "parse_hook",
    "parse_length",
    "parse_load",
    "parse_mass",
    "parse_price",
    "parse_seconds",
    "parse_share",
    "parse_size",
    "parse_speed",
    "parse_temperature",
    "parse_wind",
    "x_of_diameter",
]
