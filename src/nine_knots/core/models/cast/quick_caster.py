"""Casting one rig after another, each from the aim that was good for the one before."""

from nine_knots.core.models.cast.casting import AIM_STEPS, FIRST_AIM, Flight, cast_aimed
from nine_knots.core.models.cast.rig import FAST, rig_of
from nine_knots.core.models.cast.stroke import Stroke
from nine_knots.core.physics.air import Air
from nine_knots.core.trade.leader import Leader
from nine_knots.core.trade.tackle import Fly, FlyLine, line_profile


class QuickCaster:
    """Fast casts of like rigs, for searches that throw many of them."""

    def __init__(self) -> None:
        self._aim = FIRST_AIM

    def cast(
        self,
        leader: Leader,
        line: FlyLine,
        fly: Fly,
        stroke: Stroke,
        air: Air,
        most: int = AIM_STEPS,
    ) -> Flight:
        """One cast at the fast mesh, trimmed in at most ``most`` throws."""
        rig = rig_of(leader, line_profile(line), fly, stroke.line_out_m, FAST)
        flight = cast_aimed(rig, stroke, air, self._aim, most)
        self._aim = flight.aim_deg
        return flight
