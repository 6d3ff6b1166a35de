"""A leader's outline: straight-sided parts from the line's tip to the fly, to draw it from."""

from dataclasses import dataclass
from itertools import pairwise

from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.materials import MaterialKey


@dataclass(frozen=True, slots=True)
class OutlinePart:
    """A part of a piece between two places, its diameter changing evenly (metres)."""

    piece: int
    material: MaterialKey
    sighter: bool
    from_m: float
    to_m: float
    upper_diameter_m: float
    lower_diameter_m: float


def outline(leader: Leader) -> tuple[OutlinePart, ...]:
    """One part for a level piece, up to three for a knotless taper."""
    return tuple(
        OutlinePart(
            piece=index,
            material=piece.strand.material,
            sighter=piece.strand.colour == "sighter",
            from_m=start_m + low,
            to_m=start_m + high,
            upper_diameter_m=piece.diameter_at_m(low),
            lower_diameter_m=piece.diameter_at_m(high),
        )
        for index, (piece, start_m) in enumerate(
            zip(leader.pieces, leader.joints_at_m, strict=False)
        )
        for low, high in pairwise(piece.breaks_m)
    )
