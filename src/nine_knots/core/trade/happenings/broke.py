"""Something broke: at the fly, in the tippet, at the knot or ring above it, or higher."""

from nine_knots.core.trade.happenings.happening import Happening, RigEffect

AT_THE_FLY = RigEffect(cuts=1, wear="fished")
BROKE = Happening(
    key="broke",
    place=30,
    title="Broke",
    said="broke",
    details=("place", "fish", "words"),
    effect=AT_THE_FLY,
    by_place=(
        ("at the fly", AT_THE_FLY),
        ("in the tippet", RigEffect(ends="tippet")),
        ("at the tippet's knot", RigEffect(ends="tippet")),
        ("at the ring or swivel", RigEffect(ends="lower")),
        ("at a dropper", RigEffect(wear="fished")),
        ("higher up", RigEffect(ends="rig")),
    ),
)
