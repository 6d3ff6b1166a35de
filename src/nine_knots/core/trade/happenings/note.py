"""Anything else that is worth keeping; a photo lies beside it under its own name."""

from nine_knots.core.trade.happenings.happening import Happening

NOTE = Happening(key="note", place=140, title="Note", said="", details=("words", "photo"))
