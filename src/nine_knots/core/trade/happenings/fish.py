"""A fish was landed."""

from nine_knots.core.trade.happenings.happening import Happening, RigEffect

FISH = Happening(
    key="fish",
    place=10,
    title="Fish",
    said="a fish",
    details=("fish", "mass", "fly", "words", "photo"),
    effect=RigEffect(wear="fished", fish=1),
)
