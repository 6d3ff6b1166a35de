"""Conversion factors to SI, by definition exact [S: Thompson2008]."""

STANDARD_GRAVITY_M_S2 = 9.80665

INCH_M = 0.0254
FOOT_M = 12.0 * INCH_M
THOU_M = INCH_M / 1000.0
MPH_M_S = 1609.344 / 3600.0
POUND_KG = 0.45359237
OUNCE_KG = POUND_KG / 16.0
GRAIN_KG = POUND_KG / 7000.0
POUND_N = POUND_KG * STANDARD_GRAVITY_M_S2
KILO_N = STANDARD_GRAVITY_M_S2
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
