"""How thick stuff is of which only the label's strength is known, and the other way about.

Nylon and fluorocarbon that are sold by the pound are thicker than tippet of the same strength, and
hard nylon is not thicker than usual nylon by as much as it is weaker: shops' sizes follow no law of
strength, so that they stand here in a table [M]. What is measured wins over it.
"""

import numpy as np

from nine_knots.core.base.units.factors import POUND_N, THOU_M
from nine_knots.core.domain.materials import MATERIALS

LABELS_LB = (6.0, 8.0, 10.0, 12.0, 15.0, 16.0, 20.0, 25.0, 30.0, 40.0, 50.0, 60.0, 80.0, 100.0)
# Thousandths of an inch by those labels, within some 6 % [M].
USUAL = (9.0, 10.5, 11.5, 13.0, 14.5, 15.0, 17.5, 19.5, 22.0, 24.5, 28.0, 31.5, 36.0, 40.0)
HARD = (9.3, 10.8, 12.0, 13.5, 15.0, 15.5, 18.0, 20.0, 22.5, 26.0, 29.5, 33.0, 39.0, 43.0)
FLUORO = (8.5, 9.5, 10.5, 11.5, 13.0, 13.5, 15.5, 17.5, 19.5, 23.0, 26.0, 29.5, 34.0, 38.0)
SIZES_THOU = {"nylon-medium": USUAL, "nylon-stiff": HARD, "fluorocarbon": FLUORO}
FINE_LB = (2.0, 3.0, 4.0, 5.0)
ROUNDED_THOU = 0.5
ENOUGH = 0.97  # of a label, which is as strong
FINEST_THOU, THICKEST_THOU = 3.0, 60.0


def labelled_thickness_m(label_n: float, material: str) -> float:
    """The diameter in m, to .0005 in, that is usual for a label in N: by the table, or by the
    material's law of strength where shops go by that.

    >>> round(labelled_thickness_m(20.0 * POUND_N, "nylon-medium") / THOU_M, 1)
    17.5
    """
    if material in SIZES_THOU:
        thou = _along(label_n / POUND_N, LABELS_LB, SIZES_THOU[material])
    else:
        thou = _by_law_thou(label_n, material)
    steps = round(thou / ROUNDED_THOU)
    return min(THICKEST_THOU, max(FINEST_THOU, ROUNDED_THOU * steps)) * THOU_M


def usual_label_n(diameter_m: float) -> float:
    """The label in N that usual nylon of a diameter in m has.

    >>> round(usual_label_n(17.5 * THOU_M) / POUND_N, 1)
    20.0
    """
    return POUND_N * _along(diameter_m / THOU_M, USUAL, LABELS_LB)


def sold_label_n(label_n: float, at_least: bool = False) -> float:
    """The label in N, of those that shops have, that is nearest to one; or the next that is no
    weaker. Beyond them the label itself.

    >>> [round(sold_label_n(66.6 * POUND_N, least) / POUND_N) for least in (False, True)]
    [60, 80]
    """
    sold = [POUND_N * pounds for pounds in (*FINE_LB, *LABELS_LB)]
    if label_n > sold[-1]:
        return label_n
    enough = [label for label in sold if not at_least or label > ENOUGH * label_n]
    return min(enough, key=lambda label: abs(np.log(label / label_n)))


def _along(value: float, given: tuple[float, ...], sought: tuple[float, ...]) -> float:
    """Between two rows of a table in logarithms; beyond its ends by the slope of all of it."""
    x, xs, ys = np.log(value), np.log(given), np.log(sought)
    slope = (ys[-1] - ys[0]) / (xs[-1] - xs[0])
    inside = np.clip(x, xs[0], xs[-1])
    return float(np.exp(np.interp(inside, xs, ys) + slope * (x - inside)))


def _by_law_thou(label_n: float, material: str) -> float:
    law, low, high = MATERIALS[material].strength, FINEST_THOU, THICKEST_THOU
    for _ in range(40):
        middle = 0.5 * (low + high)
        low, high = (middle, high) if law.breaking_n(middle * THOU_M) < label_n else (low, middle)
    return high
