"""A new tippet was tied on, as long as it was planned."""

from nine_knots.core.trade.happenings.happening import Happening, RigEffect

NEW_TIPPET = Happening(
    key="new-tippet",
    place=60,
    title="New tippet",
    said="a new tippet",
    effect=RigEffect(renews=True),
)
