"""How much line an angler's knots take, learnt from what pieces came out at.

What is held and trimmed of a knot scales with the hand that ties it. Prior: a usual hand, as sure
as ``PRIOR_PIECES`` pieces; each piece that was measured adds one (a normal mean with known
scatter [S: Gelman2013]).
"""

from dataclasses import dataclass

from nine_knots.core.domain.builder import USUAL_HAND
from nine_knots.core.domain.leader import Leader
from nine_knots.words.tying.cutting import cut_length_m

PRIOR_PIECES = 4.0
SCATTER = 0.25  # of handiness, from one piece to the next [G]
LIMITS = (0.3, 2.0)


@dataclass(frozen=True, slots=True)
class Handiness:
    """Handiness, its standard deviation, and how many pieces were measured."""

    mean: float
    spread: float
    pieces: int


def shown_handiness(leader: Leader, piece: int, cut_m: float, came_out_m: float) -> float:
    """The handiness at which a piece cut at ``cut_m`` comes out at ``came_out_m``."""
    wraps_m = cut_length_m(leader, piece, 0.0) - leader.pieces[piece].length_m
    tag_allowance_m = cut_length_m(leader, piece, USUAL_HAND) - cut_length_m(leader, piece, 0.0)
    shown = (cut_m - came_out_m - wraps_m) / tag_allowance_m
    return min(LIMITS[1], max(LIMITS[0], shown))


def hand_of(shown: tuple[float, ...]) -> Handiness:
    """The hand behind handinesses shown, with a usual hand as prior."""
    weight = PRIOR_PIECES + len(shown)
    mean = (PRIOR_PIECES * USUAL_HAND + sum(shown)) / weight
    return Handiness(mean=mean, spread=SCATTER / weight**0.5, pieces=len(shown))
