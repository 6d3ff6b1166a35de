"""Something broke: at the fly, in the tippet, at the knot or ring above it, or higher."""

from nine_knots.core.trade.happenings.happening import Effect, Happening

AT_THE_FLY = Effect(cuts=1, wear="fished")
BROKE = Happening(
    key="broke",
    place=30,
    title="Broke",
    said="broke",
    details=("place", "fish", "words"),
    effect=AT_THE_FLY,
    by_place=(
        ("at the fly", AT_THE_FLY),
        ("in the tippet", Effect(ends="tippet")),
        ("at the tippet's knot", Effect(ends="tippet")),
        ("at the ring or swivel", Effect(ends="lower")),
        ("at a dropper", Effect(wear="fished")),
        ("higher up", Effect(ends="rig")),
    ),
)
