"""Conversion factors to SI, taken from scipy's table of exact definitions."""

from scipy import constants

INCH_M: float = constants.inch
FOOT_M: float = constants.foot
THOU_M: float = constants.inch / 1000.0
POUND_N: float = constants.pound_force
POUND_KG: float = constants.pound
OUNCE_KG: float = constants.ounce
GRAIN_KG: float = constants.grain
KILO_N: float = constants.kilogram_force
MPH_M_S: float = constants.mph
GRAVITY_M_S2 = 9.81
"""Used in every model, to the digits that angling allows (standard gravity is 9.80665)."""

LENGTH_UNITS = {
    "ft": FOOT_M,
    "feet": FOOT_M,
    "foot": FOOT_M,
    "'": FOOT_M,
    "in": INCH_M,
    "inch": INCH_M,
    "inches": INCH_M,
    '"': INCH_M,
    "yd": 3.0 * FOOT_M,
    "yds": 3.0 * FOOT_M,
    "yard": 3.0 * FOOT_M,
    "yards": 3.0 * FOOT_M,
    "m": 1.0,
    "cm": 0.01,
    "mm": 0.001,
}
DIAMETER_UNITS = {
    "in": INCH_M,
    "inch": INCH_M,
    '"': INCH_M,
    "thou": THOU_M,
    "mm": 0.001,
}
LOAD_UNITS = {"lb": POUND_N, "lbs": POUND_N, "lbf": POUND_N, "kg": KILO_N, "n": 1.0}
MASS_UNITS = {
    "g": 1e-3,
    "mg": 1e-6,
    "kg": 1.0,
    "oz": OUNCE_KG,
    "lb": POUND_KG,
    "lbs": POUND_KG,
    "gr": GRAIN_KG,
    "grains": GRAIN_KG,
}
SPEED_UNITS = {"m/s": 1.0, "ft/s": FOOT_M, "km/h": 1 / 3.6, "mph": MPH_M_S}
TIME_UNITS = {"s": 1.0, "sec": 1.0, "seconds": 1.0, "min": 60.0}
