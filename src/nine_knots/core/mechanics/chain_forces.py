"""Forces on a chain from step to step: bending, the air's drag, weight. Rows as in ``chain``."""

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.base.kernel import row_kernel
from nine_knots.core.mechanics.air import across_coefficient, along_coefficient
from nine_knots.core.mechanics.chain import (
    ACROSS_CD,
    ALONG_CF,
    ALONG_X,
    ALONG_Y,
    BEND,
    BODY,
    COURANT,
    FREE,
    FRICTION,
    HALF,
    IMPULSE,
    INVERSE,
    KXX,
    KXY,
    KYY,
    MASS,
    MOMENT,
    SHEAR,
    SPIN,
    THICK,
    TO_X,
    TO_Y,
    TWELFTH,
    U,
    V,
    X,
    Y,
)

Array = NDArray[np.float64]

SHARPEST = 0.05  # of 1 + cos(turn): a link folded back on the one before is no stiffer than this


@row_kernel
def directions(b: Array, nodes: int) -> None:
    """Every link's direction, taken for a unit vector (stretch is nothing beside it), and how fast
    it turns, in rad/s."""
    for j in range(nodes - 1):
        ax = (b[X + j + 1] - b[X + j]) * b[INVERSE + j]
        ay = (b[Y + j + 1] - b[Y + j]) * b[INVERSE + j]
        du, dv = b[U + j + 1] - b[U + j], b[V + j + 1] - b[V + j]
        b[ALONG_X + j] = ax
        b[ALONG_Y + j] = ay
        b[SPIN + j] = (ax * dv - ay * du) * b[INVERSE + j]


@row_kernel
def bending(b: Array, nodes: int, last: float) -> None:
    """Shear of every link from the moments at its ends, in newtons; ``last`` is the step in seconds
    that the tensions belong to.

    A node of stiffness EI between links of mean length h that turn by θ holds the moment
    EI 2 tan(θ/2) / h, the curvature of a discrete elastic rod [S: Bergou2008]. A chain of links
    under the tension T carries short waves too slowly, and steps of dt too fast; what makes up for
    both is T h²/12 (1 - C²) added to EI, C = √(T / μ) dt / h (docs/model.md). Internal friction
    adds EI τ / h times the rate at which the turn grows (Kelvin and Voigt).
    """
    per_impulse = 1.0 / (last * last)
    for i in range(1, nodes - 1):
        ax, ay = b[ALONG_X + i - 1], b[ALONG_Y + i - 1]
        bx, by = b[ALONG_X + i], b[ALONG_Y + i]
        half_tangent = (ax * by - ay * bx) / max(SHARPEST, 1.0 + ax * bx + ay * by)
        impulse = max(0.0, 0.5 * (b[IMPULSE + i - 1] + b[IMPULSE + i]))
        slow = impulse * max(0.0, 1.0 - impulse * b[COURANT + i])
        stiff = b[BEND + i] + per_impulse * slow * b[TWELFTH + i]
        rate = b[SPIN + i] - b[SPIN + i - 1]
        b[MOMENT + i] = 2.0 * stiff * half_tangent + b[FRICTION + i] * rate
    for j in range(nodes - 1):
        b[SHEAR + j] = (b[MOMENT + j] - b[MOMENT + j + 1]) * b[INVERSE + j]


@row_kernel
def drag_coefficients(b: Array, nodes: int, wind: float) -> None:
    """C_d across and C_f along every link at its speed against the air; they change slowly."""
    for j in range(nodes - 1):
        ru = 0.5 * (b[U + j] + b[U + j + 1]) - wind
        rv = 0.5 * (b[V + j] + b[V + j + 1])
        along = abs(ru * b[ALONG_X + j] + rv * b[ALONG_Y + j])
        across = abs(ru * b[ALONG_Y + j] - rv * b[ALONG_X + j])
        b[ACROSS_CD + j] = across_coefficient(across, b[THICK + j])
        b[ALONG_CF + j] = along_coefficient(along, b[THICK + j])


@row_kernel
def drag(b: Array, nodes: int, wind: float) -> None:
    """Drag per speed of half of every link as a matrix, in kg/s; ``wind`` blows along x.

    Across the link ½ρ d l C_d |r_n|, along it ½ρ π d l C_f |r_t|, r the velocity of the link's
    middle against the air.
    """
    for j in range(nodes - 1):
        ru = 0.5 * (b[U + j] + b[U + j + 1]) - wind
        rv = 0.5 * (b[V + j] + b[V + j + 1])
        tx, ty = b[ALONG_X + j], b[ALONG_Y + j]
        kn = b[HALF + j] * b[ACROSS_CD + j] * abs(ru * ty - rv * tx)
        kt = b[HALF + j] * np.pi * b[ALONG_CF + j] * abs(ru * tx + rv * ty)
        b[KXX + j] = kn * ty * ty + kt * tx * tx
        b[KXY + j] = (kt - kn) * tx * ty
        b[KYY + j] = kn * tx * tx + kt * ty * ty


@row_kernel
def kick(
    b: Array, nodes: int, wind: float, between: float, step: float, gravity: float, damping: float
) -> None:
    """Where every node would go in a ``step`` if no link held it.

    Its velocity is changed over ``between`` seconds by bending, weight and drag, the drag
    point-implicitly: linear in the node's own new velocity. Nodes that are not free stay.
    """
    for i in range(nodes):
        u, v, mass = b[U + i], b[V + i], b[MASS + i]
        ru = u - wind
        body = b[BODY + i] * np.sqrt(ru * ru + v * v)
        kxx = b[KXX + i - 1] + b[KXX + i] + body
        kxy = b[KXY + i - 1] + b[KXY + i]
        kyy = b[KYY + i - 1] + b[KYY + i] + body
        fx = b[SHEAR + i - 1] * b[ALONG_Y + i - 1] - b[SHEAR + i] * b[ALONG_Y + i]
        fy = b[SHEAR + i] * b[ALONG_X + i] - b[SHEAR + i - 1] * b[ALONG_X + i - 1]
        px = mass * u + between * (fx - damping * mass * u + kxx * wind)
        py = mass * v + between * (fy - mass * (gravity + damping * v) + kxy * wind)
        xx, xy, yy = mass + between * kxx, between * kxy, mass + between * kyy
        share = step * b[FREE + i] / (xx * yy - xy * xy)
        b[TO_X + i] = b[X + i] + share * (yy * px - xy * py)
        b[TO_Y + i] = b[Y + i] + share * (xx * py - xy * px)
