"""Properties of a round section: area, second moment, mass and stiffness per length.

A = πd²/4, I = πd⁴/64 [S: RoarkYoung2012].
"""

from math import pi


def area_m2(diameter_m: float) -> float:
    """Cross-section in m², of a diameter in m.

    >>> round(area_m2(0.4572e-3) * 1e6, 4)
    0.1642
    """
    return pi * diameter_m**2 / 4.0


def second_moment_m4(diameter_m: float) -> float:
    """Second moment of area in m⁴, of a diameter in m.

    >>> round(1e15 * second_moment_m4(0.4572e-3), 3)
    2.145
    """
    return pi * diameter_m**4 / 64.0


def mass_per_length_kg_m(diameter_m: float, density_kg_m3: float) -> float:
    """Mass per length in kg/m.

    >>> round(1e6 * mass_per_length_kg_m(0.4572e-3, 1140.0), 1)  # mg/m
    187.2
    """
    return density_kg_m3 * area_m2(diameter_m)


def bend_stiffness_nm2(diameter_m: float, modulus_pa: float) -> float:
    """Bending stiffness EI in N·m².

    >>> round(1e6 * bend_stiffness_nm2(0.4572e-3, 2.25e9), 2)  # N·mm²
    4.83
    """
    return modulus_pa * second_moment_m4(diameter_m)


def diameter_of_bend_stiffness_m(bend_nm2: float, modulus_pa: float) -> float:
    """Diameter in m of the round strand that has this bending stiffness.

    >>> round(1e3 * diameter_of_bend_stiffness_m(4.826e-6, 2.25e9), 4)  # mm
    0.4572
    """
    return float((64.0 * bend_nm2 / (pi * modulus_pa)) ** 0.25)
