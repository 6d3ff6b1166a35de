"""What every value in the core is built on: frozen, closed, finite."""

from typing import Annotated, Any, Self, TypeVar

from pydantic import BaseModel, ConfigDict, FailFast, Strict


class Frozen(BaseModel):
    """An immutable value: no unknown fields, no infinities, no text for a number."""

    model_config = ConfigDict(frozen=True, extra="forbid", allow_inf_nan=False, strict=True)

    def evolve(self, **changes: Any) -> Self:
        """The value with some fields changed, validated anew."""
        fields = {name: getattr(self, name) for name in type(self).model_fields}
        return type(self).model_validate({**fields, **changes})


Member = TypeVar("Member")
TupleOf = Annotated[tuple[Member, ...], Strict(False), FailFast()]
"""Values in a row, out of any list; the first that is refused is the one told."""
