"""On the leader alone, the line's tip drifting with the surface."""

from nine_knots.core.models.water.floated import Floated, FloatedTop
from nine_knots.core.physics.floats import Float
from nine_knots.core.physics.fluid import Fluid
from nine_knots.core.trade.design import Design

LINE_TIP = Float(diameter_m=0.012, mass_kg=2e-4, lift_n=0.02, factor=30.0)
"""The tip of a floating line and the line behind it: it goes with the surface [G]."""


class OnLeader(Floated):
    """The rig hangs from the line's tip."""

    key = "on the leader"
    place = 90
    top = "line"

    def fits(self, design: Design) -> bool:
        """Where no other way does."""
        return True

    def floated_top(self, design: Design, fluid: Fluid) -> FloatedTop:
        """The line's tip."""
        return FloatedTop(0.0, LINE_TIP)


ON_LEADER = OnLeader()
