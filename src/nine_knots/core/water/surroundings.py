"""The day's water as the models take it: what it is made of, how it streams."""

from nine_knots.core.domain.beds import GRAIN_M
from nine_knots.core.domain.situation import Water
from nine_knots.core.mechanics import fresh_water, sea_water
from nine_knots.core.mechanics.fluid import Fluid
from nine_knots.core.mechanics.stream import Stream, stream_over

STILL_M_S = 0.03
"""Water that moves no faster is still."""


def fluid_of(water: Water) -> Fluid:
    """Density and viscosity of the day's water."""
    celsius, salt = water.temperature_c, water.salinity_g_kg
    if salt > 0.0:
        return Fluid(
            sea_water.density_kg_m3(celsius, salt), sea_water.viscosity_pa_s(celsius, salt)
        )
    return Fluid(fresh_water.density_kg_m3(celsius), fresh_water.viscosity_pa_s(celsius))


def stream_of(water: Water) -> Stream:
    """The stream in front of the angler."""
    return stream_over(GRAIN_M[water.bed], water.depth_m, water.pace_m_s)
