"""What is on the reel behind the line, and how it is tied to both."""

from typing import Literal

from pydantic import Field

from nine_knots.core.base.limits import StrengthN
from nine_knots.core.base.units.factors import POUND_N
from nine_knots.core.base.values import Frozen

BackingMaterial = Literal["braided polyester", "gel-spun braid", "nylon"]
ReelTie = Literal["arbor knot", "uni knot"]
LineTie = Literal["albright", "nail knot", "loop to loop"]

# Share of the backing's strength that a tie keeps, and its spread [M].
REEL_KEEPS: dict[ReelTie, tuple[float, float]] = {
    "arbor knot": (0.60, 0.10),
    "uni knot": (0.75, 0.08),
}
LINE_KEEPS: dict[LineTie, tuple[float, float]] = {
    "albright": (0.75, 0.08),
    "nail knot": (0.70, 0.10),
    "loop to loop": (0.85, 0.06),
}
SLIPPERY = 0.10  # less of gel-spun braid, which is slick, where it is knotted and not looped [M]
# A line's core by its weight [M], and the share of it that its welded loop keeps [M].
CORE_N = ((6, 20.0 * POUND_N), (9, 30.0 * POUND_N), (14, 40.0 * POUND_N))
LOOP_KEEPS = (0.9, 0.08)


class Backing(Frozen):
    """The backing: of what, how strong, how much of it, tied how to the reel and to the line."""

    material: BackingMaterial = "braided polyester"
    strength_n: StrengthN = 20.0 * POUND_N
    length_m: float = Field(default=90.0, gt=0.0, le=1000.0)
    to_reel: ReelTie = "arbor knot"
    to_line: LineTie = "albright"

    @property
    def at_the_reel(self) -> tuple[float, float]:
        """Breaking load of its knot to the reel in N, and the spread."""
        return self._kept(*REEL_KEEPS[self.to_reel], knotted=True)

    @property
    def at_the_line(self) -> tuple[float, float]:
        """Breaking load of its tie to the line in N, and the spread."""
        return self._kept(*LINE_KEEPS[self.to_line], knotted=self.to_line != "loop to loop")

    def _kept(self, share: float, spread: float, knotted: bool) -> tuple[float, float]:
        slips = SLIPPERY if knotted and self.material == "gel-spun braid" else 0.0
        return (share - slips) * self.strength_n, spread


def core_n(weight: int) -> float:
    """Breaking load in N of the core of a line of this weight."""
    return next(load for most, load in CORE_N if weight <= most)
