"""Powers of positive numbers, quick enough for every link of a chain at every step."""

import numpy as np

from nine_knots.core.base.kernel import row_kernel
from nine_knots.core.mechanics.bits import float_bits, float_from_bits


@row_kernel
def power(base: float, exponent: float) -> float:
    """``base ** exponent`` for finite positive numbers, within 3e-4 for exponents within ±1.

    The logarithm to two is read off the number's own bits and a polynomial of its fraction about
    1.5, the power put together the same way, so that a compiler can take many at once.

    >>> abs(power(200.0, -2.0 / 3.0) / 200.0 ** (-2.0 / 3.0) - 1.0) < 3e-4
    True
    """
    bits = float_bits(base)
    whole = (bits >> 52) - 1023
    fraction = float_from_bits((bits & 0xFFFFFFFFFFFFF) | 0x3FF0000000000000)
    t = fraction - 1.5
    # the series of log2(1.5 + t), each term over 1.5^k k ln 2
    low = 0.9617966939259757 + t * (-0.32059889797532526 + t * 0.14248839909792107)
    high = -0.07124419954896053 + t * (0.03799690642611228 - t * 0.021109392459)
    logarithm = whole + 0.5849625007211562 + t * (low + t * t * t * high)
    scaled = exponent * logarithm
    floor = np.floor(scaled)
    r = scaled - floor
    # the series of 2^r
    rest = 0.0555041086648216 + r * (0.009618129107628477 + r * 0.0013333558)
    two = 1.0 + r * (0.6931471805599453 + r * (0.24022650695910072 + r * rest))
    return float(two * float_from_bits((int(floor) + 1023) << 52))
