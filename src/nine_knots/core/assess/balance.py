"""Whether line, leader and fly agree: the ways in which they do not, from what a cast did.

A bulky fly on a long fine leader takes all that reaches it, or the leader itself does: then it does
not open. The other way about, a tiny fly on short stout tippet opens and has no life: the tippet is
stiffer than what the fly's hook asks by so much that it carries the fly about like a stick [P].
"""

from dataclasses import dataclass
from math import pi
from typing import Literal

from nine_knots.core.base.units.factors import THOU_M
from nine_knots.core.casting.rig import Rig
from nine_knots.core.casting.throw import Flight
from nine_knots.core.domain.leader import Leader
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tippet import thou_by_hook
from nine_knots.core.mechanics.air import along_coefficient

BalanceKind = Literal["agree", "too much fly", "too much leader", "no life"]

LIFELESS_THOU = 2.6  # of tippet beyond what the hook asks, for a tiny fly [P]
TINY_HOOK = 14  # from which a fly is tiny
LIFELESS = 1.0  # of what the hook asks, as much beyond it again, for a larger one [P]


@dataclass(frozen=True, slots=True)
class Balance:
    """What disagrees, if anything, with the speed at the last joint that tells it, in m/s."""

    kind: BalanceKind
    carried_m_s: float


def balance_of(
    flight: Flight, rig: Rig, leader: Leader, situation: Situation, opens: bool
) -> Balance:
    """Which of line, leader and fly is too much for the others; ``opens`` by the stroke chosen."""
    last = rig.joints[-2]
    beyond_kg = float(rig.mass[last:].sum())
    left_j = float(flight.passing_j[min(last, flight.passing_j.size - 1)])
    carried = (2.0 * left_j / beyond_kg) ** 0.5
    kind: BalanceKind = "agree"
    if not opens:
        kind = "too much fly" if _fly_m2(rig) > _leader_m2(rig, carried) else "too much leader"
    elif _lifeless(leader, situation):
        kind = "no life"
    return Balance(kind=kind, carried_m_s=carried)


def _lifeless(leader: Leader, situation: Situation) -> bool:
    fly = situation.fly
    if fly.is_long or fly.is_weighted:
        return False
    asks = thou_by_hook(situation)
    beyond = leader.tippet_diameter_m / THOU_M - asks
    return beyond > (LIFELESS_THOU if fly.hook >= TINY_HOOK else LIFELESS * asks)


def _fly_m2(rig: Rig) -> float:
    return float(rig.body[-1])


def _leader_m2(rig: Rig, speed_m_s: float) -> float:
    """Drag area of the leader along itself, at no less than 5 m/s: the sum of π C_f d l, in m²."""
    speed = max(5.0, speed_m_s)
    links = zip(rig.thick[rig.leader :], rig.rest[rig.leader :], strict=True)
    return float(sum(pi * along_coefficient(speed, float(d)) * d * length for d, length in links))
