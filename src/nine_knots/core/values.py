"""What every value in the core is built on: frozen, closed, finite."""

from dataclasses import dataclass
from typing import Annotated, Any, Literal, Self, TypeVar

from pydantic import BaseModel, ConfigDict, FailFast, Field, Strict


class Frozen(BaseModel):
    """An immutable value: no unknown fields, no infinities, no text for a number."""

    model_config = ConfigDict(frozen=True, extra="forbid", allow_inf_nan=False, strict=True)

    def remade(self, **changes: Any) -> Self:
        """The value with some fields changed, validated anew."""
        fields = {name: getattr(self, name) for name in type(self).model_fields}
        return type(self).model_validate({**fields, **changes})


Part = TypeVar("Part")
Several = Annotated[tuple[Part, ...], Strict(False), FailFast()]
"""Values in a row, out of any list; the first that is refused is the one told."""


@dataclass(frozen=True, slots=True)
class Quantity:
    """A figure as the angler reads it, beside its value in SI units for drawing."""

    si: float
    text: str


System = Literal["imperial", "metric"]
"""The angler's units: feet, thousandths and pounds, or centimetres, millimetres and kilos."""

LONGEST_LEADER_M = 40.0
MOST_PIECES = 24

Title = Annotated[str, Field(min_length=1, max_length=80)]
Key = Annotated[str, Field(min_length=1, max_length=40, pattern=r"^[a-z0-9][a-z0-9_-]*$")]
LengthM = Annotated[float, Field(gt=0.0, le=LONGEST_LEADER_M, description="metres")]
DiameterM = Annotated[
    float, Field(ge=5e-5, le=2.5e-3, description="metres; 0.05 to 2.5 mm (.002 to .098 in)")
]
StrengthN = Annotated[float, Field(gt=0.0, le=5000.0, description="newtons")]
ModulusPa = Annotated[float, Field(ge=1e7, le=3e11, description="pascals")]
