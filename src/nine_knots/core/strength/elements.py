"""How much the leader holds: every piece and joint, the weakest link, what goes with it."""

from dataclasses import dataclass
from typing import Literal

import numpy as np

from nine_knots.core.domain.knots import KNOTS, KnotKey, knot_efficiency
from nine_knots.core.domain.knots.own import PulledKnot
from nine_knots.core.domain.leader import (
    Connection,
    Leader,
    LevelSection,
    TaperedSection,
    Wear,
)
from nine_knots.core.domain.materials import Family
from nine_knots.core.mechanics.weakest_link import first_break

NEW_SPREAD = 0.05  # of new, undamaged mono [M]
WORN: dict[Wear, tuple[float, float]] = {
    "new": (1.0, NEW_SPREAD),
    "fished": (0.93, 0.08),
    "nicked": (0.6, 0.2),
    "wind knot": (0.5, 0.12),
}  # share of the strength left and its spread; a nick or a wind knot can halve a piece [M]


FISHED_KNOT = 0.95  # share of its strength that a knot keeps after a day or two [G]

AnyPiece = LevelSection | TaperedSection


Place = Literal["piece", "joint"]
Chances = dict[tuple[Place, int], float]


@dataclass(frozen=True, slots=True)
class StrengthElement:
    """One piece, or one side of a joint: mean breaking load, spread, chance to go first."""

    what: Place
    index: int
    mean_n: float
    spread: float
    efficiency: float
    chance: float


@dataclass(frozen=True, slots=True)
class Hold:
    """A leader's hold: mean and 5 % low breaking load in N, every element, the weakest."""

    mean_n: float
    low_n: float
    elements: tuple[StrengthElement, ...]
    weakest: int

    def chances(self) -> Chances:
        """Chance of each piece and joint (both its sides) to break first."""
        found: Chances = {}
        for e in self.elements:
            found[e.what, e.index] = found.get((e.what, e.index), 0.0) + e.chance
        return found

    def chance_of(self, what: Place, index: int) -> float:
        """Chance that this piece or joint (both its sides) breaks first."""
        return self.chances()[what, index]

    @property
    def break_element(self) -> StrengthElement:
        """The element most likely to go first."""
        return self.elements[self.weakest]


def hold_of(leader: Leader, soaked: bool = True, own: tuple[PulledKnot, ...] = ()) -> Hold:
    """Breaking load of the leader and who goes first, all elements under the same tension.

    ``soaked`` as it is fished; dry, as on the table, nylon holds some more. ``own`` is what knots
    keep in this angler's hands, by pull tests.
    """
    rows: list[_Loaded] = []
    for number, piece in enumerate(leader.pieces):
        left, spread = WORN[piece.wear]
        mean_n = left * _wetness(piece, soaked) * piece.weakest_n
        rows.append(("piece", number, mean_n, spread, 1.0))
    for number in range(len(leader.joints)):
        rows.extend(
            ("joint", number, mean, (spread**2 + NEW_SPREAD**2) ** 0.5, efficiency)
            for mean, spread, efficiency in _joint_sides(leader, number, soaked, own)
        )
    return _held(rows)


_Loaded = tuple[Literal["piece", "joint"], int, float, float, float]


def hold_of_dropper(leader: Leader, number: int, own: tuple[PulledKnot, ...] = ()) -> Hold:
    """Hold of a fish on the dropper at joint ``number``: all above it, the tag and its knots.

    The tag and its knots are the elements of index ``number``. LookupError where none hangs there.
    """
    dropper = leader.joints[number].dropper
    if dropper is None:
        raise LookupError(f"no dropper at joint {number}")
    rows: list[_Loaded] = []
    for above in range(number):
        piece = leader.pieces[above]
        left, spread = WORN[piece.wear]
        rows.append(("piece", above, left * piece.weakest_n, spread, 1.0))
        rows.extend(
            ("joint", above, mean, (spread**2 + NEW_SPREAD**2) ** 0.5, efficiency)
            for mean, spread, efficiency in _joint_sides(leader, above, True, own)
        )
    tag = LevelSection(role="tippet", strand=dropper.strand, length_m=dropper.length_m)
    rows.append(("piece", number, dropper.strand.breaking_n, NEW_SPREAD, 1.0))
    for key in (dropper.knot, leader.joints[number].knot):
        mean, spread, efficiency = _side(key, tag, dropper.strand.breaking_n, None, 1.0, True, own)
        rows.append(("joint", number, mean, (spread**2 + NEW_SPREAD**2) ** 0.5, efficiency))
    return _held(rows)


