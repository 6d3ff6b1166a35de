"""The leader as it came out: true lengths in place of the wanted ones."""

from nine_knots.core.base.errors import OutOfRange
from nine_knots.core.base.units import Units
from nine_knots.core.domain.leader import Leader, LevelSection

MOST_OFF = 0.5  # of the wanted length: further off, and it was another piece that was measured


def as_tied(leader: Leader, came_out_m: tuple[float | None, ...], units: Units) -> Leader:
    """The leader with the lengths that were measured; None keeps what was wanted.

    A knotless taper that came out shorter has lost the rest at its tip. Raises OutOfRange for a
    length that cannot be of that piece.
    """
    pieces = list(leader.pieces)
    for number, (piece, length_m) in enumerate(zip(pieces, came_out_m, strict=True)):
        if length_m is None:
            continue
        if not (1 - MOST_OFF) * piece.length_m <= length_m <= (1 + MOST_OFF) * piece.length_m:
            raise OutOfRange(
                f"Piece {number + 1} was planned at {units.length(piece.length_m).text}; "
                f"{units.length(length_m).text} is too far off to be the same piece.",
                where=f"came_out.{number}",
                hint="Measure it again between its knots, or change the design.",
            )
        if isinstance(piece, LevelSection):
            pieces[number] = piece.evolve(length_m=length_m)
        else:
            lost_m = max(0.0, piece.cut_tip_m + piece.length_m - length_m)
            pieces[number] = piece.evolve(cut_tip_m=lost_m)
    return leader.evolve(pieces=tuple(pieces))
