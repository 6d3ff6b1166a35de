"""How the leader landed on a usual cast."""

from nine_knots.core.trade.happenings.happening import Happening

LANDED = Happening(
    key="landed", place=120, title="How it landed", said="it landed", details=("landed",)
)
