"""Ids of what is kept: thirty-two hexadecimal digits made of chance."""

from typing import Annotated

from fastapi import Path
from pydantic import Field

HEX = r"^[0-9a-f]{32}$"
Id = Annotated[str, Field(pattern=HEX)]
PathId = Annotated[str, Path(pattern=HEX)]
