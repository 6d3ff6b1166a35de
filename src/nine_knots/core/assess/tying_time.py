"""How long a leader takes to tie: by the angler's own times for knots, else by usual ones."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from statistics import median

from nine_knots.core.assess.practice import Attempt
from nine_knots.core.domain.knots.table import KNOTS, KnotKey
from nine_knots.core.domain.leader import Leader

PIECE_S = 60.0  # to find the spool, measure, cut and straighten a piece [G]


@dataclass(frozen=True, slots=True)
class TyingTime:
    """Seconds for all of it; how many of its knots are by the angler's own times."""

    seconds: float
    own: int
    knots: int


def own_times(attempts: Iterable[Attempt]) -> dict[KnotKey, float]:
    """The middle of the angler's times, in seconds, for each knot that did not slip."""
    held: dict[KnotKey, list[float]] = {}
    for attempt in attempts:
        if attempt.rated != "slipped":
            held.setdefault(attempt.knot, []).append(attempt.seconds)
    return {knot: median(times) for knot, times in held.items()}


def tying_time(leader: Leader, own: Mapping[KnotKey, float], first: int = 0) -> TyingTime:
    """Time for the pieces from the ``first`` on, their knots and the flies above the point: the
    point fly is tied on at the water."""
    knots: list[KnotKey] = []
    for number, joint in enumerate(leader.joints[first:-1], start=first):
        if number == 0 and leader.comes_looped:
            continue
        knots.append(joint.knot)
        if joint.upper_knot is not None and joint is not leader.joints[first]:
            knots.append(joint.upper_knot)
        if joint.dropper is not None:
            knots.append(joint.dropper.knot)
    seconds = sum(own.get(knot, KNOTS[knot].usual_s) for knot in knots)
    pieces = len(leader.pieces) - first
    return TyingTime(seconds + PIECE_S * pieces, sum(knot in own for knot in knots), len(knots))
