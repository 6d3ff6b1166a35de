"""A wind knot was found in the tippet."""

from nine_knots.core.trade.happenings.happening import Happening, RigEffect

WIND_KNOT = Happening(
    key="wind-knot",
    place=70,
    title="Wind knot",
    said="a wind knot",
    effect=RigEffect(wear="wind knot"),
)
