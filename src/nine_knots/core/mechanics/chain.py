"""A chain of masses in a vertical plane: nearly inextensible links, bending, drag, water.

Here it is laid out for the kernels of its step. All that changes and all that stays lies in rows of
one array, each row ``SPAN`` numbers from the next, so that a compiler sees that no two rows touch
and takes several nodes at once. Rows are longer than any chain: before its first and beyond its
last link they hold nothing, so that the ends need no case of their own.
"""

from typing import NamedTuple

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.base.errors import CannotCompute
from nine_knots.core.mechanics.air import AIR_KG_M3

Array = NDArray[np.float64]

SPAN = 1000  # numbers in a row: the most nodes a chain may have
LEAST_LINK_M = 1e-6

# Rows by node: place, speed, where it is kicked to, mass, its inverse for the tensions (0 where
# held), whether it may move (1 or 0), EI / h, moment, half the air's density times drag area; EI τ
# / h for internal friction; h / 12 and 1 / (mass · h) for the correction of dispersion.
X, Y, U, V, TO_X, TO_Y, MASS, GIVE, FREE, BEND, MOMENT, BODY = (SPAN * row for row in range(12))
FRICTION, TWELFTH, COURANT = (SPAN * row for row in range(12, 15))
# Rows by link: along it (by components), its length and the inverse, stretch per tension, the
# shear of bending, a quarter of air density, thickness and length, thickness, coefficients across
# and along, drag per speed as the matrix kxx kxy kyy, tension times step squared: kept and tried,
# stretch per impulse, the three diagonals, the error that becomes its answer, 1 / (lighter end's
# mass · length), how it hangs on the link above, the continuant before it and with it, its spin.
ALONG_X, ALONG_Y, REST, INVERSE, STRETCH, SHEAR, HALF, THICK = (SPAN * row for row in range(15, 23))
ACROSS_CD, ALONG_CF, KXX, KXY, KYY, IMPULSE, TRIED, SLACK = (SPAN * row for row in range(23, 31))
LOWER, DIAGONAL, UPPER, ERROR, WAVE, COUPLING, BEFORE, WITH = (SPAN * row for row in range(31, 39))
SPIN = SPAN * 39
ROWS = 40


class Chain(NamedTuple):
    """n nodes from the rod and the n - 1 links between them.

    ``rest`` (n - 1,) lengths in m, ``mass`` (n,) in kg, ``stretch`` (n - 1,) l / EA in m/N,
    ``bend`` (n,) EI in N·m², ``friction`` (n,) EI τ in N·m²·s of internal friction, ``thick``
    (n - 1,) diameters in m (0 for no drag), ``body`` (n,) drag areas C_d A in m² of what hangs at
    nodes, ``held`` (n,) marks nodes that stand still, ``leader`` is the node where the leader
    begins. ``corrected`` for the dispersion of waves in a mesh; without it the links are just that.
    """

    rest: Array
    mass: Array
    stretch: Array
    bend: Array
    friction: Array
    thick: Array
    body: Array
    held: Array
    leader: int
    corrected: bool = True


def in_rows(chain: Chain, place: Array, speed: Array) -> Array:
    """The chain at ``place`` with ``speed``, both (n, 2), as the rows named above.

    Raises CannotCompute for more nodes than a row holds.
    """
    nodes = chain.mass.size
    if nodes > SPAN - 1:
        raise CannotCompute(
            "Line and leader are longer than the cast model can follow.",
            where="stroke.line_out_m",
            hint="Let less line out.",
        )
    rows = np.zeros(ROWS * SPAN)
    rest, free = chain.rest, chain.held == 0.0
    between = np.ones(nodes)
    between[1:-1] = 0.5 * (rest[1:] + rest[:-1])
    inner = (np.arange(nodes) > 0) & (np.arange(nodes) < nodes - 1)
    for row, values in (
        (X, place[:, 0]),
        (Y, place[:, 1]),
        (U, speed[:, 0]),
        (V, speed[:, 1]),
        (MASS, chain.mass),
        (GIVE, np.where(free, 1.0 / chain.mass, 0.0)),
        (FREE, free.astype(float)),
        (BEND, np.where(inner, chain.bend, 0.0) / between),
        (FRICTION, np.where(inner, chain.friction, 0.0) / between),
        (TWELFTH, np.where(inner & chain.corrected, between, 0.0) / 12.0),
        (COURANT, 1.0 / (chain.mass * between)),
        (BODY, 0.5 * AIR_KG_M3 * chain.body),
        (REST, rest),
        (INVERSE, 1.0 / np.maximum(rest, LEAST_LINK_M)),
        (STRETCH, chain.stretch),
        (HALF, 0.25 * AIR_KG_M3 * chain.thick * rest),
        (THICK, chain.thick),
        (WAVE, 1.0 / (lighter_kg(chain) * rest)),
    ):
        rows[row : row + values.size] = values
    return rows


def lighter_kg(chain: Chain) -> Array:
    """Mass of the lighter free end of every link, (n - 1,)."""
    free = np.where(chain.held == 0.0, chain.mass, np.inf)
    lighter = np.minimum(free[:-1], free[1:])
    return np.where(np.isinf(lighter), chain.mass[:-1], lighter)
