"""What leaders are made of: density, wet stiffness and strength of each material.

Marks: [S] published source, [M] from memory, [G] guess; see docs/model.md.
"""

from typing import Literal

from pydantic import Field

from nine_knots.core.base.values import Frozen
from nine_knots.core.mechanics.section import area_m2

MaterialKey = Literal[
    "nylon-stiff",
    "nylon-medium",
    "nylon-soft",
    "fluorocarbon",
    "copolymer",
    "wire-soft",
    "wire-single",
    "braided-loop",
]
Family = Literal["nylon", "fluorocarbon", "wire", "braid"]


class StrengthLaw(Frozen):
    """Breaking stress that holds up to a thickness and falls by a power of diameter beyond.

    sigma(d) = sigma_thin * min(1, (d_thin / d) ** falloff), in pascals and metres.
    """

    sigma_thin_pa: float = Field(gt=0)
    d_thin_m: float = Field(gt=0)
    falloff: float = Field(ge=0, le=2)

    def stress_pa(self, diameter_m: float) -> float:
        """Breaking stress of the wet, unknotted strand, in pascals."""
        return float(self.sigma_thin_pa * min(1.0, (self.d_thin_m / diameter_m) ** self.falloff))

    def breaking_n(self, diameter_m: float) -> float:
        """Breaking load of the wet, unknotted strand, in N."""
        return self.stress_pa(diameter_m) * area_m2(diameter_m)


class Material(Frozen):
    """One material, with where its figures come from."""

    key: MaterialKey
    title: str
    family: Family
    density_kg_m3: float = Field(gt=0)
    wet_modulus_pa: float = Field(gt=0)
    modulus_spread: float = Field(ge=0, description="fraction either way")
    strength: StrengthLaw
    wet_keeps: float = Field(default=1.0, gt=0, le=1, description="strength wet over dry")
    knots: str
    wears: str = Field(description="how it bears stones, teeth and use [P]")
    price: str = Field(description="beside plain nylon [P]")
    marks: str


NYLON_WET = 0.88  # water weakens nylon by 10 to 15 % [M]; fluorocarbon is the same wet and dry [P]

_TABLE = (
    Material(
        key="nylon-stiff",
        title="stiff nylon",
        family="nylon",
        wet_keeps=NYLON_WET,
        density_kg_m3=1140,
        wet_modulus_pa=2.84e9,
        modulus_spread=0.12,
        strength=StrengthLaw(sigma_thin_pa=0.72e9, d_thin_m=0.254e-3, falloff=0.67),
        knots="Seats with more turns and a steady pull.",
        wears="Resists stones and shells well.",
        price="Low.",
        marks="density [S: Mark1999, 1130 to 1150]; modulus 2.6 to 3.2 GPa [M], set so "
        "that stiff over medium is 1.26 [P]; strength fitted to hard leader nylons [M]",
    ),
    Material(
        key="nylon-medium",
        title="medium nylon",
        family="nylon",
        wet_keeps=NYLON_WET,
        density_kg_m3=1140,
        wet_modulus_pa=2.25e9,
        modulus_spread=0.12,
        strength=StrengthLaw(sigma_thin_pa=0.98e9, d_thin_m=0.28e-3, falloff=0.6),
        knots="Forgiving; seats well.",
        wears="Scuffs in time; cheap to renew.",
        price="Low.",
        marks="density [S: Mark1999]; modulus 2.0 to 2.5 GPa [M]; strength [M ±15 %]",
    ),
    Material(
        key="nylon-soft",
        title="soft nylon",
        family="nylon",
        wet_keeps=NYLON_WET,
        density_kg_m3=1140,
        wet_modulus_pa=1.8e9,
        modulus_spread=0.12,
        strength=StrengthLaw(sigma_thin_pa=1.16e9, d_thin_m=0.28e-3, falloff=0.6),
        knots="Forgiving; seats well.",
        wears="Scuffs soon: feel it over and renew it.",
        price="Low.",
        marks="density [S: Mark1999]; modulus 1.6 to 2.0 GPa [M]; strength the mean of "
        "usual labels, 0X to 6X [M ±15 %]",
    ),
    Material(
        key="fluorocarbon",
        title="fluorocarbon",
        family="fluorocarbon",
        density_kg_m3=1780,
        wet_modulus_pa=2.5e9,
        modulus_spread=0.2,
        strength=StrengthLaw(sigma_thin_pa=1.08e9, d_thin_m=0.3e-3, falloff=0.5),
        knots="Hard to seat when heavy; wants more turns.",
        wears="Bears stones and teeth best of all that is knotted.",
        price="Several times nylon.",
        marks="density [S: Mark1999, PVDF 1760 to 1790]; modulus 2 to 3 GPa [M]; "
        "strength [M ±15 %]",
    ),
    Material(
        key="copolymer",
        title="copolymer nylon",
        family="nylon",
        wet_keeps=NYLON_WET,
        density_kg_m3=1140,
        wet_modulus_pa=2.0e9,
        modulus_spread=0.15,
        strength=StrengthLaw(sigma_thin_pa=1.2e9, d_thin_m=0.28e-3, falloff=0.65),
        knots="Seats well; thin for its strength, so wants care.",
        wears="Thin for its strength, so a nick costs more.",
        price="A little over nylon.",
        marks="density [S: Mark1999]; modulus and strength [M ±20 %]",
    ),
    Material(
        key="wire-soft",
        title="soft stranded wire",
        family="wire",
        density_kg_m3=5500,
        wet_modulus_pa=8.0e9,
        modulus_spread=0.5,
        strength=StrengthLaw(sigma_thin_pa=0.9e9, d_thin_m=1e-3, falloff=0.0),
        knots="Takes a clinch or a crimp.",
        wears="Bears teeth; kinks stay.",
        price="Several times nylon.",
        marks="effective figures over the coated outline, strands and voids together [G]",
    ),
    Material(
        key="wire-single",
        title="single-strand wire",
        family="wire",
        density_kg_m3=7900,
        wet_modulus_pa=190e9,
        modulus_spread=0.05,
        strength=StrengthLaw(sigma_thin_pa=2.5e9, d_thin_m=1e-3, falloff=0.0),
        knots="Haywire twist only.",
        wears="Bears the worst teeth; a kink breaks it.",
        price="Several times nylon.",
        marks="stainless steel: density and modulus [S: CRC2016]; strength [M]",
    ),
    Material(
        key="braided-loop",
        title="braided loop",
        family="braid",
        density_kg_m3=900,
        wet_modulus_pa=0.3e9,
        modulus_spread=0.5,
        strength=StrengthLaw(sigma_thin_pa=0.35e9, d_thin_m=1e-3, falloff=0.0),
        knots="Looped or sleeved on, not knotted.",
        wears="Frays; renew it with the line.",
        price="As a leader, once a season.",
        marks="effective figures over the outline with voids [G]",
    ),
)

MATERIALS: dict[str, Material] = {material.key: material for material in _TABLE}
