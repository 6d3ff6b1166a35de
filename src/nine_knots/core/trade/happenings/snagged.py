"""It hung on the bed or in a tree and came free: the tippet may be rubbed."""

from nine_knots.core.trade.happenings.happening import Happening, RigEffect

SNAGGED = Happening(
    key="snagged",
    place=80,
    title="Snagged",
    said="hung up and came free",
    effect=RigEffect(wear="nicked"),
)
