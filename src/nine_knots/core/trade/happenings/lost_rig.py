"""The whole rig was lost."""

from nine_knots.core.trade.happenings.happening import Happening, RigEffect

LOST_RIG = Happening(
    key="lost-rig",
    place=40,
    title="Lost the rig",
    said="the rig lost",
    details=("words",),
    effect=RigEffect(ends="rig"),
)