def _held(rows: list[_Loaded]) -> Hold:
    broken = first_break([row[2] for row in rows], [row[3] for row in rows])
    elements = tuple(
        StrengthElement(
            what=r[0], index=r[1], mean_n=r[2], spread=r[3], efficiency=r[4], chance=float(chance)
        )
        for r, chance in zip(rows, broken.chances, strict=True)
    )
    return Hold(
        mean_n=broken.mean_n,
        low_n=broken.low_n,
        elements=elements,
        weakest=int(np.argmax(broken.chances)),
    )


def joint_holds(
    leader: Leader, number: int, tied: Connection, own: tuple[PulledKnot, ...] = ()
) -> tuple[float, float]:
    """What a joint holds in N, and which share of the strand, if it is tied so: its weaker side."""
    sides = _joint_sides(leader, number, True, own, tied)
    mean_n, _, efficiency = min(sides)
    return mean_n, efficiency


def _joint_sides(
    leader: Leader,
    number: int,
    soaked: bool,
    own: tuple[PulledKnot, ...],
    tied: Connection | None = None,
) -> list[tuple[float, float, float]]:
    """Mean load, spread and share kept of each side of a joint as it is tied, or if it were."""
    joint = tied or leader.joints[number]
    above = leader.pieces[number - 1] if number > 0 else None
    below = leader.pieces[number] if number < len(leader.pieces) else None
    upper_key: KnotKey | None = joint.knot if joint.kind in ("knot", "snap") else joint.upper_knot
    straight = joint.kind == "knot"  # the two strands are tied into one knot
    ratio = 1.0
    if straight and above is not None and below is not None:
        pair = sorted((above.lower_diameter_m, below.upper_diameter_m))
        ratio = pair[1] / pair[0]
    sides = []
    if above is not None and upper_key is not None:
        at_n = above.breaking_at_n(above.length_m)
        other, key = (below if straight else None), upper_key
        if joint.doubled == "upper":
            other, key = None, "bimini"
        sides.append(_side(key, above, at_n, other, ratio, soaked, own))
    if below is not None:
        at_n = below.breaking_at_n(0.0)
        other, key = (above if straight else None), joint.knot
        if joint.doubled == "lower":
            other, key = None, "bimini"
        sides.append(_side(key, below, at_n, other, ratio, soaked, own))
    return sides


def _side(
    key: KnotKey,
    mine: AnyPiece,
    mine_n: float,
    other: AnyPiece | None,
    ratio: float,
    soaked: bool,
    own: tuple[PulledKnot, ...],
) -> tuple[float, float, float]:
    knot, stuff = KNOTS[key], mine.strand.substance
    beside = other.strand.substance if other is not None else None
    efficiency = knot_efficiency(knot, stuff, beside, ratio)
    tested = tested_as(key, stuff.family, own)
    efficiency = min(1.0, efficiency * tested.factor) if tested else efficiency
    left = FISHED_KNOT if mine.wear == "fished" else 1.0
    return left * efficiency * _wetness(mine, soaked) * mine_n, knot.spread, efficiency


def tested_as(key: KnotKey, family: Family, own: tuple[PulledKnot, ...]) -> PulledKnot | None:
    """The angler's own figure for a knot in a family of materials, if it was tested."""
    return next(
        (
            pulled_knot
            for pulled_knot in own
            if (pulled_knot.knot, pulled_knot.family) == (key, family)
        ),
        None,
    )


def _wetness(piece: AnyPiece, soaked: bool) -> float:
    """Strength over that in water: table and labels are taken as wet."""
    return 1.0 if soaked else 1.0 / piece.strand.substance.wet_keeps
