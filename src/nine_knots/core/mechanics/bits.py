"""Numbers by their bits, with which a compiler takes several at once.

Numbers from 0 up stand in the same order as their bits taken for whole numbers. Of whole numbers
the greatest is sought many at a time; of others it is not, since one might be no number.
"""

import numpy as np

from nine_knots.core.base.kernel import row_kernel


@row_kernel
def float_bits(number: float) -> int:
    """A number's bits as a whole number: greater for a greater one from 0 up, below 0 for others.

    >>> float_bits(0.0) == 0 < float_bits(1e-9) < float_bits(2.0) and float_bits(-1.0) < 0
    True
    """
    return int(np.float64(number).view(np.int64))


@row_kernel
def float_from_bits(bits: int) -> float:
    """The number with these bits.

    >>> float_from_bits(float_bits(0.15))
    0.15
    """
    return float(np.int64(bits).view(np.float64))
