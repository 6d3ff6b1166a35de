"""Under a dry fly, which floats the rest and drifts by itself."""

from nine_knots.core.domain.design import Design
from nine_knots.core.domain.in_water import fly_float
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.tackle import Fly
from nine_knots.core.domain.tackle.fly import floats_up
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.water.floated import Floated, FloatedTop


class UnderDry(Floated):
    """The rig hangs under a dry fly, which must carry what hangs below it."""

    key = "under a dry fly"
    place = 60
    top = "fly"
    usual_drift_m = 9.0
    other_schools = ("tight-line", "indicator-nymph-tag")
    floated_by = "dry fly"

    def fits(self, design: Design) -> bool:
        """Where a fly above the point is dressed to float."""
        return _floating_fly(design.leader) is not None

    def floated_top(self, design: Design, fluid: Fluid) -> FloatedTop:
        """The dry fly."""
        found = _floating_fly(design.leader)
        assert found is not None
        joint, fly = found
        return FloatedTop(design.leader.joints_at_m[joint], fly_float(fly), joint)

    def water_line_m(self, design: Design) -> float | None:
        """At the dry fly."""
        found = _floating_fly(design.leader)
        return design.leader.joints_at_m[found[0]] if found else None


def _floating_fly(leader: Leader) -> tuple[int, Fly] | None:
    """The joint and the fly of the lowest dry fly above the point, which floats the rest."""
    dry = [(joint, fly) for joint, fly in leader.flies_above if floats_up(fly)]
    return dry[-1] if dry else None


UNDER_DRY = UnderDry()
