"""A take that was missed, or a fish that came off."""

from nine_knots.core.trade.happenings.happening import Happening

MISSED = Happening(
    key="missed", place=20, title="Take missed", said="a take missed", details=("fly", "words")
)
