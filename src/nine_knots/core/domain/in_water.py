"""What hangs on a rig, as bodies in the water: flies, shot; and what floats it."""

from functools import lru_cache
from math import pi

from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.domain.leader import Attachment
from nine_knots.core.domain.leader.attachments import SHOT_DENSITY
from nine_knots.core.domain.tackle import Fly
from nine_knots.core.domain.tackle.fly import FLOATERS
from nine_knots.core.mechanics.bodies import Body, sphere_coefficient
from nine_knots.core.mechanics.floats import Float, ball
from nine_knots.core.mechanics.fluid import Fluid

STEEL, BRASS, TUNGSTEN = 7850.0, 8500.0, 17_500.0  # kg/m³ [S: CRC2016; tungsten as slotted, M]
MOST_FACTOR = 3.0 * 2.1  # no fly drags more: a slower fall is air or foam that bears it [G]
SHOT_FACTOR, FLY_FACTOR = 1.1, 2.1  # drag over that of a sphere of their area [G ±40 %]
THICKNESS = {"slim": 0.15, "standard": 0.25, "bushy": 0.45}  # of the body over its length [G]
LONGEST_HELD = 2.5  # times the hook, of a long dressing: what streams beyond lies along [G]
FILM_N_M = 0.07  # surface tension of water [S: CRC2016]
HACKLE = {"slim": 2.0, "standard": 3.5, "bushy": 5.0}  # film that carries, over body length [G]
FOAM_LIFT = 700.0  # kg/m³ that foam lifts, and its volume over the cubed body length [G]
FOAM_VOLUME = 0.22


@lru_cache(maxsize=256)
def fly_body(fly: Fly, fluid: Fluid) -> Body:
    """A fly under water: its metal weighs, its soaked dressing hardly; its area makes the drag.

    Area is body length by thickness and that of the bead, as a sphere's of the same area. A jar
    test (seconds over a measured fall) sets the drag factor, C_d A = 2W/(ρv²).
    """
    length = min(fly.whole_m, LONGEST_HELD * fly.body_m)
    bead_m = 1e-3 * fly.bead.diameter_mm if fly.bead else 0.0
    area = length * length * THICKNESS[fly.bulk] + pi * bead_m**2 / 4.0
    across = (4.0 * area / pi) ** 0.5
    weight = _metal_n(fly, fluid.rho)
    factor = FLY_FACTOR
    if fly.sink_m_s is not None:
        speed = fly.sink_m_s
        c_s = sphere_coefficient(fluid.rho * speed * across / fluid.mu)
        per_factor = 0.5 * fluid.rho * area * c_s * speed**2
        factor = weight / per_factor
        if factor > MOST_FACTOR:
            # what falls slower than any drag explains is borne by what it traps: less weight
            weight, factor = MOST_FACTOR * per_factor, MOST_FACTOR
    return Body(weight, across, factor, fly.mass_kg)


def _metal_n(fly: Fly, rho: float) -> float:
    """Weight in water, N: hook and bead, scaled to what the fly was weighed at."""
    wire = fly.wire_kg * (1.0 - rho / STEEL)
    bead_kg = fly.bead.mass_kg if fly.bead else 0.0
    density = TUNGSTEN if fly.bead and fly.bead.metal == "tungsten" else BRASS
    eyes = (fly.head_kg - bead_kg) * (1.0 - rho / SHOT_DENSITY["lead"])
    metal = wire + bead_kg * (1.0 - rho / density) + eyes
    if fly.weighed_kg is not None:
        bare = fly.wire_kg + fly.head_kg
        # what it weighs beyond hook and bead is metal where there is more of it than dressing is
        metal *= max(0.3, min(4.0, fly.weighed_kg / bare)) if fly.kind not in FLOATERS else 1.0
    return float(metal * GRAVITY_M_S2)


def shot_body(shot: Attachment, rho: float) -> Body:
    """A shot under water."""
    weight = shot.mass_kg * (1.0 - rho / SHOT_DENSITY[shot.metal]) * GRAVITY_M_S2
    return Body(weight, shot.shot_m, SHOT_FACTOR, shot.mass_kg)


def fly_float(fly: Fly) -> Float:
    """A dry fly as a float: what its hackle or foam carries, and how the water holds it."""
    length = fly.body_m
    carries = FILM_N_M * HACKLE[fly.bulk] * length
    if fly.kind == "foam":
        carries += FOAM_LIFT * GRAVITY_M_S2 * FOAM_VOLUME * length**3
    area = length * length * THICKNESS[fly.bulk] * 2.0  # body and hackle
    across = (4.0 * area / pi) ** 0.5
    lift = carries + fly.mass_kg * GRAVITY_M_S2
    return Float(across, fly.mass_kg, lift, FLY_FACTOR)


def indicator_float(indicator: Attachment, rho: float) -> Float:
    """An indicator as a floating ball."""
    assert indicator.diameter_m is not None
    return ball(indicator.diameter_m, indicator.own_mass_kg, rho)
