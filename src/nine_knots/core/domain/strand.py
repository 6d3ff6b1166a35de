"""A length of one material off a spool, and the stock it comes from."""

from typing import Annotated, Literal

from pydantic import Field, model_validator

from nine_knots.core.base.limits import Day, DiameterM, Key, LengthM, ModulusPa, StrengthN, Title
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.materials import MATERIALS, Material, MaterialKey
from nine_knots.core.domain.measured import MeasuredSpread
from nine_knots.core.mechanics import section

Colour = Literal["plain", "sighter"]


class TaperProfile(Frozen):
    """A knotless taper as made: level butt, straight taper, level tip (metres)."""

    butt_length_m: float = Field(ge=0.0, le=40.0)
    butt_diameter_m: DiameterM
    taper_length_m: LengthM
    tip_length_m: float = Field(ge=0.0, le=40.0)
    tip_diameter_m: DiameterM

    @model_validator(mode="after")
    def _narrows(self) -> "TaperProfile":
        if self.tip_diameter_m >= self.butt_diameter_m:
            raise ValueError("a taper's tip must be thinner than its butt")
        return self

    @property
    def length_m(self) -> float:
        """Whole length as made, in metres."""
        return self.butt_length_m + self.taper_length_m + self.tip_length_m

    def diameter_at_m(self, s_m: float) -> float:
        """Diameter in metres at ``s_m`` from the butt end."""
        along = (s_m - self.butt_length_m) / self.taper_length_m
        share = min(1.0, max(0.0, along))
        return self.butt_diameter_m + share * (self.tip_diameter_m - self.butt_diameter_m)


class _Stuff(Frozen):
    """What stock and pieces share: a material, and what the angler measured of it."""

    material: MaterialKey
    strength_n: StrengthN | None = None
    modulus_pa: ModulusPa | None = None
    colour: Colour = "plain"
    estimated: bool = Field(
        default=False, description="the diameter is typical for its label, not measured"
    )
    across_by: MeasuredSpread | None = Field(
        default=None, description="spread of its diameter, if measured"
    )
    modulus_by: MeasuredSpread | None = Field(
        default=None, description="spread of its stiffness, if measured"
    )

    @property
    def substance(self) -> Material:
        """The material's row in the table."""
        return MATERIALS[self.material]

    @property
    def stiffness_pa(self) -> float:
        """Young's modulus, wet: the angler's own, or the material's."""
        return self.modulus_pa or self.substance.wet_modulus_pa

    def bend_nm2(self, diameter_m: float) -> float:
        """Bending stiffness in N·m² at a diameter."""
        return section.bend_stiffness_nm2(diameter_m, self.stiffness_pa)

    def mass_kg_m(self, diameter_m: float) -> float:
        """Mass per length in kg/m at a diameter."""
        return section.mass_per_length_kg_m(diameter_m, self.substance.density_kg_m3)

    def law_strength_n(self, diameter_m: float) -> float:
        """Breaking load in N of the unknotted strand by the material's law."""
        return self.substance.strength.breaking_n(diameter_m)


class Strand(_Stuff):
    """A level strand: material and diameter, with label or measured strength where known."""

    diameter_m: DiameterM
    spool_id: Key | None = None

    @property
    def breaking_n(self) -> float:
        """Breaking load in N, unknotted: as labelled or measured, or by the material's law."""
        return self.strength_n or self.law_strength_n(self.diameter_m)

    @property
    def is_plain_mono(self) -> bool:
        """Whether it is mono without a colour to be seen: no sighter, wire or braid."""
        return self.colour == "plain" and self.substance.family not in ("wire", "braid")


class TaperedStrand(_Stuff):
    """A knotless leader's strand; ``strength_n`` is that of its tip."""

    profile: TaperProfile
    spool_id: Key | None = None

    def breaking_at_n(self, diameter_m: float) -> float:
        """Breaking load in N where the taper has this diameter.

        The label speaks of the tip; elsewhere it is carried by the material's law.
        """
        tip = self.profile.tip_diameter_m
        scale = self.strength_n / self.law_strength_n(tip) if self.strength_n else 1.0
        return scale * self.law_strength_n(diameter_m)


MOST_LEFT_M = 5000.0
"""No spool holds more."""
MOST_IN_PACKET = 500


class Price(Frozen):
    """What was paid, in the angler's own money, for so many metres of a spool or leaders of a
    packet."""

    paid: float = Field(gt=0.0, le=100_000.0)
    amount: float = Field(gt=0.0, le=MOST_LEFT_M)

    def of(self, amount: float) -> float:
        """What so much of it cost."""
        return self.paid * amount / self.amount


class Spool(Frozen):
    """A spool of level material on the angler's shelf."""

    form: Literal["spool"] = "spool"
    spool_id: Key
    title: Title
    strand: Strand
    remaining_m: float = Field(ge=0.0, le=MOST_LEFT_M)
    bought_on: Day | None = None
    price: Price | None = None

    @model_validator(mode="after")
    def _own_name(self) -> "Spool":
        if self.strand.spool_id != self.spool_id:
            raise ValueError("the spool's strand must carry the spool's own spool_id")
        return self

    @property
    def finest_m(self) -> float:
        """Where it is thinnest, in metres."""
        return self.strand.diameter_m


class Packet(Frozen):
    """Knotless tapered leaders of one kind on the shelf, counted."""

    form: Literal["packet"] = "packet"
    spool_id: Key
    title: Title
    strand: TaperedStrand
    count: int = Field(ge=0, le=MOST_IN_PACKET)
    bought_on: Day | None = None
    price: Price | None = None

    @model_validator(mode="after")
    def _own_name(self) -> "Packet":
        if self.strand.spool_id != self.spool_id:
            raise ValueError("the packet's strand must carry the packet's own spool_id")
        return self

    @property
    def finest_m(self) -> float:
        """Where they are thinnest, in metres."""
        return self.strand.profile.tip_diameter_m


Stock = Annotated[Spool | Packet, Field(discriminator="form")]


def titles_of(stock: tuple[Stock, ...]) -> dict[str, str]:
    """Names of spools and packets by their id."""
    return {stock_item.spool_id: stock_item.title for stock_item in stock}


def spools_of(stock: tuple[Stock, ...]) -> list[Spool]:
    """The spools of a shelf, empty ones too."""
    return [spool for spool in stock if isinstance(spool, Spool)]


def packets_of(stock: tuple[Stock, ...]) -> list[Packet]:
    """The packets of a shelf in which something is left."""
    return [packet for packet in stock if isinstance(packet, Packet) and packet.count > 0]
