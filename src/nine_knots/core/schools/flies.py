"""Flies out of the box that a school hangs above the point fly."""

from nine_knots.core.domain.in_water import fly_body, fly_float
from nine_knots.core.domain.tackle import Bead, Fly
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.schools.school import SchoolBrief

CARRIES_TIMES = 2.5  # the nymph's weight, which a dry above it should carry [G]
FRESH_10_C = Fluid(999.7, 1.306e-3)  # river water
# What is hung where the box has none such.
SLIM_NYMPH = Fly(
    title="Slim nymph 16, 2 mm bead",
    kind="nymph",
    hook=16,
    bulk="slim",
    bead=Bead(diameter_mm=2.0),
)
STONEFLY = Fly(
    title="Stonefly nymph 6, 4.6 mm bead", kind="nymph", hook=6, bead=Bead(diameter_mm=4.6)
)
MIDDLE_NYMPH = Fly(title="Nymph 12, 3.3 mm bead", kind="nymph", hook=12, bead=Bead(diameter_mm=3.3))
BUSHY_DRY = Fly(title="Bushy dry 12", kind="dry", hook=12, bulk="bushy")


def upper_nymph(brief: SchoolBrief) -> Fly:
    """A nymph from the box lighter than the point fly, the heaviest such; or a usual one."""
    point = brief.situation.fly
    light = [
        fly
        for fly in brief.flies
        if fly.kind == "nymph" and fly.title != point.title and fly.mass_kg < point.mass_kg
    ]
    return max(light, key=lambda fly: fly.mass_kg, default=SLIM_NYMPH)


def heavier_nymphs(brief: SchoolBrief) -> tuple[Fly, Fly]:
    """The heaviest nymph of the box and one between it and the point fly; or usual ones."""
    point = brief.situation.fly
    heavy = sorted(
        (
            fly
            for fly in brief.flies
            if fly.kind == "nymph" and fly.title != point.title and fly.mass_kg > point.mass_kg
        ),
        key=lambda fly: -fly.mass_kg,
    )
    first = heavy[0] if heavy else STONEFLY
    return first, heavy[-1] if len(heavy) > 1 else MIDDLE_NYMPH


def floating_dry(brief: SchoolBrief) -> Fly:
    """The dry fly of the box that is thrown most easily of those that carry the point fly with
    something to spare; where none does, the one that carries most; or a usual one."""
    point = brief.situation.fly
    weight_n = fly_body(point, FRESH_10_C).weight_n
    dry = [fly for fly in brief.flies if fly.kind in ("dry", "foam") and fly.title != point.title]
    carry = [fly for fly in dry if fly_float(fly).carries_n >= CARRIES_TIMES * weight_n]
    if carry:
        return min(carry, key=lambda fly: fly.air_drag_area_m2)
    return max(dry, key=lambda fly: fly_float(fly).carries_n, default=BUSHY_DRY)
