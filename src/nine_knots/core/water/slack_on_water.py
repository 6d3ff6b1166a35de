"""How a rig lies on the water at first, and how long it drifts."""

import numpy as np

from nine_knots.core.mechanics.stream import Stream
from nine_knots.core.mechanics.tree import Array
from nine_knots.core.water.rig_in_water import RigInWater
from nine_knots.core.water.surroundings import STILL_M_S

DRIFT_M = 6.0  # of a led rig, or one let drop, before it is lifted and cast again [G]
SHORTEST_S, LONGEST_S = 5.0, 30.0
STILL_S = 25.0  # followed in still water
EVERY_S = 0.1


def drift_s(stream: Stream, drift_m: float = DRIFT_M) -> float:
    """Seconds of a drift of so many metres at the surface's speed."""
    if stream.surface_m_s < STILL_M_S:
        return STILL_S
    return min(LONGEST_S, max(SHORTEST_S, drift_m / stream.surface_m_s))


def on_the_surface(rig: RigInWater, stream: Stream, way: float) -> Array:
    """On the surface, up the stream (-) or down it (+) of the top; straight at 1, else slack."""
    reach = rig.tree.reach
    return np.stack([way * reach, np.full_like(reach, stream.depth_m)], axis=1)
