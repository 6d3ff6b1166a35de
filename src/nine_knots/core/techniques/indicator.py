"""Under an indicator, mended so that it drifts by itself."""

from nine_knots.core.domain.design import Design
from nine_knots.core.domain.in_water import indicator_float
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.water.floated import Floated, FloatedTop


class UnderIndicator(Floated):
    """The rig hangs under an indicator; its setting is the first thing to change."""

    key = "under an indicator"
    place = 50
    top = "indicator"
    usual_drift_m = 12.0
    other_schools = ("tight-line", "heavy-nymph", "nymph-under-dry")
    floated_by = "indicator"
    remedies = ("setting", "shot and setting", *Floated.remedies)
    at_the_water = ("setting", "shot", "shot and setting", "bead")
    tuned = ("setting", *Floated.tuned)

    def fits(self, design: Design) -> bool:
        """Where one hangs on the leader."""
        return design.leader.indicator is not None

    def floated_top(self, design: Design, fluid: Fluid) -> FloatedTop:
        """The indicator."""
        indicator = design.leader.indicator
        assert indicator is not None
        at_m = design.leader.length_m - indicator.above_end_m
        return FloatedTop(at_m, indicator_float(indicator, fluid.rho))

    def water_line_m(self, design: Design) -> float | None:
        """At the indicator."""
        indicator = design.leader.indicator
        return design.leader.length_m - indicator.above_end_m if indicator else None


UNDER_INDICATOR = UnderIndicator()
