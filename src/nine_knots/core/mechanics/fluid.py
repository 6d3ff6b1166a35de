"""A fluid by the two properties that drag goes by."""

from typing import NamedTuple


class Fluid(NamedTuple):
    """Density ``rho`` in kg/m³ and dynamic viscosity ``mu`` in Pa·s."""

    rho: float
    mu: float
