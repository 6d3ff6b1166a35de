"""Pieces of a leader: level strands, and knotless tapers that can be cut back."""

from typing import Annotated, Literal

from pydantic import Field, model_validator

from nine_knots.core.base.limits import LONGEST_LEADER_M, LengthM
from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.strand import Strand, TaperedStrand

Role = Literal["butt", "taper", "sighter", "tippet", "bite"]
Wear = Literal["new", "fished", "nicked", "wind knot"]


class LevelSection(Frozen):
    """A level piece; ``length_m`` is measured between its knots, as tied."""

    form: Literal["level"] = "level"
    role: Role
    strand: Strand
    length_m: LengthM
    wear: Wear = "new"

    @property
    def upper_diameter_m(self) -> float:
        """Diameter in metres at the end towards the line."""
        return self.strand.diameter_m

    @property
    def lower_diameter_m(self) -> float:
        """Diameter in metres at the end towards the fly."""
        return self.strand.diameter_m

    def diameter_at_m(self, s_m: float) -> float:
        """Diameter in metres at ``s_m`` from the upper end."""
        return self.strand.diameter_m

    def breaking_at_n(self, s_m: float) -> float:
        """Breaking load in N of the unknotted strand at ``s_m`` from the upper end."""
        return self.strand.breaking_n

    @property
    def weakest_n(self) -> float:
        """Breaking load in N of the unknotted strand where it is weakest."""
        return self.strand.breaking_n

    @property
    def breaks_m(self) -> tuple[float, ...]:
        """Places in metres from the upper end where the slope of the diameter changes."""
        return (0.0, self.length_m)


class TaperedSection(Frozen):
    """A knotless taper, cut back by so much from either end of what was made."""

    form: Literal["tapered"] = "tapered"
    role: Role
    strand: TaperedStrand
    cut_butt_m: float = Field(default=0.0, ge=0.0, le=LONGEST_LEADER_M)
    cut_tip_m: float = Field(default=0.0, ge=0.0, le=LONGEST_LEADER_M)
    wear: Wear = "new"

    @model_validator(mode="after")
    def _something_is_left(self) -> "TaperedSection":
        if self.length_m < 0.01:
            raise ValueError("nothing is left of the knotless taper: it is cut back too far")
        return self

    @property
    def length_m(self) -> float:
        """What is left between the cuts, in metres."""
        return self.strand.profile.length_m - self.cut_butt_m - self.cut_tip_m

    @property
    def upper_diameter_m(self) -> float:
        """Diameter in metres where the butt was cut."""
        return self.diameter_at_m(0.0)

    @property
    def lower_diameter_m(self) -> float:
        """True diameter in metres where the tip was cut."""
        return self.diameter_at_m(self.length_m)

    def diameter_at_m(self, s_m: float) -> float:
        """Diameter in metres at ``s_m`` from the upper end, by the profile as made."""
        return self.strand.profile.diameter_at_m(self.cut_butt_m + s_m)

    def breaking_at_n(self, s_m: float) -> float:
        """Breaking load in N of the unknotted strand at ``s_m`` from the upper end."""
        return self.strand.breaking_at_n(self.diameter_at_m(s_m))

    @property
    def weakest_n(self) -> float:
        """Breaking load in N of the unknotted strand where it is weakest: at one of its ends."""
        return min(self.breaking_at_n(0.0), self.breaking_at_n(self.length_m))

    @property
    def breaks_m(self) -> tuple[float, ...]:
        """Places in metres from the upper end where the slope of the diameter changes."""
        profile = self.strand.profile
        inner = (profile.butt_length_m, profile.butt_length_m + profile.taper_length_m)
        within = (s - self.cut_butt_m for s in inner)
        return (0.0, *(s for s in within if 1e-9 < s < self.length_m - 1e-9), self.length_m)


Section = Annotated[LevelSection | TaperedSection, Field(discriminator="form")]
