"""What the angler casts with and at: line, rod, fly and fish."""

from nine_knots.core.domain.tackle.backing import Backing
from nine_knots.core.domain.tackle.fish import FISH, Fish, FishKind, OwnFish, fish_of
from nine_knots.core.domain.tackle.fly import Bead, Fly
from nine_knots.core.domain.tackle.line import FlyLine, LineProfile, line_profile
from nine_knots.core.domain.tackle.rod import Rod

__all__ = [
    "FISH",
    "Backing",
    "Bead",
    "Fish",
    "FishKind",
    "Fly",
    "FlyLine",
    "LineProfile",
    "OwnFish",
    "Rod",
    "fish_of",
    "line_profile",
]
