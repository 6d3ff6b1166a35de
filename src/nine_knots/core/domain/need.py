"""What the day asks of a leader: the strike and the steady pull."""

from dataclasses import dataclass

from nine_knots.core.base.units.factors import GRAVITY_M_S2
from nine_knots.core.domain.situation import Situation
from nine_knots.core.domain.tackle import Rod

STRIKE_M_S = 1.5  # speed of the strike at the rod's tip [G]
STRIKE_KG = 3.0  # the most of a fish that a strike sets moving, about a head and shoulders [G]
PULL_OF_WEIGHT = {"open": 0.15, "some snags": 0.45, "heavy snags": 0.9}  # steady pull needed [G]
HALVINGS = 20


@dataclass(frozen=True, slots=True)
class Need:
    """What the day asks of the leader, in N: a strike and a steady pull."""

    strike_n: float
    pull_n: float

    @property
    def most_n(self) -> float:
        """The greater of the two."""
        return max(self.strike_n, self.pull_n)


def strike_peak_n(rod: Rod, fish_kg: float) -> float:
    """Peak pull in N of a strike, v sqrt(k m), with the stiffness k of the rod's tip [G].

    Of a heavy fish only a part is set moving: m / (1 + m / 3 kg). The leader's own stretch is left
    out: as a spring in series it would make the finest tippet protect itself, and the trade finds
    that it does not (docs/model.md).
    """
    moved = fish_kg / (1.0 + fish_kg / STRIKE_KG)
    return float(STRIKE_M_S * (rod.tip_stiffness_n_m * moved) ** 0.5)


def need_of(situation: Situation) -> Need:
    """The strike and the steady pull, in N, that this fish in this water may ask."""
    fish_kg = situation.quarry.mass_kg
    return Need(
        strike_n=strike_peak_n(situation.rod, fish_kg),
        pull_n=PULL_OF_WEIGHT[situation.water.snags] * fish_kg * GRAVITY_M_S2,
    )


def mass_held_kg(times: float, situation: Situation) -> float:
    """The heaviest fish in kg that a leader holds which holds so many times what this day asks.

    What is asked grows with the fish, so the place is found by halves.
    """
    holds_n = times * need_of(situation).most_n
    low, high = 0.0, situation.quarry.mass_kg
    for _ in range(HALVINGS):
        middle = 0.5 * (low + high)
        quarry = situation.quarry.model_copy(update={"mass_kg": middle})
        asked_n = need_of(situation.model_copy(update={"quarry": quarry})).most_n
        low, high = (middle, high) if asked_n <= holds_n else (low, middle)
    return low
