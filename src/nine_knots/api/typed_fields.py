"""Figures that come as typed: whatever is refused of them names the form's field."""

from collections.abc import Iterator
from contextlib import contextmanager
from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field, ValidationError

from nine_knots.core.base.errors import NineKnotsError, OutOfRange

Typed = Annotated[str, Field(max_length=60)]


class Form(BaseModel):
    """What a request holds: types as its schema says them, no text for a number."""

    model_config = ConfigDict(strict=True, allow_inf_nan=False)


@contextmanager
def field(name: str) -> Iterator[None]:
    """Name the field in whatever a parser or a value refuses inside."""
    try:
        yield
    except NineKnotsError as error:
        error.where = name
        raise
    except ValidationError as error:
        said = error.errors()[0]["msg"].removeprefix("Value error, ")
        raise OutOfRange(
            f"That is out of range: {said}.", where=name, hint="Check the figure and its unit."
        ) from error
