"""Another rig was put on the line."""

from nine_knots.core.trade.happenings.happening import Happening, RigEffect

CHANGED_RIG = Happening(
    key="changed-rig",
    place=100,
    title="Changed rig",
    said="another rig",
    details=("rig", "fly"),
    effect=RigEffect(takes_up=True),
)
