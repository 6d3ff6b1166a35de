"""Fresh water by temperature.

Valid 0 to 30 °C; within 0.03 % (density) and 0.1 % (viscosity) of CoolProp.
"""

from math import exp


def density_kg_m3(temperature_c: float) -> float:
    """Density in kg/m³ at a temperature in °C (polynomial about the maximum at 4 °C).

    >>> round(density_kg_m3(10.0), 1)  # CRC2016: 999.70
    999.7
    """
    t = temperature_c - 4.0
    return 999.97 - 0.0080 * t**2 + 4.5e-5 * t**3


def viscosity_pa_s(temperature_c: float) -> float:
    """Dynamic viscosity in Pa·s at a temperature in °C (Vogel's form, refitted).

    >>> round(1e3 * viscosity_pa_s(10.0), 3)  # mPa·s; CRC2016: 1.306
    1.306
    """
    return 1e-3 * exp(-3.148790 + 404.55654 / (temperature_c + 108.42906))
