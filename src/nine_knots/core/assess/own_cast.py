"""An angler's own cast: how fast they launch, and at which margins their leaders pile up or slam.

Learnt from landings. Each is a leader whose minimum launch speed is known (by casting it), with
what was seen: piled up, soft, straight or slammed. What is seen follows the logarithm of the
margin, the stroke's speed over that minimum, with scatter, cut at three thresholds (an ordered
response [S: McKelveyZavoina1975]); the scatter is Student's t with few degrees of freedom (a robit
[S: Liu2004]), so that one odd landing pulls a little and many never go unheard. The estimate is
the maximum a posteriori, its spread the curvature there.
"""

from dataclasses import dataclass
from math import exp, log
from typing import Literal, get_args

import numpy as np
import scipy
from numpy.typing import NDArray
from pydantic import Field

from nine_knots.core.base.values import Frozen

Array = NDArray[np.float64]
Landed = Literal["piled up", "soft", "straight", "slammed"]
LANDED: tuple[Landed, ...] = get_args(Landed)

PILES_UP, SOFT, SLAMS = 1.0, 1.4, 2.4  # margins before any landing is known [P, by the rigs]
SPEED_SPREAD = 0.12  # of the logarithm of an angler's launch speed [G]
LOWEST_SPREAD = 0.15  # of the logarithm of the lowest threshold [G]
GAP_SPREAD = 0.15  # of the logarithm of the gaps between thresholds, in logarithms [G]
SCATTER = 0.2  # of the logarithm of a margin from one cast to the next, model's doubt included [G]
FREEDOM = 4.0  # degrees of freedom of the scatter: how often a landing is far off [G]


class OwnCast(Frozen):
    """What is known of an angler's cast; the defaults stand for an angler of whom nothing is.

    ``speed_factor`` multiplies the usual launch speeds; the others are margins.
    """

    speed_factor: float = Field(default=1.0, gt=0.3, lt=3.0)
    piles_up: float = Field(default=PILES_UP, gt=0.0, lt=10.0)
    soft: float = Field(default=SOFT, gt=0.0, lt=30.0)
    slams: float = Field(default=SLAMS, gt=0.0, lt=100.0)


UNKNOWN = OwnCast()


@dataclass(frozen=True, slots=True)
class Landing:
    """One landing: ln(margin) = ``usual`` (the angler's own speed aside), and what was seen.

    ``by_word`` says that the stroke was told in words, so that it went with the angler's own
    speed; a launch speed told as a figure is what it is.
    """

    usual: float
    by_word: bool
    landed: Landed


@dataclass(frozen=True, slots=True)
class Estimate:
    """The own cast, and the spread (one standard deviation) of the logarithm of each figure."""

    own: OwnCast
    speed: float
    piles_up: float
    soft: float
    slams: float


def _figures(z: Array) -> Array:
    """ln of speed factor and of the three thresholds, (4, ...), from standard normal z."""
    lowest = log(PILES_UP) + LOWEST_SPREAD * z[1]
    soft = lowest + log(SOFT / PILES_UP) * np.exp(GAP_SPREAD * z[2])
    slams = soft + log(SLAMS / SOFT) * np.exp(GAP_SPREAD * z[3])
    return np.stack([SPEED_SPREAD * z[0], lowest, soft, slams])


def estimate(landings: tuple[Landing, ...]) -> Estimate:
    """The maximum a posteriori and its spread; with no landings what is usual, widely spread."""
    usual = np.array([landing.usual for landing in landings])
    goes_along = np.array([1.0 if landing.by_word else 0.0 for landing in landings])
    seen = np.array([LANDED.index(landing.landed) for landing in landings], dtype=int)

    def cost(z: Array) -> Array:
        """Minus the logarithm of the posterior density of z, of shape (4, ...)."""
        figures = _figures(z)[..., None]
        margin = usual + goes_along * figures[0]
        beyond = [
            np.ones_like(margin),
            *(scipy.special.stdtr(FREEDOM, (margin - cut) / SCATTER) for cut in figures[1:]),
        ]
        share = np.stack([*beyond, np.zeros_like(margin)])
        each = np.take_along_axis(
            share[:-1] - share[1:], np.broadcast_to(seen, (1, *margin.shape)), axis=0
        )[0]
        return np.asarray(0.5 * (z**2).sum(axis=0) - np.log(each).sum(axis=-1))

    def cost_at(z: Array) -> float:
        return float(cost(z))

    z: Array = np.asarray(scipy.optimize.minimize(cost_at, np.zeros(4), method="BFGS").x)
    curvature, axes = np.linalg.eigh(scipy.differentiate.hessian(cost, z, initial_step=0.1).ddf)
    spread = axes @ np.diag(1.0 / np.maximum(curvature, 0.1)) @ axes.T
    step = 1e-4
    slopes = np.stack(
        [(_figures(z + step * e) - _figures(z - step * e)) / (2.0 * step) for e in np.eye(4)],
        axis=1,
    )
    deviations = np.sqrt(np.diag(slopes @ spread @ slopes.T))
    speed, piles_up, soft, slams = (exp(value) for value in _figures(z))
    own = OwnCast(speed_factor=speed, piles_up=piles_up, soft=soft, slams=slams)
    return Estimate(own if landings else UNKNOWN, *(float(deviation) for deviation in deviations))
