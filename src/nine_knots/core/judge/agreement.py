"""Whether line, leader and fly agree: the two ways in which they do not, from what a cast did.

A bulky fly on a long fine leader takes all that reaches it; a tiny fly on a stout line and butt is
flung down. Both show in the speed that the energy left at the last joint could give to all beyond
it: about 10 m/s carries a dry fly over, next to nothing is too much fly, five times as much is too
much line.
"""

from dataclasses import dataclass
from math import pi
from typing import Literal

from nine_knots.core.models.cast.casting import Flight
from nine_knots.core.models.cast.rig import Rig
from nine_knots.core.physics.air import along_coefficient

Kind = Literal["agree", "too much fly", "too much leader", "too much line"]

FLUNG_M_S = 45.0  # more than this is more than a small fly has a use for [G]
SAID: dict[Kind, str] = {
    "agree": "",
    "too much fly": "Too much fly for this line and leader: less fly, or shorter and stouter.",
    "too much leader": "The leader itself takes it: too long and fine for this line.",
    "too much line": "Too much line and butt for so small a fly: lighten, or lengthen and refine.",
}


@dataclass(frozen=True, slots=True)
class Agreement:
    """What disagrees, if anything, with the speed at the last joint that tells it, in m/s."""

    kind: Kind
    carried_m_s: float

    @property
    def words(self) -> str:
        """One sentence, or nothing where all agree."""
        return SAID[self.kind]


def agreement_of(flight: Flight, rig: Rig, opens: bool) -> Agreement:
    """Which of line, leader and fly is too much for the others; ``opens`` by the stroke chosen."""
    last = rig.joints[-2]
    beyond_kg = float(rig.mass[last:].sum())
    left_j = float(flight.passing_j[min(last, flight.passing_j.size - 1)])
    carried = (2.0 * left_j / beyond_kg) ** 0.5
    kind: Kind = "agree"
    if not opens:
        kind = "too much fly" if _fly_m2(rig) > _leader_m2(rig, carried) else "too much leader"
    elif carried > FLUNG_M_S:
        kind = "too much line"
    return Agreement(kind=kind, carried_m_s=carried)


def _fly_m2(rig: Rig) -> float:
    return float(rig.body[-1])


def _leader_m2(rig: Rig, speed_m_s: float) -> float:
    """Drag area of the leader along itself, at no less than 5 m/s: the sum of π C_f d l, in m²."""
    speed = max(5.0, speed_m_s)
    links = zip(rig.thick[rig.leader :], rig.rest[rig.leader :], strict=True)
    return float(sum(pi * along_coefficient(speed, float(d)) * d * length for d, length in links))
