"""A design as JSON, format ``nine-knots-leader``, of any version; see docs/formats.md."""

import json
from functools import cache
from typing import Any, Literal

from pydantic import Field

from nine_knots.core.base.values import Frozen
from nine_knots.core.domain.design import Design
from nine_knots.formats.errors import FileRefused
from nine_knots.stored_types.errors import Damaged
from nine_knots.stored_types.types import DESIGN

FORMAT = "nine-knots-leader"
MOST_BYTES = 200_000


class LeaderFile(Frozen):
    """The file: what it is, its version, and the design; lengths in metres, loads in newtons."""

    format: Literal["nine-knots-leader"] = "nine-knots-leader"
    version: int = Field(default=DESIGN.version, json_schema_extra={"const": DESIGN.version})
    design: Design


@cache
def schema() -> dict[str, Any]:
    """The JSON Schema (2020-12) of the file."""
    made = LeaderFile.model_json_schema(mode="serialization")
    return {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        "$id": f"urn:nine-knots:leader:{DESIGN.version}",
        **made,
    }


def write_json(design: Design) -> str:
    """The design as the text of a file."""
    return LeaderFile(design=design).model_dump_json(indent=2) + "\n"


def _no_constants(name: str) -> float:
    raise FileRefused(
        f"The file holds {name}, which is not a number.", hint="Enter a finite number."
    )


def read_json(text: str) -> Design:
    """The design in a file's text; FileRefused says which line or field is wrong."""
    if len(text.encode()) > MOST_BYTES:
        raise FileRefused(
            f"The file is larger than {MOST_BYTES // 1000} kB, too large for a leader.",
            hint="Choose a file that was exported as a leader.",
        )
    try:
        found = json.loads(text, parse_constant=_no_constants)
    except json.JSONDecodeError as error:
        raise FileRefused(
            f"This is not valid JSON: {error.msg.lower()}, line {error.lineno}, column "
            f"{error.colno}.",
            where=f"line {error.lineno}",
            hint="Correct that line, or export the leader again.",
        ) from error
    except RecursionError as error:
        raise FileRefused("The file is nested too deeply to be a leader.") from error
    except ValueError as error:
        raise FileRefused(
            "The file contains an impossible number.", hint="Correct it, or export it again."
        ) from error
    if not isinstance(found, dict) or found.get("format") != FORMAT:
        raise FileRefused(
            f"This is not a {FORMAT} file.",
            where="format",
            hint=f'Its first field must read "format": "{FORMAT}".',
        )
    version = found.get("version")
    if not isinstance(version, int) or version < 1:
        raise FileRefused(
            "The file has no version.", where="version", hint='Add "version": 1, or another.'
        )
    if version > DESIGN.version:
        raise FileRefused(
            f"The file is of version {version}; this program reads up to {DESIGN.version}.",
            where="version",
            hint="Import it with the newer program, or export it there for an older version.",
        )
    if set(found) - {"format", "version", "design"}:
        extra = ", ".join(sorted(set(found) - {"format", "version", "design"}))[:80]
        raise FileRefused(f"{extra}: unknown field.", where=extra, hint="Remove it.")
    try:
        return DESIGN.read(version, json.dumps(found.get("design")))
    except Damaged as damage:
        raise FileRefused(
            damage.what,
            where=f"design.{damage.where}".rstrip("."),
            hint="Correct that field; see the published schema.",
        ) from damage
