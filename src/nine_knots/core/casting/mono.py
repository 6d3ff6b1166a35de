"""Mono that its fly pulls out, where no fly line is cast: which of them is the heavier."""

from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.tackle import Fly
from nine_knots.core.schools import line_leads

CAST_M = 8.0  # of mono in the air on a usual cast


def mass_ratio(leader: Leader, fly: Fly) -> float | None:
    """Mono in the air over flies and shot, by mass, where no fly line is cast; None elsewhere."""
    if line_leads(leader):
        return None
    left, mass = CAST_M, 0.0
    for piece in reversed(leader.pieces):
        used = min(left, piece.length_m)
        mass += used * piece.strand.mass_kg_m(piece.lower_diameter_m)
        left -= used
    flies_kg = fly.mass_kg + sum(other.mass_kg for _, other in leader.flies_above)
    shot_kg = sum(thing.mass_kg for thing in leader.attachments)
    return mass / (flies_kg + shot_kg)
