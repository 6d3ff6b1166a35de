"""Things along the line: shot, an indicator, marks, and where the grease ends."""

from math import pi
from typing import Literal

from pydantic import Field, model_validator

from nine_knots.core.base.limits import LengthM
from nine_knots.core.base.values import Frozen

AttachmentKind = Literal["shot", "indicator", "mark", "grease"]
ShotMetal = Literal["lead", "tin"]

# Split shot by its name, g [M ±15 %], and densities in kg/m³ [S: CRC2016].
SHOT_G = {
    "SSG": 1.6,
    "AAA": 0.8,
    "AB": 0.6,
    "BB": 0.4,
    "no. 1": 0.28,
    "no. 4": 0.18,
    "no. 6": 0.105,
    "no. 8": 0.06,
    "no. 10": 0.04,
}
SHOT_ALSO = {"3/0": "AAA", "AA": "AAA"}
"""Other names of the same sizes [P]."""
SHOT_DENSITY: dict[ShotMetal, float] = {"lead": 11_340.0, "tin": 7_290.0}
SHOT_FILL = 0.92  # of its outline: the split [M]
FLOAT_DENSITY = 220.0  # kg/m³ of an indicator with its fittings [G]
FLOATS_M = (0.010, 0.013, 0.016, 0.019, 0.025)
"""Diameters in metres of the indicators commonly made."""


class Attachment(Frozen):
    """Something on the line at a place measured as anglers do, up from the point fly.

    ``mass_kg`` is a shot's; ``diameter_m`` an indicator's. A grease mark is the lower end of what
    is greased: all above it floats.
    """

    kind: AttachmentKind
    above_end_m: LengthM
    mass_kg: float = Field(default=0.0, ge=0.0, le=0.05)
    metal: ShotMetal = "lead"
    diameter_m: float | None = Field(default=None, ge=0.004, le=0.06)

    @model_validator(mode="after")
    def _weighs_or_floats(self) -> "Attachment":
        if self.kind == "shot" and self.mass_kg < 1e-6:
            raise ValueError("a shot needs a mass")
        if self.kind == "indicator" and self.diameter_m is None:
            raise ValueError("an indicator needs its diameter")
        return self

    def moved(self, by_m: float) -> "Attachment":
        """The same so many metres further from the point fly."""
        return self.model_copy(update={"above_end_m": self.above_end_m + by_m})

    @property
    def shot_m(self) -> float:
        """Outer diameter in metres of a shot of this mass and metal."""
        filled = SHOT_FILL * SHOT_DENSITY[self.metal] * pi
        return float((6.0 * self.mass_kg / filled) ** (1.0 / 3.0))

    @property
    def own_mass_kg(self) -> float:
        """Mass in kg of a shot, or of an indicator by its diameter; nothing of a mark."""
        if self.kind == "indicator" and self.diameter_m:
            return FLOAT_DENSITY * pi * self.diameter_m**3 / 6.0
        return self.mass_kg


def shot_name(mass_kg: float) -> str | None:
    """The name of the shot of this mass, within a twentieth; None where it has none."""
    for name, grams in SHOT_G.items():
        if abs(1e3 * mass_kg - grams) < 0.05 * grams:
            return name
    return None
