"""Another rig was put on the line."""

from nine_knots.core.trade.happenings.happening import Effect, Happening

CHANGED_RIG = Happening(
    key="changed-rig",
    place=100,
    title="Changed rig",
    said="another rig",
    details=("rig",),
    effect=Effect(takes_up=True),
)
