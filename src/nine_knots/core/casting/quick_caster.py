"""Casting one rig after another, each sought from the speed and the aim that were good for the
last."""

from nine_knots.core.casting.minimum_speed import (
    USUAL,
    MinimumLaunchSpeed,
    minimum_launch_speed,
    opening_at,
    rough_launch_speed,
)
from nine_knots.core.casting.rig import Rig, rig_of
from nine_knots.core.casting.stroke import Stroke
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.tackle import Fly, FlyLine, line_profile
from nine_knots.core.mechanics.air import Air


class QuickCaster:
    """Casts of like rigs, for searches that throw many of them."""

    def __init__(self) -> None:
        self._minimum = USUAL

    def minimum(
        self,
        leader: Leader,
        line: FlyLine,
        fly: Fly,
        stroke: Stroke,
        air: Air,
        near: MinimumLaunchSpeed | None = None,
    ) -> MinimumLaunchSpeed:
        """Its minimum launch speed, sought from that of the last leader, or from one near."""
        rig = _rig(leader, line, fly, stroke)
        self._minimum = minimum_launch_speed(rig, stroke, air, near or self._minimum)
        return self._minimum

    def rough(
        self,
        leader: Leader,
        line: FlyLine,
        fly: Fly,
        stroke: Stroke,
        air: Air,
        near: MinimumLaunchSpeed,
        fastest_m_s: float,
    ) -> MinimumLaunchSpeed:
        """About its minimum launch speed, from that of a like leader, in a fraction of the time; a
        minimum far beyond the fastest that serves is not sought any further."""
        rig = _rig(leader, line, fly, stroke)
        return rough_launch_speed(rig, stroke, air, near, fastest_m_s)

    def opening(
        self,
        leader: Leader,
        line: FlyLine,
        fly: Fly,
        stroke: Stroke,
        air: Air,
        speed_m_s: float,
    ) -> float:
        """How far it opens at a launch speed, of its length."""
        return opening_at(speed_m_s, _rig(leader, line, fly, stroke), stroke, air)


def _rig(leader: Leader, line: FlyLine, fly: Fly, stroke: Stroke) -> Rig:
    return rig_of(leader, line_profile(line), fly, stroke.line_out_m)
