"""The indicator was slid, shot was added or taken off."""

from nine_knots.core.trade.happenings.happening import Happening

MOVED_SETTING = Happening(
    key="moved-setting",
    place=90,
    title="Moved the setting",
    said="set otherwise",
    details=("setting",),
)
