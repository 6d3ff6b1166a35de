"""The gauge was read at the water."""

from nine_knots.core.trade.happenings.happening import Happening

LEVEL = Happening(key="level", place=130, title="Level", said="the level", details=("level",))
