"""A figure as the angler reads it, and the two systems of units."""

from dataclasses import dataclass
from typing import Literal

System = Literal["imperial", "metric"]
"""The angler's units: feet, thousandths and pounds, or centimetres, millimetres and kilos."""


@dataclass(frozen=True, slots=True)
class Quantity:
    """A figure as the angler reads it, beside its value in SI units for drawing."""

    si: float
    text: str
