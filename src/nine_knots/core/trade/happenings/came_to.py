"""Another stretch was come to."""

from nine_knots.core.trade.happenings.happening import Happening

CAME_TO = Happening(
    key="came-to",
    place=110,
    title="Came to a stretch",
    said="came to",
    details=("stretch",),
)
