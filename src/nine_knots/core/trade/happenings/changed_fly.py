"""Another fly was tied on: its knot is cut off, and the tippet is so much shorter."""

from nine_knots.core.trade.happenings.happening import Happening, RigEffect

CHANGED_FLY = Happening(
    key="changed-fly",
    place=50,
    title="Changed fly",
    said="another fly",
    details=("fly",),
    effect=RigEffect(cuts=1),
)
