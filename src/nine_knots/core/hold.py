"""How much the leader holds: every piece and joint, the weakest link, what goes with it."""

from dataclasses import dataclass
from typing import Literal

import numpy as np

from nine_knots.core.knots import KNOTS, KnotKey, strength_kept
from nine_knots.core.leader import Leader
from nine_knots.core.situation import Situation
from nine_knots.core.tackle import Rod
from nine_knots.core.units.factors import GRAVITY_M_S2
from nine_knots.core.weakest_link import first_break

NEW_SPREAD = 0.05  # of new, undamaged mono [M]
STRIKE_M_S = 1.5  # speed of the strike at the rod's tip [G]
STRIKE_KG = 3.0  # the most of a fish that a strike sets moving, about a head and shoulders [G]
PULL_OF_WEIGHT = {"open": 0.15, "some snags": 0.45, "heavy snags": 0.9}  # steady pull needed [G]


@dataclass(frozen=True, slots=True)
class Element:
    """One piece, or one side of a joint: mean breaking load, spread, chance to go first."""

    what: Literal["piece", "joint"]
    index: int
    mean_n: float
    spread: float
    kept: float
    chance: float


@dataclass(frozen=True, slots=True)
class Hold:
    """A leader's hold: mean and 5 % low breaking load in N, every element, the weakest."""

    mean_n: float
    low_n: float
    elements: tuple[Element, ...]
    weakest: int

    def chance_of(self, what: str, index: int) -> float:
        """Chance that this piece or joint (both its sides) breaks first."""
        return sum(e.chance for e in self.elements if (e.what, e.index) == (what, index))

    @property
    def break_element(self) -> Element:
        """The element most likely to go first."""
        return self.elements[self.weakest]


@dataclass(frozen=True, slots=True)
class Need:
    """What the day asks of the leader, in N: a strike and a steady pull."""

    strike_n: float
    pull_n: float

    @property
    def most_n(self) -> float:
        """The greater of the two."""
        return max(self.strike_n, self.pull_n)


def _joint_sides(leader: Leader, number: int) -> list[tuple[float, float, float]]:
    """Mean load, spread and share kept of each side of a joint that is tied in the leader."""
    joint = leader.joints[number]
    above = leader.pieces[number - 1] if number > 0 else None
    below = leader.pieces[number] if number < len(leader.pieces) else None
    upper_key: KnotKey | None = joint.knot if joint.kind == "knot" else joint.upper_knot
    both = above is not None and below is not None and joint.kind == "knot"
    ratio = 1.0
    if both and above is not None and below is not None:
        pair = sorted((above.lower_diameter_m, below.upper_diameter_m))
        ratio = pair[1] / pair[0]
    sides = []
    if above is not None and upper_key is not None:
        knot = KNOTS[upper_key]
        other = below.strand.substance if both and below is not None else None
        kept = strength_kept(knot, above.strand.substance, other, ratio)
        sides.append((kept * above.breaking_at_n(above.length_m), knot.spread, kept))
    if below is not None:
        knot = KNOTS[joint.knot]
        other = above.strand.substance if both and above is not None else None
        kept = strength_kept(knot, below.strand.substance, other, ratio)
        sides.append((kept * below.breaking_at_n(0.0), knot.spread, kept))
    return sides


def hold_of(leader: Leader) -> Hold:
    """Breaking load of the leader and who goes first, all elements under the same tension."""
    rows: list[tuple[Literal["piece", "joint"], int, float, float, float]] = []
    for number, piece in enumerate(leader.pieces):
        weakest_n = min(piece.breaking_at_n(0.0), piece.breaking_at_n(piece.length_m))
        rows.append(("piece", number, weakest_n, NEW_SPREAD, 1.0))
    for number in range(len(leader.joints)):
        rows.extend(
            ("joint", number, mean, (spread**2 + NEW_SPREAD**2) ** 0.5, kept)
            for mean, spread, kept in _joint_sides(leader, number)
        )
    broken = first_break(np.array([r[2] for r in rows]), np.array([r[3] for r in rows]))
    elements = tuple(
        Element(what=r[0], index=r[1], mean_n=r[2], spread=r[3], kept=r[4], chance=float(chance))
        for r, chance in zip(rows, broken.chances, strict=True)
    )
    return Hold(
        mean_n=broken.mean_n,
        low_n=broken.low_n,
        elements=elements,
        weakest=int(np.argmax(broken.chances)),
    )


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
