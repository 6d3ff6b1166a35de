"""Rods by length, weight and action, and how their tips give."""

from typing import Literal

from pydantic import Field

from nine_knots.core.base.limits import Title
from nine_knots.core.base.values import Frozen

# Stiffness of the tip in N/m at a 5-weight, by action [G: soft light rods 20 to 30,
# fast 6- and 7-weights 70 to 90]; it grows with the weight to the power 1.1.
TIP_N_M = {"soft": 38.0, "medium": 50.0, "fast": 66.0}


class Rod(Frozen):
    """A rod as the angler names it; the tip's stiffness is theirs to replace."""

    title: Title
    length_m: float = Field(ge=1.5, le=6.0)
    weight: int = Field(ge=1, le=14)
    action: Literal["soft", "medium", "fast"] = "medium"
    tip_n_m: float | None = Field(default=None, ge=2.0, le=1000.0)

    @property
    def tip_stiffness_n_m(self) -> float:
        """Stiffness of the tip in N/m: the angler's own, or by action and weight."""
        return self.tip_n_m or float(TIP_N_M[self.action] * (self.weight / 5.0) ** 1.1)
