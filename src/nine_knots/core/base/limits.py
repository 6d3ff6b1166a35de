"""The ranges that names and measures keep to, wherever they occur."""

from typing import Annotated

from pydantic import Field

LONGEST_LEADER_M = 40.0
MOST_PIECES = 24

Title = Annotated[str, Field(min_length=1, max_length=80)]
Key = Annotated[str, Field(min_length=1, max_length=40, pattern=r"^[a-z0-9][a-z0-9_-]*$")]
LengthM = Annotated[float, Field(gt=0.0, le=LONGEST_LEADER_M, description="metres")]
DiameterM = Annotated[
    float, Field(ge=5e-5, le=2.5e-3, description="metres; 0.05 to 2.5 mm (.002 to .098 in)")
]
StrengthN = Annotated[float, Field(gt=0.0, le=5000.0, description="newtons")]
Day = Annotated[str, Field(pattern=r"^\d{4}-[01]\d-[0-3]\d$", description="YYYY-MM-DD")]
ModulusPa = Annotated[float, Field(ge=1e7, le=3e11, description="pascals")]
