"""Sinking speed of each class of line in m/s [M: the borders between classes differ by maker]."""

from nine_knots.core.base.units.factors import INCH_M

SINK_CLASS_M_S = {
    name: inches * INCH_M
    for name, inches in {
        "intermediate": 1.5,
        "sink-1": 1.75,
        "sink-2": 2.25,
        "sink-3": 3.0,
        "sink-4": 4.0,
        "sink-5": 5.0,
        "sink-6": 6.25,
        "sink-7": 7.25,
    }.items()
}
