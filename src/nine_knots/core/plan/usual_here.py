"""What most take for how deep a water, where a plan has the choice: of the lines carried, of lower
rigs."""

from math import log2

from nine_knots.core.domain.design import Design
from nine_knots.core.domain.leader.lower_rig import parting_joint
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tackle.line import Sinking

# The shallowest and the deepest water in m [P].
WATERS_M: dict[Sinking, tuple[float, float]] = {
    "floating": (0.0, 2.5),
    "intermediate": (1.5, 4.0),
    "sink-1": (1.5, 5.0),
    "sink-2": (1.8, 6.0),
    "sink-3": (1.8, 8.0),
    "sink-4": (2.5, 30.0),
    "sink-5": (2.5, 30.0),
    "sink-6": (2.5, 30.0),
    "sink-7": (2.5, 30.0),
}
HALF = 0.5  # doublings, up to which a lower rig is as long as the water is deep [P]
TIP_M = (0.6, 3.0)  # of a sinking tip on a floating line [P]


def beyond_usual_depth(day: Situation) -> float:
    """Doublings by which a water is deeper or shallower than most strip a fly in with this line; 0
    within, and where the fly is not stripped, for then the stream says how deep a line goes."""
    if day.wish != "strip":
        return 0.0
    low_m, high_m = WATERS_M[day.line.sinking] if day.line.sink_tip_m is None else TIP_M
    depth_m = day.water.depth_m
    deeper = max(0.0, log2(depth_m / high_m))
    return deeper + (max(0.0, log2(low_m / depth_m)) if low_m else 0.0)


def beyond_usual_lower(design: Design) -> float:
    """Doublings, beyond half a one, by which a lower rig is longer or shorter than the water is
    deep, as long as which most tie it [P]; 0 where a fly does not drift deep, or hangs on no ring.
    """
    joint = parting_joint(design.leader)
    if joint is None or design.situation.wish != "drift deep":
        return 0.0
    lower_m = sum(piece.length_m for piece in design.leader.pieces[joint:])
    return max(0.0, abs(log2(lower_m / design.situation.water.depth_m)) - HALF)
