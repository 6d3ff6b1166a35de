"""Fish that look and turn away."""

from nine_knots.core.trade.happenings.happening import Happening

REFUSED = Happening(
    key="refused", place=25, title="Refused", said="a refusal", details=("fly", "words")
)
