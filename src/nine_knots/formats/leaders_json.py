"""Several leaders as one JSON file, format ``nine-knots-leaders``; see docs/formats.md."""

import json
from typing import Any, Literal

from pydantic import Field

from nine_knots.core.base.values import Frozen, TupleOf
from nine_knots.core.domain.design import Design
from nine_knots.core.domain.labels import Label
from nine_knots.formats.errors import FileRefused
from nine_knots.stored_types.errors import Damaged
from nine_knots.stored_types.types import DESIGN

FORMAT = "nine-knots-leaders"
MOST_LEADERS = 500
MOST_BYTES = 4_000_000


class LabelledDesign(Frozen):
    """A design, and the labels on it."""

    design: Design
    labels: TupleOf[Label] = ()


class LeadersFile(Frozen):
    """The file: what it is, the version of the designs in it, and they; metres and newtons."""

    format: Literal["nine-knots-leaders"] = "nine-knots-leaders"
    version: int = Field(default=DESIGN.version)
    leaders: TupleOf[LabelledDesign] = Field(max_length=MOST_LEADERS)


def write_leaders(leaders: tuple[LabelledDesign, ...]) -> str:
    """The file's text."""
    return LeadersFile(leaders=leaders).model_dump_json(indent=1) + "\n"


def read_leaders(text: str) -> tuple[LabelledDesign, ...]:
    """The leaders in a file's text, of any version; FileRefused says which is wrong."""
    if len(text.encode()) > MOST_BYTES:
        raise FileRefused("The file is larger than 4 MB.", hint="Export fewer at once.")
    try:
        found = json.loads(text)
    except (ValueError, RecursionError) as error:
        raise FileRefused("This is not valid JSON.", hint="Export the leaders again.") from error
    if not isinstance(found, dict) or found.get("format") != FORMAT:
        raise FileRefused(
            f"This is not a {FORMAT} file.",
            where="format",
            hint="Choose a file that was exported from the shelf.",
        )
    version, rows = found.get("version"), found.get("leaders")
    if not isinstance(version, int) or not isinstance(rows, list) or len(rows) > MOST_LEADERS:
        raise FileRefused(
            f"The file has no version, or not up to {MOST_LEADERS} leaders.", where="leaders"
        )
    return tuple(_read_one(version, number, row) for number, row in enumerate(rows))


def _read_one(version: int, number: int, row: Any) -> LabelledDesign:
    where = f"leaders.{number}"
    try:
        design = DESIGN.read_json(version, row["design"])
        labels = tuple(row.get("labels", ()))
        return LabelledDesign(design=design, labels=labels)
    except Damaged as damage:
        raise FileRefused(
            f"Leader {number + 1}: {damage.what}", where=where, hint="Correct it, or remove it."
        ) from damage
    except (LookupError, TypeError, ValueError, AttributeError) as error:
        raise FileRefused(
            f"Leader {number + 1} in the file is not a leader.", where=where, hint="Remove it."
        ) from error
