"""What the bench instruments read."""

from pydantic import TypeAdapter

from nine_knots.core.judge.measuring.measurement import Measurement
from nine_knots.kept.envelope import Kind

MEASUREMENT = Kind("measurement", TypeAdapter(Measurement))
