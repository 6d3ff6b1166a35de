"""On the leader alone: the line's tip, or the leader as far as it is greased, drifts with the
surface."""

from nine_knots.core.domain.design import Design
from nine_knots.core.mechanics.floats import Float
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.water.floated import Floated, FloatedBy, FloatedTop
from nine_knots.core.water.time_in_zone import FishedRig

LINE_TIP = Float(diameter_m=0.012, mass_kg=2e-4, lift_n=0.02, factor=30.0)
"""The tip of a floating line and the line behind it: it goes with the surface [G]."""
GREASED = Float(diameter_m=0.006, mass_kg=2e-5, lift_n=0.01, factor=30.0)
"""A greased leader on the film, as far as it is drawn down at its end [G]."""


class OnLeader(Floated):
    """The rig hangs from the line's tip, which floats it and is easily drawn under."""

    key = "on the leader"
    place = 90
    top = "line"
    floated_by = "line tip"

    def fits(self, design: Design) -> bool:
        """Where no other way does."""
        return True

    def floated_top(self, design: Design, fluid: Fluid) -> FloatedTop:
        """The line's tip, or where the grease ends."""
        greased_m = design.leader.greased_m
        return FloatedTop(greased_m, GREASED if greased_m else LINE_TIP)

    def water_line_m(self, design: Design) -> float | None:
        """Where the grease ends, if it is greased."""
        return design.leader.greased_m or None

    def what_floats(self, fished: FishedRig) -> FloatedBy:
        """The greased leader, where it is greased."""
        return "greased leader" if fished.fishing.floats is GREASED else self.floated_by


ON_LEADER = OnLeader()
