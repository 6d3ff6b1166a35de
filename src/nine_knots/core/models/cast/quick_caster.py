"""Casting one rig after another, each from the aim and the speed that were good for the last."""

from nine_knots.core.models.cast.casting import AIM_STEPS, FIRST_AIM, Flight, cast_aimed
from nine_knots.core.models.cast.reserve import USUAL, Least, forward_at, least_speed
from nine_knots.core.models.cast.rig import Rig, rig_of
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.physics.air import Air
from nine_knots.core.physics.flight import OPEN
from nine_knots.core.trade.leader import Leader
from nine_knots.core.trade.tackle import Fly, FlyLine, line_profile


class QuickCaster:
    """Casts of like rigs, for searches that throw many of them."""

    def __init__(self) -> None:
        self._aim, self._least, self._asked = FIRST_AIM, USUAL, USUAL

    def cast(self, leader: Leader, line: FlyLine, fly: Fly, stroke: Stroke, air: Air) -> Flight:
        """One cast, trimmed to open low."""
        flight = cast_aimed(_rig(leader, line, fly, stroke), stroke, air, self._aim, AIM_STEPS)
        self._aim = flight.aim_deg
        return flight

    def least(
        self,
        leader: Leader,
        line: FlyLine,
        fly: Fly,
        stroke: Stroke,
        air: Air,
        near: Least | None = None,
    ) -> Least:
        """The least launch speed that opens it, sought from that of the last, or from one near."""
        rig = _rig(leader, line, fly, stroke)
        self._least = least_speed(rig, stroke, air, near or self._least)
        return self._least

    def forward(
        self,
        leader: Leader,
        line: FlyLine,
        fly: Fly,
        stroke: Stroke,
        air: Air,
        speed_m_s: float,
    ) -> float:
        """How far it opens at a launch speed, of its length, aimed from what was good before."""
        rig = _rig(leader, line, fly, stroke)
        opens, aim = forward_at(speed_m_s, rig, stroke, air, self._asked)
        self._asked = Least(speed_m_s, aim)
        if opens >= OPEN:
            self._least = self._asked
        return opens


def _rig(leader: Leader, line: FlyLine, fly: Fly, stroke: Stroke) -> Rig:
    return rig_of(leader, line_profile(line), fly, stroke.line_out_m)
