"""How far a chain may go in a step, and the step taken. Rows as in ``chain``."""

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.base.kernel import kernel, row_kernel
from nine_knots.core.mechanics.bits import float_bits, float_from_bits
from nine_knots.core.mechanics.chain import (
    IMPULSE,
    SPIN,
    TO_X,
    TO_Y,
    TRIED,
    WAVE,
    Chain,
    U,
    V,
    X,
    Y,
    lighter_kg,
)

Array = NDArray[np.float64]

MOST_TURN = 0.2  # radians that a link may turn in a step
WAVE_SHARE = 0.75  # of the time a transverse wave needs for a link
BEND_SHARE = 0.4  # of l² √(μ / EI), the explicit limit of bending
GROWTH = 1.25  # of the step from one to the next


def bending_limit_s(chain: Chain) -> float:
    """The longest step in seconds for which explicit bending does not ring.

    That of a damped oscillator with the fastest bending wave of a link, w = 4 √(EI / m l³), and
    internal friction τ: dt ≤ 4 s / w (√(1 + z²) - z), z = w τ / 2, s a share of safety.
    """
    stiff = np.maximum(np.maximum(chain.bend[:-1], chain.bend[1:]), 1e-300)
    fastest = 4.0 * np.sqrt(stiff / (lighter_kg(chain) * chain.rest**3))
    damped = 0.5 * fastest * np.maximum(chain.friction[:-1], chain.friction[1:]) / stiff
    each = 4.0 * BEND_SHARE / fastest * (np.sqrt(1.0 + damped**2) - damped)
    return float(each.min())


@kernel
def step_limit(b: Array, nodes: int, last: float, most: float) -> float:
    """The longest step in seconds that turning links and transverse waves allow."""
    step = min(most, GROWTH * last)
    spin = fastest_turn(b, nodes) ** 0.5
    if spin * step > MOST_TURN:
        step = MOST_TURN / spin
    wave = fastest_wave(b, nodes)
    if wave > 0.0:
        step = min(step, WAVE_SHARE * last / wave**0.5)
    return step


@row_kernel
def fastest_turn(b: Array, nodes: int) -> float:
    """The greatest square of a link's spin, in 1/s²."""
    most = float_bits(0.0)
    for j in range(nodes - 1):
        most = max(most, float_bits(b[SPIN + j] * b[SPIN + j]))
    return float_from_bits(most)


@row_kernel
def fastest_wave(b: Array, nodes: int) -> float:
    """The greatest T / (m l) of a link, times the last step squared."""
    most = float_bits(0.0)
    for j in range(nodes - 1):
        most = max(most, float_bits(b[IMPULSE + j] * b[WAVE + j]))
    return float_from_bits(most)


@row_kernel
def advance(b: Array, nodes: int, step: float) -> None:
    """Take the step: places, speeds and tensions are those that were found."""
    inverse = 1.0 / step
    for i in range(nodes):
        b[U + i] = (b[TO_X + i] - b[X + i]) * inverse
        b[V + i] = (b[TO_Y + i] - b[Y + i]) * inverse
    for i in range(nodes):
        b[X + i] = b[TO_X + i]
        b[Y + i] = b[TO_Y + i]
    for j in range(nodes - 1):
        b[IMPULSE + j] = b[TRIED + j]


@row_kernel
def under(b: Array, nodes: int, height: float) -> int:
    """How many nodes are no higher than so many metres."""
    found = 0
    for i in range(nodes):
        found += b[Y + i] <= height
    return found
